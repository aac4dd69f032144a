import { Inject, Injectable } from '@nestjs/common';
import {
  BARE_DRAWING,
  factFault,
  isEmptyScope,
  isWhole,
  type Angle,
  type Collection,
  type Drawing,
  type Pattern,
  type Principle,
  type Todo,
  type Words,
} from '@odograph/core';
import type {
  Changed,
  CollectionEdit,
  DrawingEdit,
  NewCollection,
  NewDrawing,
  NewPlan,
  NewPolicy,
  NewPrinciple,
  NewTodo,
  PlanEdit,
  PolicyEdit,
  PrincipleEdit,
  Removal,
  TodoEdit,
} from '@odograph/core/contract';
import type { Session } from '../doors/session.js';
import { ChangesService } from '../changes/changes.service.js';
import type { Edit } from '../changes/edit.js';
import { fromSent } from '../changes/fromSent.js';
import { whyFaultOf } from '../changes/whyFault.js';
import { checkWords } from '../changes/wordCheck.js';
import { invalid } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';
import { MediaService, type FrameTimes } from '../media/media.service.js';

/** The kinds of rows that are told beside the attempts. */
type Beside = 'principle' | 'todo' | 'drawing' | 'plan' | 'collection';

/** What must and may be, lists that stay open, what is drawn on pictures, what is planned, and clips gathered under a name. */
@Injectable()
export class WhyService {
  constructor(
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(MediaService) private readonly media: MediaService,
  ) {}

  private async done(session: Session, editId: string, write: (edit: Edit) => Promise<void>): Promise<Changed> {
    return this.library.changed(session.academyId, await this.changes.edit(session, editId, write));
  }

  /** Ids of clips and persons that a row names, each there and of this academy. */
  private async checkThere(
    edit: Edit,
    named: readonly (readonly [entity: 'clip' | 'person' | 'footage', id: string, field: string])[],
  ): Promise<void> {
    for (const [entity, id, field] of named)
      if (!(await edit.find(entity, id)))
        throw invalid(field, { code: 'not-here', facts: { what: entity === 'person' ? 'member' : entity } });
  }

  private checkPattern(pattern: Pattern | null | undefined, words: Words, field: string): void {
    if (pattern?.kind !== 'fact') return;
    const [fault] = factFault(pattern, words);
    if (fault) throw invalid(`${field}.${fault.path}`, whyFaultOf(fault));
  }

  /** `after` is the principle as the request leaves it. */
  private async checkPrinciple(
    edit: Edit,
    { academyId }: Session,
    said: Partial<Principle>,
    after: Pick<Principle, 'scope' | 'pattern' | 'answer' | 'strength' | 'habitOf'>,
    prefix: string,
  ): Promise<void> {
    const words = await this.library.words(academyId, edit.transaction);
    checkWords('principle', said, words, prefix);
    this.checkPattern(said.pattern, words, `${prefix}pattern`);
    if (isEmptyScope(after.scope)) throw invalid(`${prefix}scope`, { code: 'missing' });
    // it asks for one thing: for something that is there, or for an answer to what they do
    if (after.pattern !== null && after.answer !== null) throw invalid(`${prefix}answer`, { code: 'not-possible' });
    if (after.answer !== null && after.scope.reaction === null)
      throw invalid(`${prefix}scope.reaction`, { code: 'missing' });
    if ((after.strength === 'habit') !== (after.habitOf !== null))
      throw invalid(`${prefix}habitOf`, { code: after.habitOf === null ? 'missing' : 'not-possible' });
    await this.checkThere(edit, [
      ...(said.habitOf ? [['person', said.habitOf, `${prefix}habitOf`] as const] : []),
      ...(said.view?.kind === 'person' ? [['person', said.view.personId, `${prefix}view.personId`] as const] : []),
      ...(['clipsFor', 'clipsAgainst'] as const).flatMap((list) =>
        (said[list] ?? []).map((id, i) => ['clip', id, `${prefix}${list}.${i}`] as const),
      ),
    ]);
  }

  createPrinciple(session: Session, { editId, id, ...said }: NewPrinciple): Promise<Changed> {
    return this.done(session, editId, async (edit) => {
      await this.checkPrinciple(edit, session, said, said, '');
      await edit.create('principle', id, said);
    });
  }

  editPrinciple(session: Session, id: string, { editId, baseVersion, changes }: PrincipleEdit): Promise<Changed> {
    return this.done(session, editId, async (edit) => {
      const before = await edit.require('principle', id);
      await this.checkPrinciple(edit, session, changes, { ...before, ...changes }, 'changes.');
      await edit.update('principle', id, baseVersion, changes);
    });
  }

  private async checkTodo(
    edit: Edit,
    { academyId }: Session,
    said: Partial<Todo>,
    after: Pick<Todo, 'at' | 'footageId'>,
    prefix: string,
  ): Promise<void> {
    checkWords('todo', said, await this.library.words(academyId, edit.transaction), prefix);
    await this.checkThere(edit, [
      ...(said.footageId ? [['footage', said.footageId, `${prefix}footageId`] as const] : []),
      ...(said.clipIds ?? []).map((id, i) => ['clip', id, `${prefix}clipIds.${i}`] as const),
      ...(said.personIds ?? []).map((id, i) => ['person', id, `${prefix}personIds.${i}`] as const),
      ...(said.parts ?? []).flatMap((part, i) =>
        part.clipId === null ? [] : [['clip', part.clipId, `${prefix}parts.${i}.clipId`] as const],
      ),
    ]);
    if (!said.at || !after.at) return;
    const angle = await edit.find('angle', after.at.angleId);
    if (!angle || angle.footageId !== after.footageId) throw invalid(`${prefix}at.angleId`, { code: 'other-footage' });
    this.checkFrame(after.at.frame, angle, `${prefix}at.frame`);
  }

