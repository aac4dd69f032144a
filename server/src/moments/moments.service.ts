import { Inject, Injectable } from '@nestjs/common';
import type { Angle } from '@odograph/core';
import type { Changed, MomentEdit, NewMoment, Removal } from '@odograph/core/contract';
import type { Session } from '../accounts/session.js';
import { ChangesService } from '../changes/changes.service.js';
import type { Row } from '../database/models.js';
import { invalid, notFound } from '../errors/refused.js';
import { LibraryService } from '../library/library.service.js';
import { MediaService } from '../media/media.service.js';
import { MomentsRepository } from './moments.repository.js';

/** Marks: instants of footage at which something happened, not yet clips. */
@Injectable()
export class MomentsService {
  constructor(
    @Inject(ChangesService) private readonly changes: ChangesService,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(MediaService) private readonly media: MediaService,
    @Inject(MomentsRepository) private readonly moments: MomentsRepository,
  ) {}

  private check(frame: number, angle: Angle, field: string): void {
    if (frame < angle.fromFrame || frame >= angle.toFrame) throw invalid(field, 'lies outside the footage');
  }

  async create(session: Session, body: NewMoment): Promise<Changed> {
    const { editId, id, angleId, atFrame, pressedFrame, speed } = body;
    const { academyId, accountId } = session;
    const angle = await this.moments.angle(academyId, angleId);
    if (!angle) throw notFound();
    this.check(atFrame, angle, 'atFrame');
    this.check(pressedFrame, angle, 'pressedFrame');
    const times = await this.media.frameTimes(academyId, angle.fileId);
    const touched = await this.changes.edit(session, editId, (edit) =>
      edit.create('moment', id, {
        ...{ footageId: angle.footageId, angleId, accountId, speed, settled: false, note: '', attemptId: null },
        ...{ atFrame, atPts: times.instant(atFrame).pts },
        ...{ pressedFrame, pressedPts: times.instant(pressedFrame).pts },
      }),
    );
    return this.library.changed(academyId, touched);
  }

  /** An instant that is set by hand settles the mark: it tells how late its key was pressed. */
  async edit(session: Session, id: string, { editId, baseVersion, changes }: MomentEdit): Promise<Changed> {
    const academy = session.academyId;
    const moment = await this.moments.moment(academy, id);
    const angle = moment && (await this.moments.angle(academy, moment.angleId));
    if (!moment || !angle) throw notFound();
    const { atFrame, attemptId, state, subject, note } = changes;
    const row: Row = {};
    if (atFrame !== undefined) {
      this.check(atFrame, angle, 'changes.atFrame');
      const { pts } = (await this.media.frameTimes(academy, angle.fileId)).instant(atFrame);
      Object.assign(row, { atFrame, atPts: pts, settled: true });
    }
    if (state && !(await this.library.words(academy)).hasRole(state.position, state.role))
      throw invalid('changes.state', 'is not a place of this academy');
    if (state !== undefined) Object.assign(row, { position: state?.position ?? null, role: state?.role ?? null });
    if (attemptId && !(await this.moments.isAttemptOf(academy, attemptId, moment.footageId)))
      throw invalid('changes.attemptId', 'is no attempt of this footage');
    if (attemptId !== undefined) row['attemptId'] = attemptId;
    if (subject !== undefined) row['subject'] = subject;
    if (note !== undefined) row['note'] = note;
    const theirs: Record<string, unknown> = { ...moment, atFrame: moment.at.frame };
    const touched = await this.changes.edit(session, editId, (edit) =>
      edit.update(
        'moment',
        id,
        baseVersion,
        row,
        () => Object.entries(changes).map(([field, yours]) => ({ field, yours, theirs: theirs[field] })),
        (field) => (field === 'state' ? ['position', 'role'] : [field]),
      ),
    );
    return this.library.changed(academy, touched);
  }

  /** Takes a mark off; undo brings it back. */
  async remove(session: Session, id: string, { editId, baseVersion }: Removal): Promise<Changed> {
    const touched = await this.changes.edit(session, editId, (edit) => edit.remove('moment', id, baseVersion));
    return this.library.changed(session.academyId, touched);
  }
}
