import {
  RESULT_WORDS,
  finishId,
  placeName,
  sayControl,
  sayFact,
  stateId,
  type Attempt,
  type BecauseLink,
  type PartId,
  type PartRef,
} from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';

/** The attempt's lists whose items are details, by what stands before their ids. */
const LISTS = {
  fact: 'facts',
  control: 'controls',
  reaction: 'reactions',
  alternative: 'alternatives',
  error: 'errors',
} as const;

/** Everything in an attempt that one can point at, in the order of the sentence. */
export const partsOf = (attempt: Attempt): readonly PartId[] => {
  const listed = (kind: keyof typeof LISTS): readonly PartId[] => attempt[LISTS[kind]].map(({ id }) => `${kind}:${id}`);
  return [
    ...(attempt.state ? ['state'] : []),
    ...listed('fact'),
    ...listed('control'),
    ...(attempt.action === null ? [] : ['action']),
    ...listed('reaction'),
    ...(attempt.finish ? ['finish'] : []),
    ...(attempt.result ? ['result'] : []),
    ...listed('error'),
    ...listed('alternative'),
  ];
};

const listedPart = (attempt: Attempt, kind: string, id: string, words: Words): string | undefined => {
  const of = <T extends { readonly id: string }>(list: readonly T[], say: (item: T) => string): string | undefined => {
    const found = list.find((item) => item.id === id);
    return found && say(found);
  };
  switch (kind) {
    case 'fact':
      return of(attempt.facts, (f) => sayFact(f, words));
    case 'control':
      return of(attempt.controls, (c) => `${c.holder === 'opponent' ? 'their ' : ''}${sayControl(c, words)}`);
    case 'reaction':
      return of(attempt.reactions, (r) => words.name(r.isAction ? 'action' : 'reaction', r.what));
    case 'alternative':
      return of(attempt.alternatives, (a) => words.name(a.isAction ? 'action' : 'reaction', a.what));
    case 'error':
      return of(attempt.errors, (e) => (e.what === null ? 'a mistake' : words.name('reason', e.what)));
    default:
      return undefined;
  }
};

/** A detail of an attempt in words; undefined where it is not there. */
export const sayPart = (attempt: Attempt, part: PartId, words: Words): string | undefined => {
  const { state, action, finish, result } = attempt;
  switch (part) {
    case 'state':
      return state ? placeName(stateId(state), words) : undefined;
    case 'action':
      return action === null ? undefined : words.name('action', action);
    case 'finish':
      return finish ? `ends in ${placeName(finishId(finish), words)}` : undefined;
    case 'result':
      return result ? RESULT_WORDS[result] : undefined;
    default: {
      const [kind, id] = part.split(':');
      return listedPart(attempt, kind!, id ?? '', words);
    }
  }
};

const GONE = 'something that’s no longer told';
/** A link of an attempt in words: *frame prevents knee slice*; details of other attempts are found among `attempts`. */
export const sayLink = (
  { from, to, kind, isSure }: Omit<BecauseLink, 'id'>,
  own: Attempt,
  attempts: readonly Attempt[],
  words: Words,
): string => {
  const say = ({ attemptId, part }: PartRef): string => {
    const of = attemptId === null ? own : attempts.find((a) => a.id === attemptId);
    return (of && sayPart(of, part, words)) ?? GONE;
  };
  return `${isSure ? '' : 'perhaps '}${say(from)} ${kind} ${say(to)}`;
};

/** The links of an attempt whose own details are still told. */
export const linksTold = (attempt: Attempt): readonly BecauseLink[] => {
  const here = new Set(partsOf(attempt));
  return attempt.links.filter(({ from, to }) =>
    [from, to].every(({ attemptId, part }) => attemptId !== null || here.has(part)),
  );
};
