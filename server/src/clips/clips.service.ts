import { Inject, Injectable } from '@nestjs/common';
import { BARE_CLIP, asSaid, recut, type Attempt, type Instant } from '@odograph/core';
import type {
  AttemptEdit,
  AttemptFields,
  Changed,
  ClipEdit,
  NewClip,
  NewClips,
  NewLook,
  Removal,
} from '@odograph/core/contract';
import type { Session } from '../accounts/session.js';
import { BinService } from '../bin/bin.service.js';
import { ChangesService } from '../changes/changes.service.js';
import type { Difference, Edit } from '../changes/edit.js';
import type { Row } from '../database/models.js';
import { invalid, notFound } from '../errors/refused.js';
import { SAID_AS_IS, fromControl, fromFinish, fromReaction, fromReason } from '../library/library.mapper.js';
import { LibraryService } from '../library/library.service.js';
import { MediaService, type FrameTimes } from '../media/media.service.js';
import { ClipsRepository, NO_LISTS } from './clips.repository.js';
import { checkWords } from './wordCheck.js';

/** The columns behind a field of a request, where they are not called the same. */
const COLUMNS: Readonly<Record<string, readonly string[]>> = {
  state: ['statePosition', 'stateRole'],
  lead: ['leadSide'],
  finish: ['finishKind', 'finishKey', 'finishRole', 'finishWon', 'restartPosition', 'restartRole'],
};

const LISTS = ['controls', 'reactions', 'reasons'] as const;
/** Fields that say words of the academy. */
const WORDED: ReadonlySet<string> = new Set(['state', 'action', 'finish', 'wanted', 'errors', 'answers', ...LISTS]);

/** Fields of a request as columns of the attempt's row; lists are rows of their own. */
const scalarRow = (fields: Partial<AttemptFields>, times: FrameTimes): Row => {
  const row: Row = {};
  for (const field of SAID_AS_IS) if (fields[field] !== undefined) row[field] = fields[field];
  if (fields.state !== undefined)
    Object.assign(row, { statePosition: fields.state?.position ?? null, stateRole: fields.state?.role ?? null });
  if (fields.lead !== undefined) row['leadSide'] = fields.lead;
  if (fields.finish !== undefined) Object.assign(row, fromFinish(fields.finish));
  for (const name of ['start', 'commit', 'end'] as const) {
    const frame = fields[`${name}Frame`];
    if (frame !== undefined)
      Object.assign(row, { [`${name}Frame`]: frame, [`${name}Pts`]: frame === null ? null : times.instant(frame).pts });
  }
  return row;
};

type Frames = { readonly fromFrame: number; readonly toFrame: number };

/** Gives an instant with the presentation time that the file has for it; one outside the angle is refused by the name of its field. */
const timing =
  ({ fromFrame, toFrame }: Frames, times: FrameTimes, prefix: string) =>
  <T extends Instant | null>(at: T, field: string): T => {
    if (at && (at.frame < fromFrame || at.frame > toFrame))
      throw invalid(`${prefix}.${field}`, 'lies outside the footage');
    return (at && times.instant(at.frame)) as T;
  };

/** What is said with instants in it (holds, mistakes, doubts), with the presentation times of the file. */
const timedParts = (
  fields: Partial<AttemptFields>,
  angle: Frames,
  times: FrameTimes,
  prefix: string,
): Partial<AttemptFields> => {
  const timed = timing(angle, times, prefix);
  const { controls, errors, doubts } = fields;
  return {
    ...fields,
    ...(controls && {
      controls: controls.map((c, i) => ({
        ...c,
        gained: timed(c.gained, `controls.${i}.gained`),
        lost: timed(c.lost, `controls.${i}.lost`),
      })),
    }),
    ...(errors && { errors: errors.map((e, i) => ({ ...e, until: timed(e.until, `errors.${i}.until`) })) }),
    ...(doubts && { doubts: doubts.map((d, i) => ({ ...d, at: timed(d.at, `doubts.${i}.at`) })) }),
  };
};

@Injectable()
export class ClipsService {
  constructor(
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(MediaService) private readonly media: MediaService,
    @Inject(ClipsRepository) private readonly clips: ClipsRepository,
    @Inject(BinService) private readonly bin: BinService,
  ) {}

  /** One phrase makes an attempt and the clip that looks at it, together or not at all. */
  async create(session: Session, { editId, ...made }: NewClip): Promise<Changed> {
    const touched = await this.changes.edit(session, editId, (edit) => this.make(edit, session, made, ''));
    return this.library.changed(session.academyId, touched);
  }

  /** Many clips with their attempts in one edit: all of them or none. */
  async createMany(session: Session, { editId, clips }: NewClips): Promise<Changed> {
    const touched = await this.changes.edit(session, editId, async (edit) => {
      for (const [i, made] of clips.entries()) await this.make(edit, session, made, `clips.${i}.`);
    });
    return this.library.changed(session.academyId, touched);
  }

