import { Inject, Injectable } from '@nestjs/common';
import {
  readPlace,
  routeFaults,
  routeVtt,
  type RouteFault,
  type RouteShape,
  type RouteStep,
  type Words,
} from '@odograph/core';
import type { Changed, NewRoute, Removal, RouteEdit } from '@odograph/core/contract';
import type { Session } from '../doors/session.js';
import { BinService } from '../bin/bin.service.js';
import { ChangesService } from '../changes/changes.service.js';
import type { Edit } from '../changes/edit.js';
import { invalid, notFound, type Refused } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';

/** What is wrong with how a route runs, as the field that it lies in. */
const faultRefused = (fault: RouteFault, prefix: string): Refused => {
  switch (fault.fault) {
    case 'no start':
      return invalid(`${prefix}steps`, { code: 'missing' });
    case 'unknown branch':
      return invalid(`${prefix}steps.${fault.step}.branch`, { code: 'not-here', facts: { what: 'branch' } });
    case 'leaves nowhere':
      return invalid(`${prefix}branches.${fault.branch}.from`, { code: 'not-here', facts: { what: 'step' } });
    case 'joins nowhere':
      return invalid(`${prefix}branches.${fault.branch}.joins`, { code: 'not-here', facts: { what: 'step' } });
    case 'leads nowhere':
      return invalid(`${prefix}branches.${fault.branch}.joins`, { code: 'missing' });
    case 'twice':
      return invalid(`${prefix}branches.${fault.branch}.on`, { code: 'twice' });
    case 'circle':
      return invalid(`${prefix}branches.${fault.branch}.joins`, { code: 'goes-round' });
  }
};

@Injectable()
export class RoutesService {
  constructor(
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(BinService) private readonly bin: BinService,
  ) {}

  /** What a step says has to be known: a line whole, anything else at least by a name or a clip. */
  private checkStep(step: RouteStep, words: Words, at: string): void {
    const isPlace = (id: string): boolean => {
      const place = readPlace(id);
      if (place?.kind === 'state') return words.hasRole(place.position, place.role);
      return place?.kind === 'submission' ? words.submission(place.submission) !== undefined : place !== undefined;
    };
    for (const field of ['from', 'to'] as const) {
      const id = step[field];
      if (id !== null && !isPlace(id)) throw invalid(`${at}.${field}`, { code: 'not-here', facts: { what: 'place' } });
    }
    if (step.action !== null && !words.action(step.action))
      throw invalid(`${at}.action`, { code: 'not-here', facts: { what: 'word' } });
    if (step.kind !== 'line') {
      if (!step.title && step.clipId === null && step.from === null) throw invalid(`${at}.title`, { code: 'missing' });
      return;
    }
    for (const field of ['from', 'action', 'to'] as const)
      if (step[field] === null) throw invalid(`${at}.${field}`, { code: 'missing' });
  }

  /** Words that are known, clips that are there, and ways that lead somewhere. */
  private async check(edit: Edit, { academyId }: Session, shape: RouteShape, prefix: string): Promise<void> {
    const words = await this.library.words(academyId, edit.transaction);
    const { steps, branches } = shape;
    for (const [i, step] of steps.entries()) this.checkStep(step, words, `${prefix}steps.${i}`);
    for (const [i, { on }] of branches.entries())
      if (on.kind === 'reaction' && !words.get('reaction', on.reaction))
        throw invalid(`${prefix}branches.${i}.on.reaction`, { code: 'not-here', facts: { what: 'word' } });
    const [fault] = routeFaults(shape);
    if (fault) throw faultRefused(fault, prefix);
    const shown = steps.flatMap((s, i) => [
      ...(s.clipId === null ? [] : [[s.clipId, `steps.${i}.clipId`] as const]),
      ...s.clips.map((c, k) => [c.clipId, `steps.${i}.clips.${k}.clipId`] as const),
    ]);
    const there = await edit.there(
      'clip',
      shown.map(([id]) => id),
    );
    const gone = shown.find(([id]) => !there.has(id));
    if (gone) throw invalid(`${prefix}${gone[1]}`, { code: 'not-here', facts: { what: 'clip' } });
  }

  async create(session: Session, { editId, id, ...said }: NewRoute): Promise<Changed> {
    const touched = await this.changes.edit(session, editId, async (edit) => {
      await this.check(edit, session, said, '');
      await edit.create('route', id, said);
    });
    return this.library.changed(session.academyId, touched);
  }

  async edit(session: Session, id: string, { editId, baseVersion, changes }: RouteEdit): Promise<Changed> {
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const before = await edit.require('route', id);
      if (changes.steps || changes.branches) await this.check(edit, session, { ...before, ...changes }, 'changes.');
      await edit.update('route', id, baseVersion, changes);
    });
    return this.library.changed(session.academyId, touched);
  }

  remove(session: Session, id: string, { editId, baseVersion }: Removal): Promise<Changed> {
    return this.bin.remove(session, 'route', id, editId, (edit) => edit.remove('route', id, baseVersion));
  }

  /** The route as timed text: what is said at each step while its clips play one after the other. */
  async vtt(session: Session, id: string): Promise<string> {
    const library = await this.library.ofRoute(session, id);
    const route = library.routes.find((r) => r.id === id);
    if (!route) throw notFound();
    return routeVtt(route, library);
  }
}
