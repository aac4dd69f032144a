import { Inject, Injectable } from '@nestjs/common';
import type { AthleteRef, Changed, FootageEdit, NewAngle, NewFootage } from '@odograph/core/contract';
import type { Session } from '../accounts/session.js';
import { ChangesService } from '../changes/changes.service.js';
import type { Edit } from '../changes/edit.js';
import type { Row } from '../database/models.js';
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
    const whole = await this.wholeFile(session, fileId);
    if (athleteA.id === athleteB.id) throw invalid('athleteB', 'must be somebody else than athleteA');
    const touched = await this.changes.edit(session, editId, async (edit) => {
      await this.person(edit, athleteA);
      await this.person(edit, athleteB);
      await edit.create('footage', id, { ...fields, athleteA: athleteA.id, athleteB: athleteB.id });
      await edit.create('angle', angleId, { footageId: id, offsetMs: 0, ...whole });
      edit.touch('file', fileId);
    });
    return this.library.changed(session.academyId, touched);
  }

  /** One more angle of footage: the whole of another file of the same event. */
  async addAngle(session: Session, footageId: string, request: NewAngle): Promise<Changed> {
    const { editId, id, fileId, offsetMs } = request;
    const whole = await this.wholeFile(session, fileId);
    const touched = await this.changes.edit(session, editId, async (edit) => {
      await edit.require('footage', footageId);
      await edit.create('angle', id, { footageId, offsetMs, ...whole });
      edit.touch('file', fileId);
    });
    return this.library.changed(session.academyId, touched);
  }

  private async wholeFile({ academyId }: Session, fileId: string): Promise<Row> {
    const file = await this.media.require(academyId, fileId);
    const times = await this.media.frameTimes(academyId, fileId);
    return {
      fileId,
      fromFrame: 0,
      toFrame: file.frames,
      fromPts: times.instant(0).pts,
      toPts: times.instant(file.frames).pts,
      rate: 1,
      kind: 'live',
    };
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
