import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Attempt } from '../attempts/index.js';
import { draftAttempt } from '../rows/index.js';
import { readVocabulary } from '../formats/index.js';
import { buildLines, type Logged } from '../map/index.js';
import { judge, markedLines } from '../testing/gymTalk.js';
import { isReadRight, makePhrases, type Wanted } from '../testing/phrases.js';
import { isListReadRight, makeListPhrases, makeWordList, wordListCsv } from '../testing/unseenWords.js';
import { LOGGED, TOLD } from '../testing/workedExamples.js';
import { PHRASES } from '../testing/workedPhrases.js';
import { Words, shippedWords, tokens } from '../vocabulary/index.js';
import {
  WEIGHTS,
  changesSaid,
  lineOf,
  partsSaid,
  phraseFacts,
  readPhrase,
  sayMeant,
  type Feature,
  type PhraseContext,
  type Weights,
} from './index.js';

const words = shippedWords();
let made = 0;
const newId = (): string => `id ${made++}`;
const ATHLETES = { a: 'Orla Venn', b: 'Sten Abara' };

/** What a reading says, as plain words. */
const said = (text: string, context: PhraseContext = {}): readonly string[] =>
  readPhrase(text, words, context).parts.map(({ meant }) => `${meant.part}: ${sayMeant(meant, words, ATHLETES, null)}`);

const attemptSaid = (text: string): Attempt => {
  const empty = draftAttempt({
    ...{ id: 'x', footageId: 'f', angleId: 'g', subject: 'a' },
    start: { frame: 0, pts: 0 },
    end: { frame: 1, pts: 1 },
  });
  return { ...empty, ...partsSaid(readPhrase(text, words), text, words, newId).parts };
};

const share = (all: readonly Wanted[]): number =>
  all.filter((wanted) => isReadRight(wanted, words)).length / all.length;