  /** Checks a clip and writes it. `at` stands before the names of its fields. */
  private async make(
    edit: Edit,
    { academyId }: Session,
    { attempt, clip }: Omit<NewClip, 'editId'>,
    at: string,
  ): Promise<void> {
    const angle = await this.clips.angle(academyId, clip.angleId, edit.transaction);
    if (!angle) throw notFound();
    const times = await this.media.frameTimes(academyId, angle.fileId);
    this.checkRange(clip.inFrame, clip.outFrame, angle, `${at}clip`);
    const startFrame = attempt.startFrame ?? clip.inFrame;
    const endFrame = attempt.endFrame ?? clip.outFrame;
    this.checkInstants(clip.inFrame, startFrame, attempt.commitFrame ?? null, endFrame, clip.outFrame);
    checkWords(attempt, await this.library.words(academyId, edit.transaction), `${at}attempt`);
    const timed = timedParts(attempt, angle, times, `${at}attempt`);
    const scalars = {
      shownAs: 'right',
      series: 1,
      intent: 'own',
      isCut: false,
      errors: [],
      answers: [],
      doubts: [],
      proposed: [],
      ...scalarRow({ ...timed, startFrame, endFrame }, times),
      footageId: angle.footageId,
      angleId: clip.angleId,
    };
    await this.checkReferences(edit, attempt, attempt.id, angle.footageId, `${at}attempt`);
    await edit.create('attempt', attempt.id, scalars);
    await this.writeLists(edit, attempt.id, undefined, timed);
    await this.writeClip(edit, clip, attempt.id, times);
  }

