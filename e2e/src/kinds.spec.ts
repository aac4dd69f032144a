import { readFileSync } from 'node:fs';
import { stepAround } from './support/stepAround.js';
import { takeIn, untilMade } from './support/takeIn.js';
import { expect, settled, signIn, test } from './support/test.js';
import { madeOf, numbersIn } from './support/video.js';

test.use({ product: 'kinds' });
test.setTimeout(400_000);

const MOVES = { proxy: 60, media: 40 };
const CUT = ['-t', '5'];
const H264 = ['-c:v', 'libx264', '-preset', 'ultrafast', '-pix_fmt', 'yuv420p', '-an'];

/** The kinds of video that cameras and programs write, each with whether a browser shows it as it came. The number of every picture is in the picture. */
const KINDS: readonly (readonly [name: string, file: () => string, playable: boolean])[] = [
  [
    'a phone’s MOV, turned',
    () => {
      const flat = madeOf('lantern-final', 'flat.mov', ['-vf', 'transpose=2', ...H264], CUT);
      return madeOf(flat, 'turned.mov', ['-c', 'copy', '-metadata:s:v:0', 'rotate=270']);
    },
    true,
  ],
  ['59.94 frames a second', () => madeOf('morning-round', '5994.mp4', H264, ['-r', '60000/1001', ...CUT]), true],
  [
    'key frames far apart and many B-frames',
    () => madeOf('lantern-final', 'far.mp4', [...H264, '-g', '600', '-bf', '8'], CUT),
    true,
  ],
  [
    'an edit list that hides its beginning',
    () => {
      const whole = madeOf('lantern-final', 'whole.mp4', [...H264, '-g', '50', '-bf', '3'], ['-t', '7']);
      return madeOf(whole, 'edited.mp4', ['-c', 'copy'], ['-ss', '1.3']);
    },
    true,
  ],
  [
    'a start that is not zero',
    () => {
      const early = madeOf('lantern-final', 'early.mp4', [...H264, '-bf', '2'], CUT);
      return madeOf(early, 'late.mp4', ['-c', 'copy', '-output_ts_offset', '2.5']);
    },
    true,
  ],
  [
    'HEVC at a rate that varies',
    () =>
      madeOf(
        'lantern-final',
        'vary.mov',
        [
          '-vf',
          "select='gt(random(7)\\,0.25)'",
          '-vsync',
          'vfr',
          '-c:v',
          'libx265',
          '-preset',
          'ultrafast',
          '-x265-params',
          'log-level=error',
          '-an',
        ],
        CUT,
      ),
    false,
  ],
  ['MPEG-TS', () => madeOf('lantern-final', 'live.ts', [...H264, '-bf', '2'], CUT), false],
  ['MPEG-4 in AVI', () => madeOf('lantern-final', 'old.avi', ['-c:v', 'mpeg4', '-q:v', '3', '-an'], CUT), false],
];

// in `npm test`: files of the demo in `frames.spec.ts`, how each kind is made ready, frame by frame, in `jobs.test.ts`
test('when any of these kinds is taken in, every picture that is stepped or jumped to should be exactly the frame that is named @stress', async ({
  page,
  running,
}) => {
  await signIn(page, running.url);
  const { request } = page;
  const taken = [];
  // all of them first: each is made ready while others are stepped through
  for (const [name, film, playable] of KINDS) {
    const bytes = readFileSync(film());
    const { file, bench } = await takeIn(request, running.url, name, bytes);
    const numbers = numbersIn(bytes);
    expect([name, file.frames, file.playable]).toEqual([name, numbers.length, playable]);
    taken.push({ file, numbers, at: running.url + bench });
  }
  const open = async (at: string, medium: 'proxy' | 'media'): Promise<void> => {
    await page.goto(at);
    await settled(page);
    // what was made for stepping is played out of the browser's own store
    await expect(page.locator('video')).toHaveAttribute(
      'src',
      medium === 'proxy' ? /^blob:/ : new RegExp(`${medium}$`),
    );
  };
  await page.route('**/prepared', (route) =>
    route.fulfill({ json: { proxy: false, look: false, sound: false, isThinned: false } }),
  );
  for (const [seed, { file, at, numbers }] of taken.entries()) {
    if (!file.playable) continue;
    await open(at, 'media');
    await stepAround(page, { moves: MOVES.media, seed: seed + 50, numbers });
  }
  await page.unroute('**/prepared');
  for (const [seed, { file, at, numbers }] of taken.entries()) {
    await untilMade(request, running.url, file.id, 'proxy');
    await open(at, 'proxy');
    await stepAround(page, { moves: MOVES.proxy, seed, numbers });
  }
});
