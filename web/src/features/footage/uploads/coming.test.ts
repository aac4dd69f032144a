import { describe, expect, test } from '@jest/globals';
import type { Job, Upload } from '@odograph/core/contract';
import { comingIn } from './coming.js';

const taken: Upload = {
  ...{ id: 'f1', name: 'round.mp4', sizeBytes: 5000, offset: 5000, source: 'browser', state: 'taken', why: null },
  ...{ fileId: 'f1', isMine: true, frames: 1084, cutOff: false },
};
const proxy: Job = {
  ...{ id: 'j1', kind: 'proxy', subjectId: 'f1', state: 'running', progress: 0.3, leftS: 12, tries: 1, why: null },
};
const said = (upload: Partial<Upload>, job: Partial<Job> = {}): string =>
  comingIn([], { uploads: [{ ...taken, ...upload }], jobs: [{ ...proxy, ...job }] })[0]!.says;

describe('what is said of footage that came in', () => {
  test('when each frame can be shown exactly, that should be said once it is so, and not before', () => {
    expect(said({})).toBe('Taken in: 1,084 frames; they’re being made ready for stepping.');
    expect(said({}, { state: 'done' })).toBe('Taken in: 1,084 frames, each can be shown exactly.');
  });

  test('when it cannot be made ready, it should say so and why', () => {
    const text = said({}, { state: 'failed', why: { code: 'damaged' } });
    expect(text).toMatch(/^Taken in: 1,084 frames\. They can’t be stepped through\. .*damaged/);
    expect(text).not.toContain('exactly');
  });

  test('when the recording breaks off, it should say so', () => {
    expect(said({ cutOff: true })).toContain('The recording breaks off; what there is of it was kept.');
  });
});
