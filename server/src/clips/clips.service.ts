import { Inject, Injectable } from '@nestjs/common';
import { BARE_ATTEMPT, BARE_CLIP, asSaid, recut, viewFault, type Attempt } from '@odograph/core';
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
import type { Session } from '../doors/session.js';
import { BinService } from '../bin/bin.service.js';
import { ChangesService } from '../changes/changes.service.js';
import type { Edit } from '../changes/edit.js';
import { fromSent, type InstantOf } from '../changes/fromSent.js';
import { checkWords, mayHaveWords } from '../changes/wordCheck.js';
import { invalid } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';
import { MediaService, type FrameTimes } from '../media/media.service.js';
import { ClipsRepository } from './clips.repository.js';
import { checkEvidence, checkLinks, checkWhy } from './whyCheck.js';

type Frames = { readonly fromFrame: number; readonly toFrame: number };

/** Gives the instant of a frame with the presentation time that the file has for it; one outside the angle is refused by the name of its field. */
const timing =
  ({ fromFrame, toFrame }: Frames, times: FrameTimes, prefix: string): InstantOf =>
  (frame, field) => {
    if (frame < fromFrame || frame > toFrame) throw invalid(`${prefix}.${field}`, { code: 'outside-footage' });
    return times.instant(frame);
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
    { academyId, accountId }: Session,
    { attempt, clip }: Omit<NewClip, 'editId'>,
    at: string,
  ): Promise<void> {
    const angle = await edit.require('angle', clip.angleId);
    const times = await this.media.frameTimes(academyId, angle.fileId);
    this.checkRange(clip.inFrame, clip.outFrame, angle, `${at}clip`);
    const startFrame = attempt.startFrame ?? clip.inFrame;
    const endFrame = attempt.endFrame ?? clip.outFrame;
    this.checkInstants(clip.inFrame, startFrame, attempt.commitFrame ?? null, endFrame, clip.outFrame);
    const words = await this.library.words(academyId, edit.transaction);
    checkWords('attempt', attempt, words, `${at}attempt.`);
    const said = fromSent('attempt', attempt, timing(angle, times, `${at}attempt`));
    await this.checkReferences(edit, attempt, attempt.id, angle.footageId, `${at}attempt`);
    const made = {
      ...BARE_ATTEMPT,
      ...said,
      ...{ subject: attempt.subject, footageId: angle.footageId, angleId: clip.angleId },
      ...{ start: times.instant(startFrame), end: times.instant(endFrame) },
    };
    checkWhy(attempt, made, words, `${at}attempt`);
    await this.checkLinks(edit, academyId, attempt, { ...made, id: attempt.id, version: 1 }, `${at}attempt`);
    const told = { footageId: angle.footageId, before: [], accountId };
    await checkEvidence(edit, made.evidence, told, `${at}attempt`);
    await edit.create('attempt', attempt.id, made);
    await this.writeClip(edit, clip, attempt.id, times);
  }

  /** One more clip of an attempt, on any angle of the attempt's footage. */
  async addLook(session: Session, attemptId: string, { editId, clip }: NewLook): Promise<Changed> {
    const { academyId } = session;
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const attempt = await edit.require('attempt', attemptId);
      const angle = await edit.require('angle', clip.angleId);
      if (angle.footageId !== attempt.footageId) throw invalid('clip.angleId', { code: 'other-footage' });
      const times = await this.media.frameTimes(academyId, angle.fileId);
      this.checkRange(clip.inFrame, clip.outFrame, angle, 'clip');
      await this.writeClip(edit, clip, attemptId, times);
    });
    return this.library.changed(academyId, touched);
  }

  private writeClip(edit: Edit, clip: NewClip['clip'], attemptId: string, times: FrameTimes): Promise<void> {
    return edit.create('clip', clip.id, {
      ...BARE_CLIP,
      ...{ attemptId, angleId: clip.angleId, note: clip.note ?? '' },
      ...{ in: times.instant(clip.inFrame), out: times.instant(clip.outFrame) },
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
      if (other === id) throw invalid(`${prefix}.${field}`, { code: 'itself' });
      const found = await edit.find('attempt', other);
      if (found?.footageId !== footageId) throw invalid(`${prefix}.${field}`, { code: 'other-footage' });
    }
  }

  private checkLinks(
    edit: Edit,
    academy: Session['academyId'],
    fields: Partial<AttemptFields>,
    after: Attempt,
    prefix: string,
  ): Promise<void> {
    const others = () => this.clips.linked(academy, after.footageId, edit.transaction);
    return checkLinks(edit, fields, after, others, prefix);
  }

  async editAttempt(session: Session, id: string, { editId, baseVersion, changes }: AttemptEdit): Promise<Changed> {
    const academy = session.academyId;
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const before = await edit.require('attempt', id);
      const angle = await edit.require('angle', before.angleId);
      const words = mayHaveWords('attempt', changes) ? await this.library.words(academy, edit.transaction) : undefined;
      if (words) checkWords('attempt', changes, words, 'changes.');
      const times = await this.media.frameTimes(academy, angle.fileId);
      if ('startFrame' in changes || 'endFrame' in changes || 'commitFrame' in changes) {
        const { startFrame = before.start.frame, endFrame = before.end.frame } = changes;
        const { commitFrame = before.commit?.frame ?? null } = changes;
        this.checkInstants(angle.fromFrame, startFrame, commitFrame, endFrame, angle.toFrame);
      }
      await this.checkReferences(edit, changes, id, before.footageId, 'changes');
      const said = fromSent('attempt', changes, timing(angle, times, 'changes'));
      const after = { ...before, ...said };
      if (words) checkWhy(changes, after, words, 'changes');
      await this.checkLinks(edit, academy, changes, after, 'changes');
      if (changes.evidence) {
        const told = { footageId: before.footageId, before: before.evidence, accountId: session.accountId };
        await checkEvidence(edit, after.evidence, told, 'changes');
      }
      await edit.update('attempt', id, baseVersion, said, asSaid(before, said));
    });
    return this.library.changed(academy, touched);
  }

  async editClip(session: Session, id: string, { editId, baseVersion, changes }: ClipEdit): Promise<Changed> {
    const academy = session.academyId;
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const clip = await edit.require('clip', id);
      const angle = await edit.require('angle', clip.angleId);
      const times = await this.media.frameTimes(academy, angle.fileId);
      const { inFrame = clip.in.frame, outFrame = clip.out.frame } = changes;
      this.checkRange(inFrame, outFrame, angle, 'changes');
      const early = changes.loops?.findIndex((loop) => loop.out.frame <= loop.in.frame) ?? -1;
      if (early >= 0) throw invalid(`changes.loops.${early}.out`, { code: 'not-after', facts: { field: 'inFrame' } });
      const fault = changes.views && viewFault(changes.views);
      if (fault)
        throw invalid(
          `changes.views.${fault.at}`,
          fault.is === 'empty' ? { code: 'not-after', facts: { field: 'inFrame' } } : { code: 'not-possible' },
        );
      const said = fromSent('clip', changes, timing(angle, times, 'changes'));
      await edit.update('clip', id, baseVersion, said);
      const attempt = await edit.require('attempt', clip.attemptId);
      const cut = recut(attempt, clip, { ...clip, ...said });
      if (cut === attempt) return;
      const { start, commit, end } = cut;
      await edit.update('attempt', attempt.id, null, { start, commit, end });
    });
    return this.library.changed(academy, touched);
  }

  /** Puts a clip in the bin, and its attempt with it when no other clip looks at that. */
  async remove(session: Session, id: string, { editId, baseVersion }: Removal): Promise<Changed> {
    const academy = session.academyId;
    return this.bin.remove(session, 'clip', id, editId, async (edit) => {
      const { attemptId } = await edit.require('clip', id);
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
    if (outFrame <= inFrame) throw invalid(`${prefix}.outFrame`, { code: 'not-after', facts: { field: 'inFrame' } });
    if (inFrame < angle.fromFrame) throw invalid(`${prefix}.inFrame`, { code: 'outside-footage' });
    if (outFrame > angle.toFrame) throw invalid(`${prefix}.outFrame`, { code: 'outside-footage' });
  }

  private checkInstants(inFrame: number, start: number, commit: number | null, end: number, outFrame: number): void {
    if (start < inFrame || start > end)
      throw invalid('attempt.startFrame', { code: 'not-between', facts: { from: 'inFrame', to: 'endFrame' } });
    if (end > outFrame)
      throw invalid('attempt.endFrame', { code: 'not-between', facts: { from: 'startFrame', to: 'outFrame' } });
    if (commit !== null && (commit < start || commit > end))
      throw invalid('attempt.commitFrame', { code: 'not-between', facts: { from: 'startFrame', to: 'endFrame' } });
  }
}
