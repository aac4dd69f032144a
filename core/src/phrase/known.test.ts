import { describe, expect, test } from '@jest/globals';
import type { Attempt } from '../attempts/index.js';
import { draftAttempt } from '../rows/index.js';
import { shippedWords } from '../vocabulary/index.js';
import { changesSaid, partsSaid, readPhrase, sayMeant } from './index.js';

const words = shippedWords();
const ATHLETES = { a: 'Orla Venn', b: 'Sten Abara' };
let made = 0;
const newId = (): string => `id ${made++}`;
const said = (text: string): readonly string[] =>
  readPhrase(text, words).parts.map(({ meant }) => `${meant.part}: ${sayMeant(meant, words, ATHLETES, null)}`);
const attemptSaid = (text: string): Attempt => ({
  ...draftAttempt({
    ...{ id: 'x', footageId: 'f', angleId: 'g', subject: 'a' },
    ...{ start: { frame: 0, pts: 0 }, end: { frame: 1, pts: 1 } },
  }),
  ...partsSaid(readPhrase(text, words), text, words, newId).parts,
});

describe('lines that say how something is known, and what it was for', () => {
  test.each([
    ['mount top, armlock, tapped, felt', 'result', 'felt'],
    ['mount top, armlock, felt', 'action', 'felt'],
    ['half top, underhook not seen, knee slice, worked', 'control', 'hidden'],
    ['half top, knee slice, they frame, partly hidden, failed', 'reaction', 'partly'],
    ['half top, hips low, must have been, knee slice', 'fact', 'concluded'],
  ])('%s', (line, part, how) => {
    const { evidence } = attemptSaid(line);
    expect(evidence.map((e) => [e.part.split(':')[0], e.how])).toEqual([[part, how]]);
  });

  test('what is known of a detail should be known of that detail when the line is said again', () => {
    const line = 'half top, underhook, not seen, knee slice, worked';
    const once = attemptSaid(line);
    const again = changesSaid(once, partsSaid(readPhrase(line, words), line, words, newId), null, words).changes;
    expect(again.evidence).toEqual(once.evidence);
    expect(once.evidence[0]!.part).toBe(`control:${once.controls[0]!.id}`);
  });

  test('said of nothing, or in the middle of a clause, it should be no evidence', () => {
    expect(attemptSaid('felt, half top, knee slice').evidence).toEqual([]);
    expect(attemptSaid('half top, felt heavy, knee slice').evidence).toEqual([]);
    expect(attemptSaid('half top, knee slice, I can see it, worked').evidence).toEqual([]);
  });

  test('what it was for should be kept where the action aims at something else', () => {
    expect(said('mount, wanted the collar choke, armlock, failed')).toContain('aim: aimed at cross collar choke');
    expect(attemptSaid('closed guard bottom, aimed at mount, armlock, failed').aim).toEqual({
      ...{ kind: 'state', position: 'mount', role: 'top' },
    });
    expect(attemptSaid('mount, wanted the armlock, armlock, failed').aim).toBeNull();
    expect(attemptSaid('mount, wanted to rest, armlock, failed').aim).toBeNull();
  });

  test('told in short it should be asked about, both what was wanted and what was taken', () => {
    const { parts } = readPhrase('mount top, wanted the collar, took the arm', words);
    expect(parts.map((p) => [p.meant.part, p.status])).toEqual([
      ['position', 'certain'],
      ['aim', 'asked'],
      ['entry', 'asked'],
    ]);
  });
});
