import { describe, expect, test } from '@jest/globals';
import { shippedWords } from '../vocabulary/index.js';
import { readPhrase, sayMeant, type Meant } from './index.js';

const words = shippedWords();
const ATHLETES = { a: 'Orla Venn', b: 'Sten Abara' };
const said = (text: string): readonly string[] =>
  readPhrase(text, words).parts.map(({ meant }) => `${meant.part}: ${sayMeant(meant, words, ATHLETES, null)}`);
const finishText = (finish: Extract<Meant, { part: 'finish' }>['finish']): string =>
  finish.kind === 'state' ? finish.position : finish.kind;

describe('what leads on, and what only seems to', () => {
  test('when what failed is followed by a try that has an end of its own, it should be a further try, and else a note', () => {
    const tries = (text: string): readonly string[] => said(text).filter((part) => /^(entry|result)/.test(part));
    expect(tries('triangle, failed, armbar, failed, sweep, mount, ok')).toEqual([
      ...['entry: triangle choke', 'result: failed', 'entry: straight armlock', 'result: failed'],
      ...['entry: sweep', 'result: worked'],
    ]);
    const reading = readPhrase('triangle, failed, armbar next time', words);
    expect(reading.attempts).toBe(1);
    expect(reading.notes.map((n) => n.text)).toEqual(['armbar next time']);
  });

  test('when one place leads on to the next, each should be a try that begins where the one before ended', () => {
    const text = 'takedown to side control, side control to mount, mount to back';
    const finishes = readPhrase(text, words).parts.filter((p) => p.meant.part === 'finish');
    expect(finishes.map((p) => [p.attempt, p.meant.part === 'finish' && finishText(p.meant.finish)])).toEqual([
      [0, 'side-control'],
      [1, 'mount'],
      [2, 'back'],
    ]);
  });

  test('when a word of every day stands behind words that are no part, it should be none', () => {
    expect(said('standing, he looked at the clock, single leg, ok').join()).not.toMatch(/clock/);
    expect(said('turtle bottom, sit out, back to guard, ok').join()).not.toMatch(/finish: back/);
  });

  test('when a place comes from something done, it should be where that ended', () => {
    expect(said('mount from the scissor sweep, ok').join()).toMatch(/finish: mount/);
    expect(said('armbar from mount, ok').join()).toMatch(/position: mount/);
  });

  test('when their action is said more exactly, it should not be ours', () => {
    expect(said('they pass my half guard with a knee slice, side control').join()).not.toMatch(/reaction/);
  });
});
