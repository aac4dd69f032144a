import {
  RESULT_WORDS,
  depthWord,
  sayControl,
  sayFact,
  type Attempt,
  type Finish,
  type State,
} from '../attempts/index.js';
import type { Role, Words } from '../vocabulary/index.js';
import { readPhrase } from './reader.js';
import { partsSaid, type SaidParts } from './said.js';
import type { PhraseContext } from './types.js';
import { COULD } from './whyChoices.js';

const RESET_WORDS = {
  edge: 'out of bounds',
  time: 'out of time',
  'stand-up': 'stood up by the referee',
} as const;
const roleText = (role: Role): string => (role === 'even' ? '' : ` ${role}`);
const placeText = ({ position, role }: State, words: Words): string =>
  `${words.name('position', position)}${roleText(role)}`;
const finishText = (finish: Finish, words: Words): string => {
  switch (finish.kind) {
    case 'state':
      return `ends in ${placeText(finish, words)}`;
    case 'submission':
      return `${words.name('submission', finish.submission)} ${finish.won ? 'won' : 'lost'}`;
    case 'reset':
      return RESET_WORDS[finish.how];
  }
};

type Clause = { readonly part: keyof SaidParts; readonly text: string };

/** The clauses of an attempt as they would be typed, in the order in which the line is mostly said. */
const clausesOf = (attempt: Attempt, words: Words): readonly Clause[] => {
  const word = words.action(attempt.action ?? '');
  const holds = (holder: 'subject' | 'opponent'): readonly string[] =>
    attempt.controls.filter((c) => c.holder === holder).map((c) => sayControl(c, words));
  const some = (part: keyof SaidParts, text: string | null | undefined): readonly Clause[] =>
    text ? [{ part, text }] : [];
  const { lead, proposed } = attempt;
  // what only follows is not typed: it follows again
  const typed = <F extends 'state' | 'action' | 'finish' | 'result'>(field: F): Attempt[F] | null =>
    proposed.includes(field) ? null : attempt[field];
  const [state, action, finish, result] = [typed('state'), typed('action'), typed('finish'), typed('result')];
  return [
    ...some('state', state && `from ${lead ? `${lead} ` : ''}${placeText(state, words)}`),
    ...attempt.facts.map((f): Clause => ({ part: 'facts', text: sayFact(f, words) })),
    ...holds('subject').map((text): Clause => ({ part: 'controls', text: `with ${text}` })),
    ...some('action', action && words.name('action', action)),
    ...some('intent', attempt.intent === 'bait' ? 'as bait' : null),
    ...holds('opponent').map((text): Clause => ({ part: 'controls', text: `they have ${text}` })),
    ...attempt.reactions.map(({ what, isAction }): Clause => ({
      part: 'reactions',
      text: `they ${words.name(isAction ? 'action' : 'reaction', what)}`,
    })),
    ...some('depth', word && attempt.depth !== null ? depthWord(word, attempt.depth) : null),
    ...some('finish', finish && finishText(finish, words)),
    ...some('result', result && RESULT_WORDS[result]),
    ...attempt.reasons.map(({ reason }): Clause => ({
      part: 'reasons',
      text: `because ${words.name('reason', reason)}`,
    })),
    ...attempt.alternatives.map(({ by, what, isAction }): Clause => ({
      part: 'alternatives',
      text: `${COULD[by][0]} ${words.name(isAction ? 'action' : 'reaction', what)}`,
    })),
  ];
};

const PARTS = ['state', 'lead', 'action', 'intent', 'depth', 'finish', 'result'] as const;
const isRead = (attempt: Attempt, read: SaidParts, { part }: Clause): boolean =>
  (PARTS as readonly string[]).includes(part)
    ? JSON.stringify(read[part]) === JSON.stringify(attempt[part as (typeof PARTS)[number]])
    : true;

/**
 * An attempt as the line that says it, so that what is kept can be changed where it stands: read again it says the same. What a line can't say
 * (an own word that reads as something else) is left out and given back as `stays`, in words; no line takes it out. `before` is what the line says of it.
 */
export const lineOf = (
  attempt: Attempt,
  words: Words,
  context: PhraseContext,
): { readonly text: string; readonly before: SaidParts; readonly stays: readonly string[] } => {
  let clauses = clausesOf(attempt, words);
  const stays: string[] = [];
  // each round leaves out what was not read back; there are few
  for (;;) {
    const text = clauses.map((c) => c.text).join('; ');
    const said = partsSaid(readPhrase(text, words, context), text, words, () => '');
    const isWhole = said.further.length === 0 && said.note === '';
    const wrong = clauses.find((c) => !isRead(attempt, said.parts, c)) ?? (isWhole ? undefined : clauses.at(-1));
    if (!wrong) return { text, before: said.parts, stays };
    stays.push(wrong.text);
    clauses = clauses.filter((c) => c !== wrong);
  }
};
