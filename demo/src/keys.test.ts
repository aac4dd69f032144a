import { describe, expect, test } from '@jest/globals';
import {
  BARE_REACTION,
  Usual,
  controlKey,
  draftAttempt,
  entryChoices,
  finishChoices,
  finishId,
  flipPlace,
  holdFinder,
  holdName,
  matchWords,
  placeChoices,
  proposedFinish,
  proposedResult,
  answerChoices,
  resultChoices,
  shippedWords,
  stateId,
  type Attempt,
  type PlaceId,
  type Sayable,
} from '@odograph/core';
import { demoFootage } from './library.js';

const words = shippedWords();
type Scripted = { readonly bout: string; readonly gi: boolean; readonly attempt: Attempt };
const scripted: readonly Scripted[] = demoFootage().flatMap(({ bout, clips }) =>
  clips.map(({ attemptId, said, state, finish, controls }) => ({
    bout: bout.id,
    gi: bout.gi,
    attempt: {
      ...draftAttempt({
        id: attemptId,
        footageId: bout.id,
        angleId: bout.id,
        subject: said.subject,
        start: { frame: 0, pts: 0 },
        end: { frame: 1, pts: 1 },
      }),
      ...{ state, finish, controls, action: said.action, result: said.result },
      reactions: (said.reactions ?? []).map((what, i) => ({ id: String(i), what, isAction: false, ...BARE_REACTION })),
    },
  })),
);

type Found = { readonly id: string; readonly name: string };
/** Letters of the shown name, from the first on, until what is wanted stands first; then one key to take it. */
const keysFor = (
  wanted: string,
  name: string,
  find: (typed: string) => readonly Found[],
  proposed?: string,
): number => {
  if (proposed === wanted) return 1;
  const letters = [...name.toLowerCase()].filter((c) => /[\p{L}\p{N}]/u.test(c));
  for (let n = 1; n <= letters.length; n++) if (find(letters.slice(0, n).join(''))[0]?.id === wanted) return n + 1;
  throw new Error(`"${name}" never stands first`);
};
const among =
  <T>(choices: readonly Sayable<T>[], idOf: (value: T) => string) =>
  (typed: string): readonly Found[] =>
    matchWords(typed, choices).map((m) => ({
      id: idOf(m.value),
      name: choices.find((c) => c.value === m.value)!.texts[0]!,
    }));
const nameOf = <T>(choices: readonly Sayable<T>[], is: (value: T) => boolean): string =>
  choices.find((c) => is(c.value))!.texts[0]!;
const same = (text: string): string => text;

/** Keys for position, entry, two grips, one reaction, finish and result; to leave the grips and the reactions takes a key each. */
const keysOf = ({ attempt, gi }: Scripted, usual: Usual, leftIn?: PlaceId): number => {
  const state = attempt.state!;
  const places = placeChoices(words, leftIn ? [leftIn] : [], usual);
  const position = keysFor(
    stateId(state),
    nameOf(places, (s) => stateId(s) === stateId(state)),
    among(places, stateId),
    leftIn,
  );
  const grips = attempt.controls.slice(0, 2).reduce((sum, control, i, all) => {
    const find = holdFinder(words, usual, { from: state, held: all.slice(0, i), gi });
    const key = controlKey({ ...control, id: '' });
    const found = (typed: string): readonly Found[] =>
      find(typed).map(({ hold, name }) => ({ id: controlKey({ ...hold, id: '' }), name }));
    return sum + keysFor(key, holdName(control, words), found);
  }, 0);
  const entries = entryChoices(words, state, usual);
  const entry = keysFor(
    attempt.action!,
    nameOf(entries, (a) => a === attempt.action),
    among(entries, same),
  );
  const reactions = answerChoices(words, attempt.action, usual);
  const met = attempt.reactions[0]!.what;
  const reaction = keysFor(
    met,
    nameOf(reactions, (r) => r.what === met && !r.isAction),
    among(reactions, (r) => (r.isAction ? `attack ${r.what}` : r.what)),
  );
  const finishes = finishChoices(words, state, attempt.action, usual);
  const end = finishId(attempt.finish!);
  const guess = proposedFinish(attempt, words);
  const finish = keysFor(
    end,
    nameOf(finishes, (f) => finishId(f) === end),
    among(finishes, finishId),
    guess ? finishId(guess) : undefined,
  );
  const proposed = proposedResult(attempt, words);
  const results = resultChoices(proposed);
  const result = keysFor(
    attempt.result!,
    nameOf(results, (r) => r === attempt.result),
    among(results, same),
    proposed ?? undefined,
  );
  return position + grips + 1 + entry + reaction + 1 + finish + result;
};

/** The place in which the attempt before left things, as whoever acts now sees it. */
const leftBefore = (all: readonly Scripted[], at: number): PlaceId | undefined => {
  const [before, now] = [all[at - 1], all[at]!];
  if (!before || before.bout !== now.bout) return undefined;
  const end = finishId(before.attempt.finish!);
  return before.attempt.subject === now.attempt.subject ? end : flipPlace(end);
};

describe('keys it takes to say an attempt', () => {
  // the first twenty that have all parts; the words are ordered by what the other bouts say, never by the bout itself
  const whole = scripted.flatMap((one, i) =>
    one.attempt.controls.length >= 2 && one.attempt.reactions.length ? [{ one, i }] : [],
  );
  const median = (sorted: readonly number[]): number => (sorted[9]! + sorted[10]!) / 2;
  const counted = (usualOf: (bout: string) => Usual): readonly number[] =>
    whole
      .slice(0, 20)
      .map(({ one, i }, n) => keysOf(one, usualOf(one.bout), n % 2 ? undefined : leftBefore(scripted, i)))
      .sort((a, b) => a - b);

  test('when twenty attempts of the demo are typed part by part, half of them without what came before, the median should be 30 keys or fewer and the ninth tenth 45', () => {
    const others = (bout: string): Usual =>
      new Usual(
        scripted.filter((s) => s.bout !== bout).map((s) => s.attempt),
        words,
      );
    const keys = counted(others);
    expect(keys).toHaveLength(20);
    expect(median(keys)).toBeLessThanOrEqual(30);
    expect(keys[17]).toBeLessThanOrEqual(45);
  });

  test('when nothing was ever said in the academy, the same should hold', () => {
    const keys = counted(() => new Usual([], words));
    expect(median(keys)).toBeLessThanOrEqual(30);
    expect(keys[17]).toBeLessThanOrEqual(45);
  });
});
