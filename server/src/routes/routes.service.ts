import { Inject, Injectable } from '@nestjs/common';
import { readPlace, routeVtt, type RouteStep, type Words } from '@odograph/core';
import type { Changed, NewRoute, Removal, RouteEdit } from '@odograph/core/contract';
import type { Session } from '../doors/session.js';
import { BinService } from '../bin/bin.service.js';
import { ChangesService } from '../changes/changes.service.js';
import type { Edit } from '../changes/edit.js';
import { invalid, notFound } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';
import { RoutesRepository } from './routes.repository.js';

@Injectable()
export class RoutesService {
  constructor(
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(RoutesRepository) private readonly routes: RoutesRepository,
    @Inject(BinService) private readonly bin: BinService,
  ) {}

  /** Steps must follow on from each other, say words that are known, and show clips that are there. */
  private async check(edit: Edit, { academyId }: Session, steps: readonly RouteStep[], prefix: string): Promise<void> {
    const words = await this.library.words(academyId, edit.transaction);
    const isPlace = (id: string, known: Words): boolean => {
      const place = readPlace(id);
      if (place?.kind === 'state') return known.hasRole(place.position, place.role);
      return place?.kind === 'submission' ? known.submission(place.submission) !== undefined : place !== undefined;
    };
    for (const [i, step] of steps.entries()) {
      const at = `${prefix}.${i}`;
      if (!isPlace(step.from, words)) throw invalid(`${at}.from`, { code: 'not-here', facts: { what: 'place' } });
      if (!isPlace(step.to, words)) throw invalid(`${at}.to`, { code: 'not-here', facts: { what: 'place' } });
      if (!words.action(step.action)) throw invalid(`${at}.action`, { code: 'not-here', facts: { what: 'word' } });
      if (i > 0 && steps[i - 1]!.to !== step.from) throw invalid(`${at}.from`, { code: 'not-joined' });
    }
    const clips = steps.flatMap((s) => s.clipId ?? []);
    const there = await this.routes.clipsThere(academyId, clips, edit.transaction);
    const gone = steps.findIndex((s) => s.clipId !== null && !there.has(s.clipId));
    if (gone >= 0) throw invalid(`${prefix}.${gone}.clipId`, { code: 'not-here', facts: { what: 'clip' } });
  }

  async create(session: Session, { editId, id, name, steps }: NewRoute): Promise<Changed> {
    const touched = await this.changes.edit(session, editId, async (edit) => {
      await this.check(edit, session, steps, 'steps');
      await edit.create('route', id, { name, steps });
    });
    return this.library.changed(session.academyId, touched);
  }

  async edit(session: Session, id: string, { editId, baseVersion, changes }: RouteEdit): Promise<Changed> {
    const touched = await this.changes.edit(session, editId, async (edit) => {
      await edit.require('route', id);
      if (changes.steps) await this.check(edit, session, changes.steps, 'changes.steps');
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
