import {
  aimChoices,
  entryChoices,
  knownChoices,
  linkFinder,
  matchWords,
  otherWayChoices,
  placeChoices,
  reasonChoices,
  type Alternative,
  type Attempt,
  type Known,
  type OtherWay,
  type Sayable,
  type Teller,
  type ToldLink,
  type Words,
} from '@odograph/core';
import type { Found } from '../../../design/fields.js';
import { WHY_TEXT as T } from './phrase.text.js';

/** What may be said behind an attempt: something else that was there, what made what possible, how a detail is known, and more about what was said last. */
export type WhySaid =
  | { readonly is: 'other way'; readonly way: OtherWay }
  | { readonly is: 'why not'; readonly why: string }
  | { readonly is: 'until' }
  | { readonly is: 'opens'; readonly opens: NonNullable<Alternative['opens']> }
  | { readonly is: 'text'; readonly text: string }
  | { readonly is: 'link'; readonly link: ToldLink }
  | { readonly is: 'guess' }
  | { readonly is: 'known'; readonly known: Known }
  | { readonly is: 'proof'; readonly by: 'frame' | 'clip' }
  /** Who told, felt or saw what was told last. */
  | { readonly is: 'teller'; readonly by: Teller }
  | { readonly is: 'form'; readonly form: string }
  /** What it was for, and what the run is called that it is part of. */
  | { readonly is: 'aim'; readonly aim: NonNullable<Attempt['aim']> }
  | { readonly is: 'run'; readonly name: string }
  /** Whether they resisted, whether it is shown as it should be, and what it is the counter to. */
  | { readonly is: 'resisted'; readonly resisted: boolean }
  | { readonly is: 'shown as'; readonly shownAs: Attempt['shownAs'] }
  | { readonly is: 'counter'; readonly of: string };

const as = <T>(choices: readonly Sayable<T>[], of: (value: T) => WhySaid): readonly Sayable<WhySaid>[] =>
  choices.map(({ value, ...said }) => ({ ...said, value: of(value) }));

/** More about the alternative that was told last. */
const aboutAlternative = (words: Words): readonly Sayable<WhySaid>[] => [
  ...as(
    reasonChoices(words).map(({ value, texts }) => ({ value, texts: texts.flatMap((t) => [T.tooLate(t), t]) })),
    (why) => ({ is: 'why not', why }),
  ),
  { value: { is: 'until' }, texts: [T.until, 'until here', 'until now', 'till here', 'till now'] },
  ...as(
    placeChoices(words).map(({ value, texts }) => ({ value, texts: texts.map(T.opens) })),
    (state) => ({ is: 'opens', opens: { kind: 'state', ...state } }),
  ),
  ...as(
    entryChoices(words, null).map(({ value, texts }) => ({ value, texts: texts.map(T.opens) })),
    (action) => ({ is: 'opens', opens: { kind: 'action', action } }),
  ),
];

/** Who may have told something: everybody who is known, and whoever is signed in. */
export type Tellers = readonly { readonly by: Teller; readonly name: string }[];
const tellerChoices = (tellers: Tellers): readonly Sayable<WhySaid>[] =>
  tellers.map(({ by, name }) => ({
    value: { is: 'teller', by },
    texts: [T.saysSo(name), ...['felt it', 'heard it', 'saw it', 'told me'].map((did) => `${name} ${did}`)],
  }));

const MOST_FOUND = 8;
/** How it is said what an attempt was for; of a bait what was really wanted. */
const AIM_LEADS = [T.aim, (what: string) => `really after ${what}`, (what: string) => `wanted ${what}`];
/** Whether it was done against resistance, and shown as it should be. */
const MANNERS: readonly Sayable<WhySaid>[] = [
  { value: { is: 'resisted', resisted: true }, texts: [T.resisted(true), 'against resistance', 'live'] },
  {
    value: { is: 'resisted', resisted: false },
    texts: [T.resisted(false), 'no resistance', 'cooperative', 'let them'],
  },
  { value: { is: 'shown as', shownAs: 'mistake' }, texts: [T.asMistake, 'the usual mistake', 'how not to do it'] },
];

/** Attempts of the other side that overlap or touch this one: it may be the counter to each. */
const counterChoices = (attempt: Attempt, attempts: readonly Attempt[], words: Words): readonly Sayable<WhySaid>[] =>
  attempts
    .filter(
      (o) =>
        o.angleId === attempt.angleId &&
        o.subject !== attempt.subject &&
        o.start.frame <= attempt.end.frame &&
        o.end.frame >= attempt.start.frame,
    )
    .map((o) => ({
      value: { is: 'counter', of: o.id },
      texts: [T.counterTo(words.name('action', o.action ?? '')), 'counter', 'their attack met'],
    }));