  /** One more clip of an attempt, on any angle of the attempt's footage. */
  async addLook(session: Session, attemptId: string, { editId, clip }: NewLook): Promise<Changed> {
    const { academyId } = session;
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const attempt = await this.clips.attempt(academyId, attemptId, edit.transaction);
      const angle = attempt && (await this.clips.angle(academyId, clip.angleId, edit.transaction));
      if (!attempt || !angle) throw notFound();
      if (angle.footageId !== attempt.footageId) throw invalid('clip.angleId', 'shows other footage than the attempt');
      const times = await this.media.frameTimes(academyId, angle.fileId);
      this.checkRange(clip.inFrame, clip.outFrame, angle, 'clip');
      await this.writeClip(edit, clip, attemptId, times);
    });
    return this.library.changed(academyId, touched);
  }

  private writeClip(edit: Edit, clip: NewClip['clip'], attemptId: string, times: FrameTimes): Promise<void> {
    const [inAt, outAt] = [times.instant(clip.inFrame), times.instant(clip.outFrame)];
    return edit.create('clip', clip.id, {
      attemptId,
      angleId: clip.angleId,
      inFrame: inAt.frame,
      inPts: inAt.pts,
      outFrame: outAt.frame,
      outPts: outAt.pts,
      ...BARE_CLIP,
      note: clip.note ?? '',
    });
  }

  /** Attempts that an attempt goes on with or counters must be there, others, and on the same footage. */
  private async checkReferences(
    edit: Edit,
    fields: Partial<AttemptFields>,
    id: string,
    footageId: string,
    prefix: string,
  ): Promise<void> {
    for (const field of ['parentId', 'counterOfId', 'followsId'] as const) {
      const other = fields[field];
      if (!other) continue;
      if (other === id) throw invalid(`${prefix}.${field}`, 'must be another attempt');
      const found = await edit.find('attempt', other);
      if (found?.['footageId'] !== footageId)
        throw invalid(`${prefix}.${field}`, 'must be an attempt of the same footage');
    }
  }

  async editAttempt(session: Session, id: string, { editId, baseVersion, changes }: AttemptEdit): Promise<Changed> {
    const academy = session.academyId;
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const whole = await this.clips.attemptWhole(academy, id, edit.transaction);
      if (!whole) throw notFound();
      const { angle, attempt: before } = whole;
      const sent = new Set(LISTS.filter((list) => changes[list] !== undefined));
      // what a stale edit is held against has to be told whole
      const lists = sent.size ? await this.clips.lists(academy, id, sent, edit.transaction) : NO_LISTS;
      if (Object.keys(changes).some((field) => WORDED.has(field)))
        checkWords(changes, await this.library.words(academy, edit.transaction), 'changes');
      const times = await this.media.frameTimes(academy, angle.fileId);
      const start = changes.startFrame ?? before.start.frame,
        end = changes.endFrame ?? before.end.frame;
      const commit = changes.commitFrame === undefined ? (before.commit?.frame ?? null) : changes.commitFrame;
      if ('startFrame' in changes || 'endFrame' in changes || 'commitFrame' in changes)
        this.checkInstants(angle.fromFrame, start, commit, end, angle.toFrame);
      const timed = timedParts(asSaid(before, changes), angle, times, 'changes');
      await this.checkReferences(edit, changes, id, before.footageId, 'changes');
      await edit.update(
        'attempt',
        id,
        baseVersion,
        scalarRow(timed, times),
        () => this.differences(changes, { ...before, ...lists }),
        (field) => COLUMNS[field] ?? [field],
      );
      const written = await this.writeLists(edit, id, lists, timed);
      for (const list of written) await edit.bump('attempt', id, list);
    });
    return this.library.changed(academy, touched);
  }

  async editClip(session: Session, id: string, { editId, baseVersion, changes }: ClipEdit): Promise<Changed> {
    const academy = session.academyId;
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const whole = await this.clips.clipWhole(academy, id, edit.transaction);
      if (!whole) throw notFound();
      const { clip, attempt, angle } = whole;
      const times = await this.media.frameTimes(academy, angle.fileId);
      const inFrame = changes.inFrame ?? clip.in.frame,
        outFrame = changes.outFrame ?? clip.out.frame;
      this.checkRange(inFrame, outFrame, angle, 'changes');
      const row: Row = {
        ...(changes.note === undefined ? {} : { note: changes.note }),
        ...(changes.seen === undefined ? {} : { seen: changes.seen }),
      };
      const timed = timing(angle, times, 'changes');
      if (changes.keyMoments)
        row['keyMoments'] = changes.keyMoments.map((m, i) => ({ ...m, at: timed(m.at, `keyMoments.${i}.at`) }));
      if (changes.loops)
        row['loops'] = changes.loops.map((l, i) => {
          if (l.out.frame <= l.in.frame) throw invalid(`changes.loops.${i}.out`, 'must come after in');
          return { ...l, in: timed(l.in, `loops.${i}.in`), out: timed(l.out, `loops.${i}.out`) };
        });
      if (changes.inFrame !== undefined) Object.assign(row, { inFrame, inPts: times.instant(inFrame).pts });
      if (changes.outFrame !== undefined) Object.assign(row, { outFrame, outPts: times.instant(outFrame).pts });
      const theirs: Record<string, unknown> = { ...clip, inFrame: clip.in.frame, outFrame: clip.out.frame };
      await edit.update('clip', id, baseVersion, row, () =>
        Object.entries(changes).map(([field, yours]) => ({ field, yours, theirs: theirs[field] })),
      );
      const cut = recut(attempt, clip, { ...clip, in: times.instant(inFrame), out: times.instant(outFrame) });
      if (cut === attempt) return;
      const frames = {
        startFrame: cut.start.frame,
        endFrame: cut.end.frame,
        commitFrame: cut.commit?.frame ?? null,
      };
      await edit.update('attempt', attempt.id, null, scalarRow(frames, times));
    });
    return this.library.changed(academy, touched);
  }

  /** Puts a clip in the bin, and its attempt with it when no other clip looks at that. */
  async remove(session: Session, id: string, { editId, baseVersion }: Removal): Promise<Changed> {
    const academy = session.academyId;
    return this.bin.remove(session, 'clip', id, editId, async (edit) => {
      const { attemptId } = (await edit.require('clip', id)) as { readonly attemptId: string };
      await edit.remove('clip', id, baseVersion);
      if ((await this.clips.otherClips(academy, attemptId, id, edit.transaction)) === 0)
        await edit.remove('attempt', attemptId, null);
    });
  }

  private checkRange(
    inFrame: number,
    outFrame: number,
    angle: { fromFrame: number; toFrame: number },
    prefix: string,
  ): void {
    if (outFrame <= inFrame) throw invalid(`${prefix}.outFrame`, 'must come after inFrame');
    if (inFrame < angle.fromFrame) throw invalid(`${prefix}.inFrame`, 'lies before the beginning of the footage');
    if (outFrame > angle.toFrame) throw invalid(`${prefix}.outFrame`, 'lies behind the end of the footage');
  }

  private checkInstants(inFrame: number, start: number, commit: number | null, end: number, outFrame: number): void {
    if (start < inFrame || start > end) throw invalid('attempt.startFrame', 'must lie between in and end');
    if (end > outFrame) throw invalid('attempt.endFrame', 'must lie between start and out');
    if (commit !== null && (commit < start || commit > end))
      throw invalid('attempt.commitFrame', 'must lie between start and end');
  }

  /** How the fields that were sent differ from what is there now, in the words of the request. */
  private differences(changes: Partial<AttemptFields>, now: Attempt): readonly Difference[] {
    const theirs: Record<string, unknown> = {
      ...now,
      startFrame: now.start.frame,
      commitFrame: now.commit?.frame ?? null,
      endFrame: now.end.frame,
    };
    return Object.entries(changes).map(([field, yours]) => ({ field, yours, theirs: theirs[field] }));
  }

  /** Brings the lists of an attempt to what was sent; gives the names of those that changed. */
  private async writeLists(
    edit: Edit,
    attemptId: string,
    before: Pick<Attempt, 'controls' | 'reactions' | 'reasons'> | undefined,
    { controls, reactions, reasons }: Partial<AttemptFields>,
  ): Promise<readonly string[]> {
    const changed: string[] = [];
    if (controls && (await edit.writeList('control', attemptId, before?.controls ?? [], controls, fromControl)))
      changed.push('controls');
    if (reactions && (await edit.writeList('reaction', attemptId, before?.reactions ?? [], reactions, fromReaction)))
      changed.push('reactions');
    if (reasons && (await edit.writeList('reason', attemptId, before?.reasons ?? [], reasons, fromReason)))
      changed.push('reasons');
    return changed;
  }
}
