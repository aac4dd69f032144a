import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import {
  BINNED,
  type BinItem,
  type Binned,
  type Changed,
  type References,
  type Restore,
} from '@odograph/core/contract';
import type { Session } from '../doors/session.js';
import { ChangesService } from '../changes/changes.service.js';
import type { Edit } from '../changes/edit.js';
import { Refused, notFound } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';
import { MediaStore } from '../media/mediaStore.js';
import { BinRepository } from './bin.repository.js';

export const BIN_DAYS = 30;
const DAY_MS = 86_400_000;

@Injectable()
export class BinService implements OnModuleDestroy {
  private emptying: Promise<void> = Promise.resolve();
  private daily: NodeJS.Timeout | undefined;

  constructor(
    @Inject(BinRepository) private readonly bin: BinRepository,
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(MediaStore) private readonly store: MediaStore,
  ) {}

  references({ academyId }: Session, kind: Binned, id: string): Promise<References> {
    return this.bin.references(academyId, kind, id);
  }

  /** Puts something in the bin by an edit. Asked again with the same edit, the answer is the same. */
  async remove(
    session: Session,
    kind: Binned,
    id: string,
    editId: string,
    write: (edit: Edit) => Promise<void>,
  ): Promise<Changed> {
    const there = await this.bin.there(session.academyId, kind, { id });
    const touched = there.length
      ? await this.changes.edit(session, editId, write)
      : await this.changes.repeat(session, editId);
    if (!touched) throw notFound();
    return this.library.changed(session.academyId, touched);
  }

  /** Puts footage in the bin, and with it what was seen on it: all of it comes back together. */
  removeFootage(session: Session, id: string, editId: string, baseVersion: number): Promise<Changed> {
    return this.remove(session, 'footage', id, editId, async (edit) => {
      const academy = session.academyId;
      await edit.remove('footage', id, baseVersion);
      const angles = await this.bin.there(academy, 'angle', { footageId: id }, edit.transaction);
      for (const angle of angles) {
        for (const clip of await this.bin.there(academy, 'clip', { angleId: angle }, edit.transaction))
          await edit.remove('clip', clip, null);
        for (const drawing of await this.bin.there(academy, 'drawing', { angleId: angle }, edit.transaction))
          await edit.remove('drawing', drawing, null);
        await edit.remove('angle', angle, null);
      }
      for (const attempt of await this.bin.there(academy, 'attempt', { footageId: id }, edit.transaction))
        await edit.remove('attempt', attempt, null);
    });
  }

  async items({ academyId }: Session, now: Date): Promise<readonly BinItem[]> {
    const words = await this.library.words(academyId);
    const found = (
      await Promise.all(
        BINNED.map(async (kind) => (await this.bin.binned(academyId, kind, words)).map((row) => ({ kind, ...row }))),
      )
    ).flat();
    // clips that went with their footage come back with it
    const withFootage = new Set(found.filter((i) => i.kind === 'footage').map((i) => i.removedAt.getTime()));
    const own = found.filter((i) => i.kind !== 'clip' || !withFootage.has(i.removedAt.getTime()));
    const by = await this.bin.removers(
      academyId,
      own.map((i) => i.id),
    );
    return own
      .map((item) => ({
        kind: item.kind,
        id: item.id,
        name: item.name,
        removedAt: item.removedAt.toISOString(),
        removedBy: by.get(item.id) ?? '',
        goesAt: new Date(item.removedAt.getTime() + BIN_DAYS * DAY_MS).toISOString(),
      }))
      .filter((item) => item.goesAt > now.toISOString())
      .sort((a, b) => b.removedAt.localeCompare(a.removedAt) || (a.id < b.id ? -1 : 1));
  }

  async restore(session: Session, { editId, kind, id }: Restore): Promise<Changed> {
    const academy = session.academyId;
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const at = await edit.binnedAt(kind, id);
      await edit.restore(kind, id);
      if (at === null) return;
      if (kind === 'footage') {
        const angles = await this.bin.wentWith(academy, 'angle', { footageId: id }, at, edit.transaction);
        for (const angle of angles) {
          await edit.restore('angle', angle);
          for (const clip of await this.bin.wentWith(academy, 'clip', { angleId: angle }, at, edit.transaction))
            await edit.restore('clip', clip);
          for (const drawing of await this.bin.wentWith(academy, 'drawing', { angleId: angle }, at, edit.transaction))
            await edit.restore('drawing', drawing);
        }
        for (const attempt of await this.bin.wentWith(academy, 'attempt', { footageId: id }, at, edit.transaction))
          await edit.restore('attempt', attempt);
      }
      if (kind === 'clip') {
        const { angleId, attemptId } = await edit.require('clip', id);
        if (!(await edit.find('angle', angleId)))
          throw new Refused({ code: 'above-in-bin', facts: { what: 'footage' } });
        await edit.restore('attempt', attemptId);
      }
    });
    return this.library.changed(academy, touched);
  }

  /** Deletes for good what has lain in the bin too long, with the media that nothing shows any more. */
  async purge(now: Date): Promise<void> {
    const gone = await this.bin.purge(new Date(now.getTime() - BIN_DAYS * DAY_MS));
    for (const { academyId, id } of gone) await this.store.remove(academyId, id);
  }

  /** Empties the bin now and every day from now on, beside all else. */
  keepEmptying(onError: (error: unknown) => void): void {
    const once = (): void => {
      this.emptying = this.purge(new Date()).catch(onError);
    };
    once();
    this.daily = setInterval(once, DAY_MS).unref();
  }

  async onModuleDestroy(): Promise<void> {
    clearInterval(this.daily);
    await this.emptying;
  }
}