/** Shortest form of an entry that is taken, in letters behind *by*. */
const LEAST_FORM = 3;
/** What only is as it is typed: how the entry was done (*by sitting up*), what the run is called (*run: the long way*), and in quotes why an alternative was not taken. */
const asTyped = (typed: string, attempt: Attempt): readonly Found<WhySaid>[] => {
  const text = typed.trim();
  const found = (value: WhySaid, name: string): readonly Found<WhySaid>[] => [{ value, name, via: name }];
  const run = /^(?:run|the run|called):?\s+(.*)$/i.exec(text)?.[1]?.trim();
  if (run) return found({ is: 'run', name: run }, T.run(run));
  if (/^by\s/i.test(text) && text.length >= 3 + LEAST_FORM)
    return found({ is: 'form', form: text.toLowerCase() }, T.by(text.toLowerCase()));
  const quoted = text.replace(/^["“']+|["”']+$/g, '').trim();
  return /^["“']/.test(text) && quoted && attempt.alternatives.length
    ? found({ is: 'text', text: quoted }, T.quoted(quoted))
    : [];
};

/** Runs of the footage whose name begins so, but for the one that is typed whole. */
const runsBegun = (typed: string, names: readonly string[]): readonly Found<WhySaid>[] =>
  names
    .filter((name) => name !== typed && name.toLowerCase().startsWith(typed.toLowerCase()))
    .map((name) => ({ value: { is: 'run', name }, name: T.run(name), via: name }));

/** What may always be said; made once for as long as the words are there: taking it apart for reading takes longer than a key. */
type Always = { readonly any: readonly Sayable<WhySaid>[]; readonly aboutAlternative: readonly Sayable<WhySaid>[] };
const made = new WeakMap<Words, Always>();
const alwaysOf = (words: Words): Always => {
  const known = made.get(words) ?? {
    any: [
      ...MANNERS,
      ...as(
        aimChoices(words).map(({ value, texts }) => ({ value, texts: AIM_LEADS.flatMap((lead) => texts.map(lead)) })),
        (aim) => ({ is: 'aim', aim }),
      ),
      ...as(otherWayChoices(words), (way) => ({ is: 'other way', way })),
    ],
    aboutAlternative: aboutAlternative(words),
  };
  made.set(words, known);
  return known;
};
const nameIn = (list: readonly Sayable<WhySaid>[], value: WhySaid): string =>
  list.find((choice) => choice.value === value)?.texts[0] ?? '';

/** Finds what may be said behind an attempt. `before` is the attempt before it, whose details may have made something possible here; `attempts` are all that there are. */
export const whyFinder = (
  attempt: Attempt,
  before: Attempt | undefined,
  attempts: readonly Attempt[],
  words: Words,
  tellers: Tellers,
): ((typed: string) => readonly Found<WhySaid>[]) => {
  const always = alwaysOf(words);
  const names = [
    ...new Set(attempts.flatMap((a) => (a.footageId === attempt.footageId && a.runName ? [a.runName] : []))),
  ];
  const here: readonly Sayable<WhySaid>[] = [
    ...counterChoices(attempt, attempts, words),
    ...(attempt.links.length ? [{ value: { is: 'guess' } as const, texts: [T.guess, 'perhaps', 'guess'] }] : []),
    ...as(knownChoices(attempt, words), (known) => ({ is: 'known', known })),
    ...(attempt.evidence.length
      ? [
          { value: { is: 'proof', by: 'frame' } as const, texts: [T.proof, 'proof', 'shown here', 'seen here'] },
          {
            value: { is: 'proof', by: 'clip' } as const,
            texts: [T.proofClip, 'the clip shows it', 'seen in this clip'],
          },
          ...tellerChoices(tellers),
        ]
      : []),
  ];
  const lists = [always.any, ...(attempt.alternatives.length ? [always.aboutAlternative] : []), here];
  const find = (typed: string): readonly Found<WhySaid>[] =>
    lists
      .flatMap((list) => matchWords(typed, list).map((m) => ({ ...m, name: nameIn(list, m.value) })))
      .sort((a, b) => b.score - a.score)
      .slice(0, MOST_FOUND)
      .map(({ value, text, name }) => ({ value, name, via: text }));
  const links = linkFinder(attempt, before, words);
  return (typed) => {
    const said = asTyped(typed, attempt);
    const [first] = said;
    if (first?.value.is === 'run') return [...runsBegun(first.value.name, names), ...said];
    if (typed.trim() === '' || said.length) return said;
    const linked = links(typed).map(({ link, text }): Found<WhySaid> => ({
      value: { is: 'link', link },
      name: text,
      via: text,
    }));
    return [...linked, ...find(typed)].slice(0, MOST_FOUND);
  };
};
