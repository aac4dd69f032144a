import {
  RESULT_WORDS,
  answerChoices,
  depthChoices,
  detailChoices,
  entryChoices,
  finishChoices,
  finishId,
  isSameMet,
  metChoices,
  placeChoices,
  placeName,
  proposedFinish,
  plannedWord,
  proposedResult,
  reactionChoices,
  reasonChoices,
  resultChoices,
  startsElsewhere,
  stateId,
  readPlace,
  type ErrorUse,
  type Finish,
  type Here,
  type Met,
  type PlaceId,
  type ReactionDetail,
  type Result,
  type Sayable,
  type Side,
  type State,
  type Subject,
  type Usual,
  type Words,
} from '@odograph/core';
import { useMemo } from 'react';
import { among, type Found } from '../../../design/fields.js';
import { useLibrary, type ClipView } from '../../library/index.js';
import { useMeQuery } from '../../server/index.js';
import { ERROR_TEXT as E, WHY_TEXT as W } from './phrase.text.js';
import { gripFinder, type Stood } from './gripFinder.js';
import { whyFinder, type Tellers, type WhySaid } from './whyFinder.js';

export type Mistake = Omit<ErrorUse, 'id' | 'until'>;
/** What is picked among their reactions: a further one, or something about the one that was told last. */
export type Answer = { readonly what: string; readonly isAction: boolean } | ReactionDetail | Here;
type Find<T> = (typed: string) => readonly Found<T>[];

/** Choices that are made ready when they are first looked for: the library is counted for them. */
const lazily = <T>(make: () => Find<T>): Find<T> => {
  let made: Find<T> | undefined;
  return (typed) => (made ??= make())(typed);
};

const mistakeChoices = (words: Words): readonly Sayable<Mistake>[] =>
  (['opponent', 'subject'] as const).flatMap((by) =>
    words.of('reason').flatMap(({ key, name, aliases }) =>
      (['given away', 'brought about'] as const).map((cause) => ({
        value: { by, cause, what: key },
        texts: [name, ...aliases].map((text) => E.choice(by, text, cause)),
      })),
    ),
  );

const SIDES: readonly Sayable<Side>[] = [
  { value: 'right', texts: ['right', 'r'] },
  { value: 'left', texts: ['left', 'l'] },
];
const INTENTS: readonly Sayable<'own' | 'bait'>[] = [
  { value: 'own', texts: ['meant'] },
  { value: 'bait', texts: ['bait', 'feint', 'shown only'] },
];

const PLANNED: readonly Sayable<boolean>[] = [
  { value: true, texts: [plannedWord(true), 'plan', 'game plan'] },
  { value: false, texts: [plannedWord(false), 'on the spot', 'improvised'] },
];

export type Finders = {
  readonly who: Find<Subject>;
  readonly from: Find<State>;
  /** Any place, as it is usual to act from it. */ readonly place: Find<State>;
  readonly holds: Find<Stood>;
  readonly entry: Find<string>;
  readonly answer: Find<Answer>;
  readonly reaction: Find<string>;
  readonly finish: Find<Finish>;
  readonly result: Find<Result>;
  readonly depth: Find<number>;
  readonly reason: Find<string>;
  readonly mistake: Find<Mistake>;
  readonly met: Find<Met>;
  /** Whether the attempt starts elsewhere than what it is said to answer ever left anybody. */
  readonly isElsewhere: (met: Met) => boolean;
  readonly lead: Find<Side>;
  readonly intent: Find<'own' | 'bait'>;
  readonly planned: Find<boolean>;
  readonly why: Find<WhySaid>;
};

/** What follows from the parts that are said, for those that are not; taken by one key. */
export type Proposals = {
  readonly from: { readonly value: State; readonly name: string } | null;
  readonly finish: { readonly value: Finish; readonly name: string } | null;
  readonly result: { readonly value: Result; readonly name: string } | null;
};

/** What is proposed for the parts of an attempt that are not said. */
const proposalsFor = (attempt: ClipView['attempt'], words: Words, left: PlaceId | undefined): Proposals => {
  const placeLeft = left === undefined ? undefined : readPlace(left);
  const end = proposedFinish(attempt, words);
  const result = proposedResult(attempt, words);
  return {
    from:
      placeLeft?.kind === 'state'
        ? {
            value: { position: placeLeft.position, role: placeLeft.role },
            name: placeName(stateId(placeLeft), words),
          }
        : null,
    finish: end && { value: end, name: placeName(finishId(end), words) },
    result: result && { value: result, name: RESULT_WORDS[result] },
  };
};

/** Whoever is signed in, and everybody else by name. */
const useTellers = (): Tellers => {
  const { persons } = useLibrary();
  const accountId = useMeQuery().data?.account.id;
  return useMemo(
    () => [
      ...(accountId === undefined ? [] : [{ by: { kind: 'account', accountId } as const, name: W.you }]),
      ...persons.map(({ id, name }) => ({ by: { kind: 'person', personId: id } as const, name })),
    ],
    [persons, accountId],
  );
};

/** The choices for each part of a phrase, in the order in which they are likely here, and what is proposed. `left`: where the attempt before left things, as the acting side sees it. */
export const useFinders = (
  view: ClipView,
  before: ClipView | undefined,
  words: Words,
  usual: () => Usual,
  left: PlaceId | undefined,
): { readonly find: Finders; readonly proposed: Proposals } => {
  const { state, action, controls } = view.attempt;
  const { athletes, footage } = view;
  const word = words.action(action ?? '');
  const { attempts } = useLibrary();
  const beforeControls = before?.attempt.controls;
  const hasReaction = view.attempt.reactions.length > 0;
  const result = proposedResult(view.attempt, words);
  const find = useMemo(
    (): Omit<Finders, 'why'> => ({
      who: among<Subject>([
        { value: 'a', texts: [athletes.a, footage.kitA, 'a', 'us'] },
        { value: 'b', texts: [athletes.b, footage.kitB, 'b', 'them'] },
      ]),
      from: lazily(() => among(placeChoices(words, left === undefined ? [] : [left], usual()))),
      place: lazily(() => among(placeChoices(words, [], usual()))),
      holds: lazily(() => gripFinder(words, usual(), state, controls, footage.gi, beforeControls)),
      entry: lazily(() => among(entryChoices(words, state, usual()))),
      answer: lazily(() =>
        among<Answer>([...answerChoices(words, action, usual()), ...(hasReaction ? detailChoices() : [])]),
      ),
      reaction: lazily(() => among(reactionChoices(words, action, usual()))),
      finish: lazily(() => among(finishChoices(words, state, action, usual()))),
      result: among(resultChoices(result)),
      depth: among(word ? depthChoices(word) : []),
      reason: among(reasonChoices(words)),
      mistake: lazily(() => among(mistakeChoices(words))),
      met: lazily(() => among(metChoices(words, usual().meetings, state))),
      isElsewhere: (met) => {
        const meeting = usual().meetings.find((m) => isSameMet(m.met, met));
        return meeting !== undefined && startsElsewhere({ state }, meeting, words);
      },
      lead: among(SIDES),
      intent: among(INTENTS),
      planned: among(PLANNED),
    }),
    [words, athletes, footage, state, action, controls, hasReaction, word, left, result, usual, beforeControls],
  );
  const tellers = useTellers();
  const why = useMemo(
    () => lazily(() => whyFinder(view.attempt, before?.attempt, attempts, words, tellers)),
    [view.attempt, before, attempts, words, tellers],
  );
  const all = useMemo((): Finders => ({ ...find, why }), [find, why]);
  return { find: all, proposed: proposalsFor(view.attempt, words, left) };
};