  createTodo(session: Session, { editId, id, ...said }: NewTodo): Promise<Changed> {
    return this.done(session, editId, async (edit) => {
      await this.checkTodo(edit, session, said, said, '');
      await edit.create('todo', id, said);
    });
  }

  editTodo(session: Session, id: string, { editId, baseVersion, changes }: TodoEdit): Promise<Changed> {
    return this.done(session, editId, async (edit) => {
      const before = await edit.require('todo', id);
      await this.checkTodo(edit, session, changes, { ...before, ...changes }, 'changes.');
      await edit.update('todo', id, baseVersion, changes);
    });
  }

  private checkFrame(frame: number, angle: Angle, field: string): void {
    if (frame < angle.fromFrame || frame >= angle.toFrame) throw invalid(field, { code: 'outside-footage' });
  }

  /** What a request says of a drawing, with the times of its file; refused where it lies beside the footage, ends before it begins, or a shape lacks points. */
  private drawn(
    sent: object,
    before: Pick<Drawing, 'from' | 'to'> | null,
    angle: Angle,
    times: FrameTimes,
    prefix: string,
  ): Partial<Drawing> {
    const said = fromSent('drawing', sent, (frame, field) => {
      this.checkFrame(frame, angle, `${prefix}${field}`);
      return times.instant(frame);
    });
    const [from, to] = [said.from ?? before?.from, said.to ?? before?.to];
    if (from && to && to.frame < from.frame)
      throw invalid(`${prefix}toFrame`, { code: 'not-after', facts: { field: 'fromFrame' } });
    const broken = said.shapes?.findIndex((shape) => !isWhole(shape)) ?? -1;
    if (broken >= 0) throw invalid(`${prefix}shapes.${broken}.points`, { code: 'not-possible' });
    const back = said.track?.findIndex((point, i) => i > 0 && point.t < said.track![i - 1]!.t) ?? -1;
    if (back >= 0)
      throw invalid(`${prefix}track.${back}.t`, { code: 'not-after', facts: { field: `track.${back - 1}.t` } });
    return said;
  }

  createDrawing(session: Session, { editId, id, angleId, ...sent }: NewDrawing): Promise<Changed> {
    return this.done(session, editId, async (edit) => {
      const angle = await edit.require('angle', angleId);
      const times = await this.media.frameTimes(session.academyId, angle.fileId);
      const said = this.drawn(sent, null, angle, times, '');
      await edit.create('drawing', id, {
        ...BARE_DRAWING,
        ...(said as Drawing),
        ...{ footageId: angle.footageId, angleId },
      });
    });
  }

  editDrawing(session: Session, id: string, { editId, baseVersion, changes }: DrawingEdit): Promise<Changed> {
    return this.done(session, editId, async (edit) => {
      const before = await edit.require('drawing', id);
      const angle = await edit.require('angle', before.angleId);
      const times = await this.media.frameTimes(session.academyId, angle.fileId);
      await edit.update('drawing', id, baseVersion, this.drawn(changes, before, angle, times, 'changes.'));
    });
  }

  createPlan(session: Session, { editId, id, ...said }: NewPlan): Promise<Changed> {
    return this.done(session, editId, async (edit) => {
      checkWords('plan', said, await this.library.words(session.academyId, edit.transaction), '');
      await edit.create('plan', id, said);
    });
  }

  editPlan(session: Session, id: string, { editId, baseVersion, changes }: PlanEdit): Promise<Changed> {
    return this.done(session, editId, (edit) => edit.update('plan', id, baseVersion, changes));
  }

  /** Clips that are put into a collection are there; those that have gone since stay as they were said. */
  private async checkCollection(
    edit: Edit,
    said: Partial<Collection>,
    before: readonly string[],
    prefix: string,
  ): Promise<void> {
    const known = new Set(before);
    const put = said.clipIds ?? [];
    const there = await edit.there(
      'clip',
      put.filter((id) => !known.has(id)),
    );
    const gone = put.findIndex((id) => !known.has(id) && !there.has(id));
    if (gone >= 0) throw invalid(`${prefix}clipIds.${gone}`, { code: 'not-here', facts: { what: 'clip' } });
  }

  createCollection(session: Session, { editId, id, ...said }: NewCollection): Promise<Changed> {
    return this.done(session, editId, async (edit) => {
      await this.checkCollection(edit, said, [], '');
      await edit.create('collection', id, said);
    });
  }

  editCollection(session: Session, id: string, { editId, baseVersion, changes }: CollectionEdit): Promise<Changed> {
    return this.done(session, editId, async (edit) => {
      const before = await edit.require('collection', id);
      await this.checkCollection(edit, changes, before.clipIds, 'changes.');
      await edit.update('collection', id, baseVersion, changes);
    });
  }

  /** An academy has one policy: another one is refused. */
  createPolicy(session: Session, { editId, id, ...said }: NewPolicy): Promise<Changed> {
    return this.done(session, editId, async (edit) => {
      if (await edit.any('policy')) throw invalid('id', { code: 'twice' });
      await edit.create('policy', id, said);
    });
  }

  editPolicy(session: Session, id: string, { editId, baseVersion, changes }: PolicyEdit): Promise<Changed> {
    return this.done(session, editId, (edit) => edit.update('policy', id, baseVersion, changes));
  }

  /** Takes it away; undo brings it back. */
  remove(session: Session, kind: Beside, id: string, { editId, baseVersion }: Removal): Promise<Changed> {
    return this.done(session, editId, (edit) => edit.remove(kind, id, baseVersion));
  }
}
