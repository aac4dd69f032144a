import { Inject, Injectable } from '@nestjs/common';
import type { AthleteRef, Changed, FootageEdit, NewFootage } from '@odograph/core/contract';
import type { Session } from '../accounts/session.js';
import { ChangesService } from '../changes/changes.service.js';
import type { Edit } from '../changes/edit.js';
import { invalid } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';
import { MediaService } from '../media/media.service.js';

@Injectable()
export class FootageService {
  constructor(
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(MediaService) private readonly media: MediaService,
  ) {}

  /** A footage with its first angle: the whole of one file. */
  async create(session: Session, request: NewFootage): Promise<Changed> {
    const { editId, id, angleId, fileId, athleteA, athleteB, ...fields } = request;
    const file = await this.media.require(session.academyId, fileId);
    const times = await this.media.frameTimes(session.academyId, fileId);
    if (athleteA.id === athleteB.id) throw invalid('athleteB', 'must be somebody else than athleteA');
    const touched = await this.changes.edit(session, editId, async (edit) => {
      await this.person(edit, athleteA);
      await this.person(edit, athleteB);
      await edit.create('footage', id, { ...fields, athleteA: athleteA.id, athleteB: athleteB.id });
      await edit.create('angle', angleId, {
        footageId: id,
        fileId,
        fromFrame: 0,
        toFrame: file.frames,
        fromPts: times.instant(0).pts,
        toPts: times.instant(file.frames).pts,
        offsetMs: 0,
        rate: 1,
        kind: 'live',
      });
      edit.touch('file', fileId);
    });
    return this.library.changed(session.academyId, touched);
  }

  async edit(session: Session, id: string, { editId, baseVersion, changes }: FootageEdit): Promise<Changed> {
    const { athleteA, athleteB, ...fields } = changes;
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const row = await edit.require('footage', id);
      const a = athleteA?.id ?? row['athleteA'],
        b = athleteB?.id ?? row['athleteB'];
      if (a === b)
        throw invalid(
          athleteB ? 'changes.athleteB' : 'changes.athleteA',
          'must be somebody else than the other athlete',
        );
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
    else await edit.create('person', athlete.id, { name: athlete.name });
  }
}
