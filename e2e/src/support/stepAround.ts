import { expect, type Page } from '@playwright/test';
import { frameShown } from './strip.js';
import { frameSaid, settled } from './test.js';

/** A repeatable stream of numbers from 0 to 1 (mulberry32). */
const random = (seed: number) => () => {
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
};

const STEPS = { ArrowRight: 1, ArrowLeft: -1, 'Shift+ArrowRight': 10, 'Shift+ArrowLeft': -10 } as const;

/**
 * Steps by keys and jumps by the line on the bench, at random but the same each time, and reads each picture: it must be exactly the frame that is named.
 * `numbers`: what is written into the picture of each frame, where that is not its own number. `ready`: how many frames there are, where
 * that is not yet all of them.
 */
export const stepAround = async (
  page: Page,
  {
    moves,
    seed,
    numbers,
    ready = Infinity,
  }: {
    readonly moves: number;
    readonly seed: number;
    readonly numbers?: readonly number[];
    readonly ready?: number;
  },
): Promise<void> => {
  const next = random(seed);
  const slider = page.getByRole('slider', { name: 'Frame' });
  const line = (await slider.boundingBox())!;
  const last = Math.min(ready - 1, Number(await slider.getAttribute('aria-valuemax')));
  const wrong: unknown[] = [];
  for (let move = 0; move < moves; move++) {
    const before = await frameSaid(page);
    let expected: number | undefined;
    if (next() < 0.5) {
      const key = (Object.keys(STEPS) as (keyof typeof STEPS)[])[Math.floor(next() * 4)]!;
      await page.keyboard.press(key);
      expected = Math.min(last, Math.max(0, before + STEPS[key]));
      await page.locator(`[data-testid=picture][data-frame="${expected}"]`).waitFor();
    } else await page.mouse.click(line.x + next() * line.width, line.y + line.height / 2);
    await settled(page);
    const said = await frameSaid(page);
    const shown = await frameShown(page, move % 8 === 0 ? 'screen' : 'video');
    const written = numbers ? numbers[said] : said;
    if (shown !== written || (expected !== undefined && said !== expected))
      wrong.push({ move, before, expected, said, written, shown });
  }
  expect(wrong).toEqual([]);
};
