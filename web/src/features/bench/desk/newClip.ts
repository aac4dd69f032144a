import {
  BARE_CLIP,
  draftAttempt,
  ptsOf,
  type Clip,
  type Instant,
  type LibraryEdit,
  type Subject,
  type TimeTable,
} from '@odograph/core';
import { v7 as newId } from 'uuid';

export const instantAt = (table: TimeTable, frame: number): Instant => ({ frame, pts: ptsOf(table, frame) });

/** The edit that makes a clip over frames [in, out) and the attempt it looks at; all that is known of it is whose action it is. */
export const newClipEdit = (of: {
  readonly footageId: string;
  readonly angleId: string;
  readonly table: TimeTable;
  readonly subject: Subject;
  readonly inFrame: number;
  readonly outFrame: number;
}): Extract<LibraryEdit, { kind: 'new clip' }> => {
  const { footageId, angleId, table, subject, inFrame, outFrame } = of;
  const attemptId = newId();
  const [start, end] = [instantAt(table, inFrame), instantAt(table, outFrame)];
  const attempt = draftAttempt({ id: attemptId, footageId, angleId, subject, start, end });
  const clip: Clip = { id: newId(), version: 0, attemptId, angleId, in: start, out: end, ...BARE_CLIP };
  return { kind: 'new clip', editId: newId(), attempt, clip };
};
