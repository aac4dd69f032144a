import { describe, expect, test } from '@jest/globals';
import { requestOf, timeTable } from '@odograph/core';
import { newClip as newClipRequest } from '@odograph/core/contract';
import { newClipEdit } from './newClip.js';

describe('a new clip', () => {
  test('when it is made, what is shown at once and what is sent should agree, and the server should take it', () => {
    const table = timeTable([0, 40, 80, 120], 1, 1000);
    const edit = newClipEdit({
      footageId: 'f',
      angleId: '01c29c88-57ac-7843-a116-b40c6a451c83',
      table,
      subject: 'b',
      inFrame: 1,
      outFrame: 4,
    });
    expect(newClipRequest.validate(requestOf(edit, null).body).error).toBeUndefined();
    expect(edit.clip).toMatchObject({
      attemptId: edit.attempt.id,
      in: { frame: 1, pts: 40 },
      out: { frame: 4, pts: 160 },
    });
    expect(edit.attempt).toMatchObject({ subject: 'b', start: edit.clip.in, end: edit.clip.out });
  });
});
