import {
  EVIDENCE_WORDS,
  RESULT_WORDS,
  finishId,
  metText,
  placeName,
  sayAlternative,
  sayFact,
  sayHold,
  sayReaction,
  stateId,
  sayAim,
  type Alternative,
  type AttemptAim,
  type Region,
  type AnswerUse,
  type BecauseLink,
  type Control,
  VIEW_WORDS,
  type DetailLoop,
  type ViewStretch,
  type Doubt,
  type ErrorUse,
  type Evidence,
  type FactUse,
  type Finish,
  type KeptRoute,
  type KeyMoment,
  type ProposedPart,
  type ReactionUse,
  type ReasonUse,
  type Result,
  type State,
  type Words,
} from '@odograph/core';

const list = (values: readonly string[]): string => (values.length ? values.join(', ') : 'none');

const PROPOSED_TEXT: Readonly<Record<ProposedPart, string>> = {
  subject: 'whose action it is',
  state: 'position',
  stateRole: 'side of the position',
  action: 'entry',
  finish: 'finish',
  finishRole: 'side of the finish',
  result: 'result',
};

/** Fields whose values are told in words of their own; the others read as they are. */
const TELLERS: Readonly<Record<string, (value: never, words: Words) => string>> = {
  state: (value: State, words) => placeName(stateId(value), words),
  action: (value: string, words) => words.name('action', value),
  finish: (value: Finish, words) => placeName(finishId(value), words),
  result: (value: Result) => RESULT_WORDS[value],
  controls: (value: readonly Control[], words) => list(value.map((c) => sayHold(c, words))),
  reactions: (value: readonly ReactionUse[], words) => list(value.map((r) => sayReaction(r, words))),
  reasons: (value: readonly ReasonUse[], words) => list(value.map((r) => words.name('reason', r.reason))),
  aim: (value: AttemptAim, words) => sayAim(value, words),
  region: (value: Region) =>
    [value.left, value.top, value.right, value.bottom].map((n) => `${Math.round(n * 100)} %`).join(', '),
  wanted: (value: string, words) => words.name('reaction', value),
  errors: (value: readonly ErrorUse[], words) =>
    list(value.map((e) => `${e.what === null ? 'a mistake' : words.name('reason', e.what)}, ${e.cause}`)),
  answers: (value: readonly AnswerUse[], words) => list(value.map((a) => metText(a, words))),
  facts: (value: readonly FactUse[], words) => list(value.map((f) => sayFact(f, words))),
  alternatives: (value: readonly Alternative[], words) => list(value.map((a) => sayAlternative(a, words))),
  links: (value: readonly BecauseLink[]) => list(value.map((l) => l.kind)),
  evidence: (value: readonly Evidence[]) => list(value.map((e) => EVIDENCE_WORDS[e.how])),
  doubts: (value: readonly Doubt[]) => list(value.map((d) => `${d.field} ${d.kind}`)),
  proposed: (value: readonly ProposedPart[]) => list(value.map((part) => PROPOSED_TEXT[part])),
  keyMoments: (value: readonly KeyMoment[]) => list(value.map((m) => `${m.name} at frame ${m.at.frame}`)),
  views: (value: readonly ViewStretch[]) =>
    list(value.map((v) => `${VIEW_WORDS[v.kind]}, frames ${v.in.frame} to ${v.out.frame}`)),
  loops: (value: readonly DetailLoop[]) => list(value.map((l) => `frames ${l.in.frame} to ${l.out.frame}`)),
  gi: (value: boolean) => (value ? 'gi' : 'no-gi'),
  athleteA: (value: string | { readonly name: string }) => (typeof value === 'string' ? 'somebody else' : value.name),
  athleteB: (value: string | { readonly name: string }) => (typeof value === 'string' ? 'somebody else' : value.name),
  steps: (value: KeptRoute['steps'], words) =>
    list(
      value.map((s) => (s.action === null ? s.title : words.name('action', s.action)) + (s.cue ? ` (${s.cue})` : '')),
    ),
  branches: (value: KeptRoute['branches'], words) =>
    list(value.map(({ on }) => (on.kind === 'reaction' ? words.name('reaction', on.reaction) : on.text))),
};

/** A value of a field as it would stand in the interface. */
export const valueText = (field: string, value: unknown, words: Words): string => {
  if (value === null || value === undefined || value === '') return 'nothing said';
  const tell = TELLERS[field];
  if (tell) return tell(value as never, words);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return typeof value === 'string' || typeof value === 'number' ? String(value) : JSON.stringify(value);
};
