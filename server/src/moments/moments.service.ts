import { Inject, Injectable } from '@nestjs/common';
import { BARE_MOMENT, type Angle } from '@odograph/core';
import type { Changed, MomentEdit, NewMoment, Removal } from '@odograph/core/contract';
import type { Session } from '../doors/session.js';
import { ChangesService } from '../changes/changes.service.js';
import { fromSent } from '../changes/fromSent.js';
import { invalid } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';
import { MediaService } from '../media/media.service.js';

/** Marks: instants of footage at which something happened, not yet clips. */
@Injectable()
export class MomentsService {
  constructor(
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(MediaService) private readonly media: MediaService,
  ) {}

  private check(frame: number, angle: Angle, field: string): void {
    if (frame < angle.fromFrame || frame >= angle.toFrame) throw invalid(field, { code: 'outside-footage' });
  }

  async create(session: Session, body: NewMoment): Promise<Changed> {
    const { editId, id, angleId, atFrame, pressedFrame, speed } = body;
    const { academyId, accountId } = session;
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const angle = await edit.require('angle', angleId);
      this.check(atFrame, angle, 'atFrame');
      this.check(pressedFrame, angle, 'pressedFrame');
      const times = await this.media.frameTimes(academyId, angle.fileId);
      const [at, pressed] = [times.instant(atFrame), times.instant(pressedFrame)];
      await edit.create('moment', id, {
        ...BARE_MOMENT,
        ...{ footageId: angle.footageId, angleId, accountId, speed, at, pressed },
      });
    });
    return this.library.changed(academyId, touched);
  }

  /** An instant that is set by hand settles the mark: it tells how late its key was pressed. */
  async edit(session: Session, id: string, { editId, baseVersion, changes }: MomentEdit): Promise<Changed> {
    const academy = session.academyId;
    const { state, attemptId } = changes;
    const touched = await this.changes.edit(session, editId, async (edit) => {
      const moment = await edit.require('moment', id);
      const angle = await edit.require('angle', moment.angleId);
      if (state && !(await this.library.words(academy, edit.transaction)).hasRole(state.position, state.role))
        throw invalid('changes.state', { code: 'not-here', facts: { what: 'place' } });
      if (attemptId && (await edit.find('attempt', attemptId))?.footageId !== moment.footageId)
        throw invalid('changes.attemptId', { code: 'not-here', facts: { what: 'attempt' } });
      const times = await this.media.frameTimes(academy, angle.fileId);
      const said = fromSent('moment', changes, (frame, field) => {
        this.check(frame, angle, `changes.${field}`);
        return times.instant(frame);
      });
      await edit.update('moment', id, baseVersion, said, said.at ? { settled: true } : {});
    });
    return this.library.changed(academy, touched);
  }

  /** Takes a mark off; undo brings it back. */
  async remove(session: Session, id: string, { editId, baseVersion }: Removal): Promise<Changed> {
    const touched = await this.changes.edit(session, editId, (edit) => edit.remove('moment', id, baseVersion));
    return this.library.changed(session.academyId, touched);
  }
}
