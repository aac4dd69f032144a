import { describe, expect, test } from '@jest/globals';
import type { Clip } from '../attempts/index.js';
import { BARE_ROUTE, BARE_STEP, type KeptRoute } from '../teaching/index.js';
import type { MediaFile } from '../footage/index.js';
import { BARE_CLIP } from '../rows/index.js';
import { NO_ROWS, type Library } from '../library/index.js';
import { FOOTAGE, LOGGED } from '../testing/workedExamples.js';
import { routeVtt } from './index.js';

const attempt = LOGGED.find((l) => l.attempt.action === 'back-take')!.attempt;
const angle = {
  id: attempt.angleId,
  version: 1,
  footageId: attempt.footageId,
  fileId: 'file',
  fromFrame: 0,
  toFrame: 9000,
  fromPts: 0,
  toPts: 9000,
  offsetMs: 0,
  rate: 1,
  kind: 'live',
  region: null,
  leftMark: '',
  rightMark: '',
} as const;
const clip: Clip = {
  id: 'clip',
  version: 1,
  attemptId: attempt.id,
  angleId: angle.id,
  in: { frame: 0, pts: 0 },
  out: { frame: 60, pts: 60 },
  ...BARE_CLIP,
};
const library: Library = {
  format: 'odograph-library',
  formatVersion: 1,
  ...NO_ROWS,
  academy: { id: 'x', name: 'x', timeZone: 'UTC' },
  wordChanges: [],
  files: [{ id: 'file', timeBaseNum: 1, timeBaseDen: 25 } as MediaFile],
  footage: Object.values(FOOTAGE),
  angles: [angle],
  attempts: LOGGED.map((l) => l.attempt),
  clips: [clip],
};
const step = { ...BARE_STEP, id: 's' };
const route: KeptRoute = {
  id: 'r',
  version: 1,
  name: 'From turtle --> neck',
  ...BARE_ROUTE,
  steps: [
    {
      ...step,
      from: 'turtle/top',
      action: 'back-take',
      to: 'back/attacker',
      cue: 'Hips <low> & close',
      note: 'a\n\nb',
    },
    { ...step, from: 'back/attacker', action: 'rear-choke', to: 'won:rear-choke' },
  ],
};

describe('a route as timed text', () => {
  const vtt = routeVtt(route, library);

  test('when clips are there, a step should last as long as its clip, one after the other', () => {
    expect(vtt).toContain('00:00:00.000 --> 00:00:02.400');
    expect(vtt).toContain('00:00:02.400 --> 00:00:07.400');
  });

  test('when texts hold what means something in the format, it should be written as text', () => {
    expect(vtt.startsWith('WEBVTT - From turtle --&gt; neck\n\n1\n')).toBe(true);
    expect(vtt).toContain('Hips &lt;low&gt; &amp; close\na\nb\n');
    expect(vtt.split('\n\n')).toHaveLength(3);
  });

  test('when a step can hurt, its caution should stand with it', () => {
    expect(vtt.split('\n\n')[2]).toMatch(/Caution, rear choke: /);
    expect(vtt.split('\n\n')[1]).not.toMatch(/Caution/);
  });
});