describe('reading a phrase', () => {
  test('when a whole attempt is said in one line, every part should be what it is for, in its order', () => {
    expect(said('half top, far underhook, knee slice, he frames then hips out, side control, ok')).toEqual([
      'position: half guard, top',
      'grip: far underhook',
      'entry: knee-through pass',
      'reaction: frame',
      'reaction: hip out',
      'finish: side control, top',
      'result: worked',
    ]);
  });

  test.each([
    ['hlf top far undrhook kne slice he frmaes then hps out sd contrl ok'],
    ['knee slice from half guard top with far underhook, they frame, then hip out, to side control, worked'],
    ['from top half: kneeslice with far underhook; he frames and hips out -> side control; success'],
  ])('when it is said otherwise (%s), it should mean the same', (text) => {
    expect([...said(text)].sort()).toEqual(
      [...said('half top, far underhook, knee slice, he frames then hips out, side control, ok')].sort(),
    );
  });

  test.each([
    ['right hand left collar', ['right hand on their left collar']],
    ['left sleeve', ['hand on their left sleeve']],
    ['both sleeves', ['hand on their left sleeve and hand on their right sleeve']],
    ['double underhooks', ['left arm underhook and right arm underhook']],
    ['cross collar grip', ['hand on their cross collar']],
    ['rh own lapel', ['right hand on own collar']],
    ['left foot on the hip', ['left foot hooking their hip']],
  ])('when a grip is said as "%s", it should be that hold', (text, holds) => {
    expect(said(`closed guard bottom, with ${text}, scissor sweep`).filter((t) => t.startsWith('grip: '))).toEqual(
      holds.map((h) => `grip: ${h}`),
    );
  });

  test('when a line grows, is cut, or is changed in its middle, it should be read as if it were read for the first time', () => {
    const lines = makePhrases(words, 31, 12).map((w) => w.text);
    fc.assert(
      fc.property(
        fc.constantFrom(...lines),
        fc.constantFrom(...lines),
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 3, maxLength: 3 }),
        (line, other, [first, second, cut]) => {
          const [a, b] = [first!, second!].map((share) => Math.round(share * line.length));
          const before = other.slice(0, Math.round(cut! * other.length));
          for (const text of [line.slice(0, a), line.slice(0, b), before + line.slice(a), line])
            readPhrase(text, words);
          const text = before + line.slice(b);
          expect(readPhrase(text, words)).toEqual(readPhrase(text, new Words(words.all)));
        },
      ),
      { numRuns: 16 },
    );
  });

  test('when nobody says whose side a place is, what was left, the action and the aim should decide', () => {
    const left: PhraseContext = { left: { position: 'half-guard', role: 'bottom' } };
    expect(said('half guard, hip escape, open guard, ok')).toContain('position: half guard, bottom');
    expect(said('half guard, knee slice, side control')).toContain('position: half guard, top');
    expect(said('half guard, back take, back', left)).toContain('position: half guard, bottom');
    expect(said('closed guard, hip bump, closed guard, no')).toContain('finish: closed guard, bottom');
    expect(said('his back, rear naked choke')).toContain('position: back, attacker');
    expect(said('my half guard, hip escape')).toContain('position: half guard, bottom');
    expect(said('his closed guard, open the closed guard, open guard')).toContain('position: closed guard, top');
  });

  test('when one word means two things, what stands around it should decide, and close readings be offered', () => {
    expect(said('mount, armbar, tapped')).toEqual([
      'position: mount, top',
      'entry: straight armlock',
      'result: worked',
      'finish: straight armlock won',
    ]);
    expect(said('legs free, leg drag, leg drag position, ok')).toEqual([
      'position: past the legs, top',
      'entry: leg-drag pass',
      'finish: leg dragged across, top',
      'result: worked',
    ]);
    const [pass] = readPhrase('they torreando, failed', words).parts;
    expect([pass!.meant.part, pass!.status, pass!.others.map((o) => o.part)]).toEqual(['reaction', 'asked', ['entry']]);
    expect(pass!.confidence).toBeLessThan(1);
  });

  test('when something is not understood, it should be kept where it stood', () => {
    const text = 'half top, zorblat quix, knee slice, side control, ok';
    const reading = readPhrase(text, words);
    expect(reading.notUnderstood).toEqual([{ from: 10, to: 22, text: 'zorblat quix', isPlain: false }]);
    expect(partsSaid(reading, text, words, newId).note).toBe('zorblat quix');
  });

  test('when an athlete is named first, it should be said whose action it is', () => {
    const athletes = { a: ['Orla Venn', 'white gi'], b: ['Sten Abara', 'blue gi'] };
    expect(said('Abara, mount, armbar', { athletes })[0]).toBe('who: Sten Abara');
    expect(said('venn from mount: armbar', { athletes })[0]).toBe('who: Orla Venn');
  });

  test('when the worked examples are typed in as phrases, the table of the model should come out', () => {
    const typed = LOGGED.map((logged, i): Logged => {
      const { attempt } = logged;
      const told = partsSaid(readPhrase(PHRASES[TOLD[i]!.id]!, words), PHRASES[TOLD[i]!.id]!, words, newId);
      const { parts } = told;
      const { state, action, finish, result } = { ...draftAttempt(attempt), ...parts };
      const restart =
        attempt.finish?.kind === 'reset' && finish?.kind === 'reset'
          ? { ...finish, restart: attempt.finish.restart }
          : finish;
      return {
        ...logged,
        attempt: { ...attempt, state, action, result, finish: restart, intent: parts.intent ?? 'own' },
      };
    });
    for (const [i, { attempt }] of typed.entries())
      expect([TOLD[i]!.id, attempt]).toEqual([TOLD[i]!.id, LOGGED[i]!.attempt]);
    expect(buildLines(typed, words)).toEqual(buildLines(LOGGED, words));
    expect(attemptSaid(PHRASES['10']!).depth).toBe(3);
    expect(attemptSaid(PHRASES['01']!).reactions.map((r) => r.what)).toEqual(['frames', 'hips-out']);
  });

  test('when made-up phrases of seeds nobody looked at are read, with slips and without, nearly all should be wholly right', () => {
    const withSlips = [20_261_126, 20_261_127, 20_261_128].flatMap((seed) => makePhrases(words, seed, 30, 25));
    expect(share(withSlips)).toBeGreaterThanOrEqual(0.92);
    expect(share(makePhrases(words, 20_261_126, 40, 0))).toBeGreaterThanOrEqual(0.98);
  });
});

