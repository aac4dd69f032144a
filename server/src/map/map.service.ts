import type { Writable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import { setImmediate as breathe } from 'node:timers/promises';
import { Inject, Injectable } from '@nestjs/common';
import { RowTable, loggedOf, messageOf, type Shown } from '@odograph/core';
import type { Session } from '../doors/session.js';
import type { AcademyId } from '../database/academyId.js';
import { HeavyTurns } from '../library/heavy.js';
import { LibraryRepository } from '../library/library.repository.js';
import { LibraryService } from '../library/library.service.js';
import { ShownService } from '../library/shown.service.js';
import { MapRepository } from './map.repository.js';
import { PackedStore, type Audience } from './packedStore.js';
import { apart } from './packing.client.js';
import { packed } from './packing.js';

/** Rows of attempts as bytes, packed by gzip, of one version of the library. */
export type Packed = { readonly version: number; readonly bytes: Uint8Array };

const audienceOf = ({ role }: Session): Audience => (role === 'student' ? 'members' : 'coaches');

@Injectable()
export class MapService {
  /** What is being packed just now: whoever asks for the same waits for the same. */
  private readonly making = new Map<string, Promise<Packed>>();

  constructor(
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(LibraryRepository) private readonly records: LibraryRepository,
    @Inject(ShownService) private readonly shown: ShownService,
    @Inject(MapRepository) private readonly map: MapRepository,
    @Inject(PackedStore) private readonly store: PackedStore,
    @Inject(HeavyTurns) private readonly turns: HeavyTurns,
  ) {}

  version({ academyId }: Session): Promise<number> {
    return this.records.version(academyId);
  }

  /** What has changed since a version; everything where that is not known, or where words or people have changed. */
  async rows(session: Session, since: number | null): Promise<Packed> {
    const version = await this.version(session);
    const changed =
      since !== null && since <= version
        ? await this.changedSince(session.academyId, audienceOf(session), since)
        : undefined;
    if (!changed) return this.wholeRows(session, version);
    return {
      version,
      bytes: await packed(messageOf(changed.table, { version, whole: false, removed: changed.removed })),
    };
  }

  /** Writes the map as GraphML, out of the packed rows. Whoever goes away meanwhile ends it. */
  async graphml(session: Session, to: Writable): Promise<void> {
    const [{ bytes }, wordChanges, plans] = await Promise.all([
      this.version(session).then((version) => this.wholeRows(session, version)),
      this.records.wordChanges(session.academyId),
      this.records.plans(session.academyId),
    ]);
    await this.turns.take(session.accountId, async () => {
      if (to.destroyed) return;
      await pipeline(apart({ kind: 'graphml', rows: bytes, wordChanges, plans }), to).catch((error: unknown) => {
        if (!to.destroyed) throw error;
      });
    });
  }

  private async wholeRows(session: Session, version: number): Promise<Packed> {
    const { academyId, accountId } = session;
    const audience = audienceOf(session);
    const kept = await this.store.newest(academyId, audience, version);
    if (kept?.version === version) return kept;
    const key = `${academyId} ${audience} ${version}`;
    const known = this.making.get(key);
    if (known) return known;
    const made = this.turns
      .take(accountId, () => this.packWhole(academyId, audience, version))
      .finally(() => this.making.delete(key));
    this.making.set(key, made);
    return made;
  }

  /** Packs everything: what was packed of an earlier version with what has changed since, or all of it, a page after the other. */
  private async packWhole(academy: AcademyId, audience: Audience, version: number): Promise<Packed> {
    const bytes =
      (await this.broughtUp(academy, audience, version)) ?? (await this.packAll(academy, audience, version));
    await this.store.put(academy, audience, version, bytes);
    return { version, bytes };
  }

  private async broughtUp(academy: AcademyId, audience: Audience, version: number): Promise<Uint8Array | undefined> {
    const before = await this.store.newest(academy, audience, version);
    const changed = before && (await this.changedSince(academy, audience, before.version));
    if (!changed) return undefined;
    const message = messageOf(changed.table, { version, whole: false, removed: changed.removed });
    return buffer(apart({ kind: 'brought up', rows: before.bytes, changed: await packed(message), version }));
  }

  private async packAll(academy: AcademyId, audience: Audience, version: number): Promise<Uint8Array> {
    const table = await this.tableOfAll(academy, audience);
    await breathe();
    return packed(messageOf(table, { version, whole: true }));
  }

  private async tableOfAll(academy: AcademyId, audience: Audience): Promise<RowTable> {
    const [words, lie, shown] = await Promise.all([
      this.library.words(academy),
      this.records.whereAttemptsLie(academy),
      audience === 'members' ? this.shown.of(academy) : undefined,
    ]);
    const table = new RowTable();
    for await (const attempts of this.library.attempts(academy))
      for (const one of loggedOf({ ...lie, attempts: seenBy(shown, attempts) })) table.set(one, words);
    return table;
  }

  /** The rows that have changed since a version, and the ids of those that are gone; undefined where everything may have. */
  private async changedSince(
    academy: AcademyId,
    audience: Audience,
    since: number,
  ): Promise<{ readonly table: RowTable; readonly removed: readonly string[] } | undefined> {
    const attemptIds = await this.map.changedSince(academy, since);
    if (!attemptIds) return undefined;
    if (audience === 'members' && !(await this.records.consentSince(academy, since)).isSame) return undefined;
    const [words, { attempts, ...lie }, shown] = await Promise.all([
      this.library.words(academy),
      this.records.attemptsWithFootage(academy, attemptIds),
      audience === 'members' ? this.shown.of(academy) : undefined,
    ]);
    const table = RowTable.of(loggedOf({ ...lie, attempts: seenBy(shown, attempts) }), words);
    return { table, removed: [...attemptIds].filter((id) => table.rowOf(id) === undefined) };
  }
}

const seenBy = <T extends { readonly footageId: string }>(
  shown: Shown | undefined,
  attempts: readonly T[],
): readonly T[] => (shown ? attempts.filter((a) => shown.footage.has(a.footageId)) : attempts);
