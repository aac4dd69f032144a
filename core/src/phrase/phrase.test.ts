import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftAttempt, finishId, stateId, type Attempt } from '../attempts/index.js';
import { buildLines, type Logged } from '../map/index.js';
import { makePhrases, type Wanted } from '../testing/phrases.js';
import { LOGGED, TOLD } from '../testing/workedExamples.js';
import { PHRASES } from '../testing/workedPhrases.js';
import { Words, shippedWords, tokens } from '../vocabulary/index.js';
import {
  changesSaid,
  partsSaid,
  phraseFacts,
  readPhrase,
  sayMeant,
  type PhraseContext,
  type PhraseReading,
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

const holdText = ({ parts }: PhraseReading): readonly string[] =>
  parts.flatMap(({ meant: m }) =>
    m.part === 'grip'
      ? [
          [m.hold.limbSide, m.hold.limb, m.hold.kind, m.hold.target, m.hold.reach ?? m.hold.targetSide]
            .filter(Boolean)
            .join(' '),
        ]
      : [],
  );

/** Whether a made-up phrase was read wholly right. */
const isRight = (wanted: Wanted): boolean => {
  const reading = readPhrase(wanted.text, words);
  const { parts } = partsSaid(reading, wanted.text, words, newId);
  const got = {
    position: parts.state ? stateId(parts.state) : null,
    entry: parts.action ?? null,
    reactions: (parts.reactions ?? []).map((r) => r.what),
    finish: parts.finish ? finishId(parts.finish) : null,
    result: parts.result ?? null,
    grips: [...holdText(reading)].sort(),
  };
  const { position, entry, reactions, finish, result, grips } = wanted;
  return (
    JSON.stringify(got) === JSON.stringify({ position, entry, reactions, finish, result, grips: [...grips].sort() })
  );
};
const share = (all: readonly Wanted[]): number => all.filter(isRight).length / all.length;

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
      { numRuns: 40 },
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
    ]);
    expect(said('legs free, leg drag, leg drag, ok')).toEqual([
      'position: legs free, no guard, top',
      'entry: leg-drag pass',
      'finish: leg dragged across, top',
      'result: worked',
    ]);
    const { parts } = readPhrase('half guard, trip, side control', words);
    const entry = parts.find((p) => p.meant.part === 'entry')!;
    expect([entry.meant, ...entry.others].length).toBeGreaterThan(1);
    expect(entry.confidence).toBeLessThan(1);
  });

  test('when something is not understood, it should be kept where it stood', () => {
    expect(readPhrase('mount, trip', words).parts.length + readPhrase('mount, trip', words).notUnderstood.length).toBe(
      2,
    );
    const text = 'half top, zorblat quix, knee slice, side control, ok';
    const reading = readPhrase(text, words);
    expect(reading.notUnderstood).toEqual([{ from: 10, to: 22, text: 'zorblat quix' }]);
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
      const { parts } = partsSaid(readPhrase(PHRASES[TOLD[i]!.id]!, words), PHRASES[TOLD[i]!.id]!, words, newId);
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

  test('when two hundred made-up phrases with slips are read, at least 95 % should be wholly right', () => {
    // no phrase of this seed was looked at while the reader was built
    expect(share(makePhrases(words, 20_261_126, 200))).toBeGreaterThanOrEqual(0.95);
    expect(share(makePhrases(words, 20_261_126, 60, 0))).toBeGreaterThanOrEqual(0.98);
  });
});

describe('what a phrase changes', () => {
  const left = { position: 'half-guard', role: 'top' } as const;
  const changesOf = (text: string, attempt: Attempt) =>
    changesSaid(attempt, partsSaid(readPhrase(text, words, { left }), text, words, newId).parts, left, words);
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

  test('when a phrase is said twice, nothing should stand there twice, and what was there stay', () => {
    const text = 'with far underhook and left collar, knee slice, they frame then hip out, failed because late';
    const once: Attempt = { ...empty, ...changesOf(text, empty).changes };
    expect([once.controls.length, once.reactions.length, once.reasons.length]).toEqual([2, 2, 1]);
    const twice: Attempt = { ...once, ...changesOf(text, once).changes };
    expect(twice).toEqual(once);
    const more: Attempt = { ...once, ...changesOf('they invert, because tired', once).changes };
    expect(more.reactions.map((r) => r.what)).toEqual(['frames', 'hips-out', 'inverts']);
    expect(more.reasons.map((r) => [r.reason, r.main])).toEqual([
      ['late', true],
      ['tired', false],
    ]);
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
    ),
    fc.string({ maxLength: 8 }),
  );
  const lines = fc.array(pieces, { maxLength: 9 }).map((all) => all.join(' '));

  test('when any text is read, its parts should lie in order, apart, and nothing that tells be dropped', () => {
    fc.assert(
      fc.property(lines, (text) => {
        const { parts, notUnderstood } = readPhrase(text, words);
        const all = [...parts, ...notUnderstood].sort((a, b) => a.from - b.from);
        for (const [i, { from, to }] of all.entries()) {
          expect(from).toBeLessThan(to);
          if (i) expect(all[i - 1]!.to).toBeLessThanOrEqual(from);
        }
        const covered = [...text].map((_, i) => all.some((p) => p.from <= i && i < p.to));
        for (const { 0: word, index } of text.matchAll(/[a-z]{6,}/g))
          if (!['opponent', 'holding', 'because', 'finish'].some((w) => word.startsWith(w.slice(0, 4))))
            expect([word, covered[index]]).toEqual([word, true]);
        expect(readPhrase(text, words)).toEqual({ parts, notUnderstood });
        JSON.stringify(phraseFacts(text, { parts, notUnderstood }, words));
        partsSaid({ parts, notUnderstood }, text, words, newId);
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