describe('lines of gym talk, marked by hand', () => {
  const folder = join(__dirname, '../testing/gymTalk');
  const lines = ['first.txt', 'second.txt', 'third.txt', 'fourth.txt', 'fifth.txt', 'sixth.txt'].flatMap((name) =>
    markedLines(readFileSync(join(folder, name), 'utf8')),
  );
  // each is read once
  const judged = lines.map((line) => ({ line, ...judge(line, words) }));
  const right = judged.filter((j) => j.isRight).map((j) => j.line);

  test('when all of them are read, most should be wholly right in each class, and little that is wrong be kept', () => {
    const classes = [...new Set(lines.map((l) => l.class))];
    expect(classes).toHaveLength(10);
    for (const name of classes) {
      const of = judged.filter((j) => j.line.class === name);
      expect([name, of.filter((j) => j.isRight).length / of.length >= 0.85]).toEqual([name, true]);
    }
    const count = (of: (j: (typeof judged)[number]) => number): number => judged.reduce((sum, j) => sum + of(j), 0);
    expect(right.length / judged.length).toBeGreaterThanOrEqual(0.93);
    expect(count((j) => j.wrong.length) / count((j) => j.certain)).toBeLessThan(0.01);
    expect(count((j) => j.asked) / count((j) => j.certain + j.asked)).toBeLessThan(1 / 12);
  });

  test.each(Object.keys(WEIGHTS) as Feature[])(
    'when the feature "%s" is taken out, something should be read wrongly that was right',
    (feature) => {
      const without: Weights = { ...WEIGHTS, [feature]: 0 };
      expect(right.some((l) => !judge(l, words, undefined, without).isRight)).toBe(true);
    },
  );
});

describe('lines that say how they stood, and what else there was', () => {
  const lines = markedLines(readFileSync(join(__dirname, '../testing/whyTalk.txt'), 'utf8'));
  const judged = lines.map((line) => ({ line, ...judge(line, words) }));

  test('most should be wholly right, and no fact and no alternative be kept that nobody meant', () => {
    expect(judged.filter((j) => j.isRight).length / lines.length).toBeGreaterThanOrEqual(0.85);
    expect(judged.flatMap((j) => j.wrong.filter((w) => /^certain (fact|alternative)/.test(w)))).toEqual([]);
  });

  test('when a line says again what was told of it, what stood there should stay what it was, and what it says no more should go', () => {
    const text = 'half guard top, hips low, knees inside, knee slice, failed, they could have framed';
    const base = draftAttempt({
      ...{ id: 'x', footageId: 'f', angleId: 'g', subject: 'a' },
      ...{ start: { frame: 0, pts: 0 }, end: { frame: 1, pts: 1 } },
    });
    const keep = (line: string, attempt: Attempt, before = {}): Attempt => ({
      ...attempt,
      ...changesSaid(attempt, partsSaid(readPhrase(line, words), line, words, newId), null, words, before).changes,
    });
    const once = keep(text, base);
    expect(once.facts.map((f) => [f.fact, f.value])).toEqual([
      ['hips', 'mat'],
      ['knees-inside', 'both'],
    ]);
    expect(once.alternatives).toMatchObject([{ by: 'opponent', what: 'frames' }]);
    const known: Attempt = { ...once, alternatives: once.alternatives.map((a) => ({ ...a, why: 'late' })) };
    const line = lineOf(known, words, {});
    const again = keep(line.text.replace('hips on the mat; ', ''), known, line.before);
    expect(again.facts.map((f) => f.fact)).toEqual(['knees-inside']);
    expect(again.facts[0]!.id).toBe(known.facts[1]!.id);
    expect(again.alternatives).toEqual(known.alternatives);
  });
});

describe('words that no table holds', () => {
  test('when phrases are made of a list nobody has seen, nearly all should be wholly right', () => {
    const list = makeWordList(20_261_129);
    const read = readVocabulary(wordListCsv(list));
    if (read === 'head missing') throw new Error('the list has no head');
    const right = makeListPhrases(list, 20_261_130, 150).filter((wanted) => isListReadRight(wanted, read.words));
    expect(right.length / 150).toBeGreaterThanOrEqual(0.92);
  });
});

