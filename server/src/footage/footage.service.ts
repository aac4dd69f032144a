import { Inject, Injectable } from '@nestjs/common';
import { BARE_ANGLE, BARE_PERSON, type Angle, type ClockAnchor, type MediaFile } from '@odograph/core';
import type {
  AngleEdit,
  AthleteRef,
  Changed,
  FootageEdit,
  NewAngle,
  NewFootage,
  Removal,
} from '@odograph/core/contract';
import type { Session } from '../doors/session.js';
import { ChangesService } from '../changes/changes.service.js';
import type { Edit } from '../changes/edit.js';
import { Refused, invalid, notFound } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';
import { MediaService } from '../media/media.service.js';
import { SCOREBOARD, type Scoreboard } from '../scoreboard/scoreboard.js';
import { AnglesRepository } from './angles.repository.js';

type Stretch = Pick<Angle, 'fromFrame' | 'toFrame' | 'fromPts' | 'toPts'>;

@Injectable()
export class FootageService {
  constructor(
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(MediaService) private readonly media: MediaService,
    @Inject(AnglesRepository) private readonly angles: AnglesRepository,
    @Inject(SCOREBOARD) private readonly scoreboard: Scoreboard,
  ) {}

  /** What the scoreboard of a footage showed; null where none was kept. */
  async scoreboardOf({ academyId }: Session, footageId: string): Promise<readonly ClockAnchor[] | null> {
    if (!(await this.angles.isFootage(academyId, footageId))) throw notFound();
    return (await this.scoreboard.readings(academyId, footageId)) ?? null;
  }

  /** A footage with its first angle: one file, or a stretch of one. */
  async create(session: Session, request: NewFootage): Promise<Changed> {
    const { editId, id, angleId, fileId, fromFrame, toFrame, athleteA, athleteB, ...fields } = request;
    const shown = await this.shown(session, fileId, fromFrame, toFrame);
    if (athleteA.id === athleteB.id) throw invalid('athleteB', { code: 'same-athlete' });
    const touched = await this.changes.edit(session, editId, async (edit) => {
      await this.person(edit, athleteA);
      await this.person(edit, athleteB);
      await edit.create('footage', id, { ...fields, athleteA: athleteA.id, athleteB: athleteB.id });
      await edit.create('angle', angleId, { ...BARE_ANGLE, ...shown, footageId: id });
      edit.touch('file', fileId);
    });
    return this.library.changed(session.academyId, touched);
  }

  /** One more angle of footage: another file of the same event, or a stretch of one. */
  async addAngle(session: Session, footageId: string, request: NewAngle): Promise<Changed> {
    const { editId, id, fileId, fromFrame, toFrame, ...fields } = request;
    const shown = await this.shown(session, fileId, fromFrame, toFrame);
    const touched = await this.changes.edit(session, editId, async (edit) => {
      await edit.require('footage', footageId);
      await edit.create('angle', id, { ...BARE_ANGLE, ...shown, ...fields, footageId });
      edit.touch('file', fileId);
    });
    return this.library.changed(session.academyId, touched);
  }

  /** Moves an angle in the time of its footage, or changes which frames it holds; clips that are cut from it stay inside. */
  async editAngle(session: Session, id: string, { editId, baseVersion, changes }: AngleEdit): Promise<Changed> {
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const angle = await edit.require('angle', id);
      const { fromFrame, toFrame } = changes;
      const [from, to] = [fromFrame ?? angle.fromFrame, toFrame ?? angle.toFrame];
      const isCut = fromFrame !== undefined || toFrame !== undefined;
      if (isCut && (await this.angles.outside(session.academyId, id, from, to, edit.transaction)))
        throw invalid(fromFrame === undefined ? 'changes.toFrame' : 'changes.fromFrame', { code: 'clips-outside' });
      const stretch = isCut
        ? await this.stretch(session, await edit.require('file', angle.fileId), from, to, 'changes.')
        : {};
      await edit.update('angle', id, baseVersion, changes, stretch);
    });
    return this.library.changed(session.academyId, touched);
  }

  /** Takes an angle off its footage; not the last one, and not one that clips are cut from. */
  async removeAngle(session: Session, id: string, { editId, baseVersion }: Removal): Promise<Changed> {
    const { others, cut } = await this.angles.use(session.academyId, id);
    if (others === 0) throw new Refused({ code: 'in-use', facts: { by: 'footage', count: 1 } });
    if (cut) throw new Refused({ code: 'in-use', facts: { by: 'clips', count: cut } });
    const touched = await this.changes.edit(session, editId, (edit) => edit.remove('angle', id, baseVersion));
    return this.library.changed(session.academyId, touched);
  }

  private async stretch(
    session: Session,
    file: MediaFile,
    fromFrame: number,
    toFrame: number,
    at = '',
  ): Promise<Stretch> {
    if (toFrame > file.frames) throw invalid(`${at}toFrame`, { code: 'outside-file', facts: { frames: file.frames } });
    if (fromFrame >= toFrame) throw invalid(`${at}toFrame`, { code: 'not-after', facts: { field: 'fromFrame' } });
    const times = await this.media.frameTimes(session.academyId, file.id);
    return { fromFrame, toFrame, fromPts: times.instant(fromFrame).pts, toPts: times.instant(toFrame).pts };
  }

  /** An angle's share of a file: to its ends where nothing else is asked for. */
  private async shown(
    session: Session,
    fileId: string,
    fromFrame: number | null,
    toFrame: number | null,
  ): Promise<Stretch & Pick<Angle, 'fileId'>> {
    const file = await this.media.require(session.academyId, fileId);
    return { fileId, ...(await this.stretch(session, file, fromFrame ?? 0, toFrame ?? file.frames)) };
  }

  async edit(session: Session, id: string, { editId, baseVersion, changes }: FootageEdit): Promise<Changed> {
    const { athleteA, athleteB, ...fields } = changes;
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const footage = await edit.require('footage', id);
      const a = athleteA?.id ?? footage.athleteA,
        b = athleteB?.id ?? footage.athleteB;
      if (a === b) throw invalid(athleteB ? 'changes.athleteB' : 'changes.athleteA', { code: 'same-athlete' });
      if (athleteA) await this.person(edit, athleteA);
      if (athleteB) await this.person(edit, athleteB);
      await edit.update('footage', id, baseVersion, {
        ...fields,
        ...(athleteA ? { athleteA: a } : {}),
        ...(athleteB ? { athleteB: b } : {}),
      });
    });
    return this.library.changed(session.academyId, touched);
  }

  private async person(edit: Edit, athlete: AthleteRef): Promise<void> {
    if (await edit.find('person', athlete.id)) edit.touch('person', athlete.id);
    else await edit.create('person', athlete.id, { ...BARE_PERSON, name: athlete.name, athlete: true });
  }
}