describe('what a phrase changes', () => {
  const left = { position: 'half-guard', role: 'top' } as const;
  const changesOf = (text: string, attempt: Attempt) =>
    changesSaid(attempt, partsSaid(readPhrase(text, words, { left }), text, words, newId), left, words);
  const empty = draftAttempt({
    ...{ id: 'x', footageId: 'f', angleId: 'g', subject: 'a' },
    start: { frame: 0, pts: 0 },
    end: { frame: 1, pts: 1 },
  });

  test('when no place and no result are said, those that follow should be proposed', () => {
    const { changes, following } = changesOf('knee slice, they frame, side control', empty);
    expect(following).toEqual({ state: left, result: 'success' });
    expect(changes).toMatchObject({ state: left, action: 'knee-through', result: 'success' });
    expect(changesOf('half guard top, knee slice, half guard', empty).changes.result).toBe('failed');
    expect(changesOf('mount, armbar, failed', empty).following).toEqual({});
  });

  test('when something follows though nobody said it, it should stand as proposed until it is said, and follow anew from what is said then', () => {
    const once: Attempt = { ...empty, ...changesOf('knee slice, they frame, side control', empty).changes };
    // the place they were left in, who is on top in the end, and how it went
    expect([...once.proposed].sort()).toEqual(['finishRole', 'result', 'state']);
    const other: Attempt = { ...once, ...changesOf('half guard bottom', once).changes };
    expect(other).toMatchObject({ state: { position: 'half-guard', role: 'bottom' }, finish: once.finish });
    const ends: Attempt = { ...once, ...changesOf('ends in half guard top', once).changes };
    expect(ends).toMatchObject({ state: left, result: 'failed' });
    expect([...ends.proposed].sort()).toEqual(['result', 'state']);
    const said: Attempt = { ...ends, ...changesOf('from half guard top, failed', ends).changes };
    expect(said.proposed).toEqual([]);
    expect(changesOf('half guard top, knee slice, ends in side control top, worked', empty).changes.proposed).toBe(
      undefined,
    );
  });

  test('when what followed follows no more, it should not stand as if somebody had said it', () => {
    const once: Attempt = { ...empty, ...changesOf('half guard top, knee slice, side control', empty).changes };
    expect([once.result, once.proposed]).toEqual(['success', ['finishRole', 'result']]);
    const bait: Attempt = { ...once, ...changesOf('knee slice as bait', once).changes };
    expect([bait.intent, bait.result, bait.proposed]).toEqual(['bait', null, ['finishRole']]);
  });

  test('when a phrase is said twice, nothing should stand there twice, and what was there stay', () => {
    const text = 'with far underhook and left collar, knee slice, they frame then hip out, failed because late';
    const once: Attempt = { ...empty, ...changesOf(text, empty).changes };
    expect([once.controls.length, once.reactions.length, once.reasons.length]).toEqual([2, 2, 1]);
    const twice: Attempt = { ...once, ...changesOf(text, once).changes };
    expect(twice).toEqual(once);
    // what is typed stands instead of what stood there
    const other: Attempt = { ...once, ...changesOf('they invert, failed because tired', once).changes };
    expect(other.reactions.map((r) => r.what)).toEqual(['inverts']);
    expect(other.reasons.map((r) => [r.reason, r.main])).toEqual([['tired', true]]);
    expect(other.controls).toEqual(once.controls);
  });
});

describe('whatever is typed', () => {
  const pieces = fc.oneof(
    fc.constantFrom(
      ...words.all.map((w) => w.name),
      'they',
      'from',
      'then',
      'with',
      'ok',
      ',',
      ';',
      '->',
      'left',
      'both',
      'i',
      'my',
      'so',
      'failed',
      'tap',
      '(again)',
      '# a note',
      ' - ',
      'no',
      'gi',
    ),
    fc.string({ maxLength: 8 }),
  );
  const lines = fc.array(pieces, { maxLength: 9 }).map((all) => all.join(' '));

  test('when any text is read, its parts should lie in order, apart, and nothing that tells be dropped', () => {
    fc.assert(
      fc.property(lines, (text) => {
        const reading = readPhrase(text, words);
        const typed = reading.parts.filter((p) => p.status !== 'proposed');
        const all = [...typed, ...reading.notUnderstood, ...reading.notes].sort((a, b) => a.from - b.from);
        for (const [i, { from, to }] of all.entries()) {
          expect(from).toBeLessThan(to);
          if (i) expect([text, all[i - 1]!.to <= from]).toEqual([text, true]);
        }
        // parts, notes and what is left hold every word that was typed
        for (const { 0: word, index } of text.matchAll(/[\p{L}\p{N}]+/gu))
          expect([text, word, all.some((p) => p.from <= index && index + word.length <= p.to)]).toEqual([
            text,
            word,
            true,
          ]);
        expect(readPhrase(text, words)).toEqual(reading);
        JSON.stringify(phraseFacts(text, reading, words));
        partsSaid(reading, text, words, newId);
      }),
      { numRuns: 60 },
    );
  });

  test('when there are no terms in a text, none should be found', () => {
    const text = 'yesterday seven people drank coffee beside an orange window, quietly discussing literature';
    expect(said(text)).toEqual([]);
    expect(tokens(text).length).toBeGreaterThan(10);
  });
});
