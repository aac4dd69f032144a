import {
  DEPTH_WORDS,
  EVIDENCE_HOWS,
  FACT_WHEN,
  HIDDEN_WORDS,
  HOLD_DEPTHS,
  HOLD_PURPOSES,
  LINK_KINDS,
  PURPOSE_WORDS,
  THUMBS,
  THUMB_WORDS,
  WHEN_WORDS,
  bareWhose,
  factText,
  handedWords,
  placesOn,
  sayFact,
  valuesOf,
  type Attempt,
  type AttemptAim,
  type Control,
  type EvidenceHow,
  type FactUse,
  type HoldDetail,
  type LinkKind,
  type PartId,
  type PartRef,
  type Side,
} from '../attempts/index.js';
import { matchWords, type FactValue, type FactWord, type Role, type Sayable, type Words } from '../vocabulary/index.js';
import { placeChoices } from './choices.js';
import { EVIDENCE_WORDS, partsOf, sayPart } from '../why/index.js';

type Fact = Omit<FactUse, 'id'>;

/** Every way in which a value is said of somebody, its name first; bare where it is of whoever it is mostly of. */
const textsOfFact = (
  word: FactWord,
  value: FactValue,
  fact: Fact,
  isBare: boolean,
  words: Words,
): readonly string[] => {
  const when = WHEN_WORDS[fact.when];
  const all = [value.says, ...value.aliases];
  const ways = all.map((says) => factText(word, { says }, fact.whose, fact.side));
  const bare = isBare && fact.side === null ? all : [];
  const own = fact.whose === 'subject' && fact.side === null ? all.map((text) => `my ${text}`) : [];
  // *hips low* without a word of whose is theirs where it is mostly theirs
  const said = isBare ? [...ways, ...bare, ...own] : [...ways.filter((way) => !all.includes(way)), ...own];
  return [sayFact(fact, words), ...said.map((text) => [text, when].filter(Boolean).join(' '))];
};

/** How somebody can stand: every value of every fact, of whom it may be, on each side, at each time. `role`: that of the subject, where it is known. Where it starts comes first. */
export const factChoices = (words: Words, role: Role | null = null): readonly Sayable<Fact>[] =>
  words.of('fact').flatMap((word) => {
    const sides: readonly (Side | null)[] = word.sided ? [null, 'left', 'right'] : [null];
    const whose = word.whose === 'both' ? (['both'] as const) : (['subject', 'opponent'] as const);
    const usual = bareWhose(word, role);
    return valuesOf(word).flatMap((value) =>
      whose.flatMap((of) =>
        sides.flatMap((side) =>
          FACT_WHEN.map((when): Sayable<Fact> => {
            const fact = { fact: word.key, value: value.key, side, whose: of, when };
            return {
              value: fact,
              texts: textsOfFact(word, value, fact, of === usual, words),
              bonus: of === usual && when === 'start' ? 0 : -0.05,
            };
          }),
        ),
      ),
    );
  });

const HIDDEN_ALIASES = ['hidden', 'can’t see it', "can't see it", 'unseen'];
/** What may be said about the hold that was told last. */
export const holdDetailChoices = (target: string, words: Words): readonly Sayable<HoldDetail>[] => [
  ...placesOn(target, words).map((place): Sayable<HoldDetail> => ({
    value: { kind: 'place', place },
    texts: [place, `at the ${place}`],
  })),
  ...HOLD_DEPTHS.map((depth): Sayable<HoldDetail> => ({
    value: { kind: 'depth', depth },
    texts: [DEPTH_WORDS[depth]],
  })),
  ...THUMBS.map((thumb): Sayable<HoldDetail> => ({ value: { kind: 'thumb', thumb }, texts: [THUMB_WORDS[thumb]] })),
  ...HOLD_PURPOSES.map((purpose): Sayable<HoldDetail> => ({
    value: { kind: 'purpose', purpose },
    texts: [PURPOSE_WORDS[purpose], purpose],
  })),
  { value: { kind: 'hidden' }, texts: [HIDDEN_WORDS, ...HIDDEN_ALIASES] },
];

/** That a hold was taken over from another hand, of those it may have been taken from (`mayBeFrom`); the last one of each hand. */
export const handedChoices = (from: readonly Control[]): readonly Sayable<HoldDetail>[] =>
  [...new Map(from.map((c) => [c.limbSide, c])).values()].map(({ id, limbSide }) => {
    const from = handedWords(limbSide);
    return { value: { kind: 'handed', from: id }, texts: [from, `handed ${from}`, `taken over ${from}`] };
  });

/** What an attempt was for: any place, any submission. */
export const aimChoices = (words: Words): readonly Sayable<AttemptAim>[] => [
  ...words.of('submission').map((w): Sayable<AttemptAim> => ({
    value: { kind: 'submission', submission: w.key },
    texts: [w.name, ...w.aliases],
  })),
  ...placeChoices(words).map(({ value, ...said }): Sayable<AttemptAim> => ({
    ...said,
    value: { kind: 'state', ...value },
  })),
];

/** What somebody could have done instead. */
export type OtherWay = { readonly by: 'subject' | 'opponent'; readonly what: string; readonly isAction: boolean };
/** How it is said that somebody could have done something else. */
export const COULD: Readonly<Record<OtherWay['by'], readonly string[]>> = {
  opponent: ['they could have', 'they should have', 'could have'],
  subject: ['we could have', 'we should have', 'should have'],
};
/** All that could have been done: by the other side any reaction and any action, by whoever acts any action. */
export const otherWayChoices = (words: Words): readonly Sayable<OtherWay>[] => {
  const of = (by: OtherWay['by'], isAction: boolean): readonly Sayable<OtherWay>[] =>
    words.of(isAction ? 'action' : 'reaction').map((word) => ({
      value: { by, what: word.key, isAction },
      texts: COULD[by].flatMap((could) => [word.name, ...word.aliases].map((name) => `${could} ${name}`)),
      bonus: isAction ? -0.02 : 0,
    }));
  return [...of('opponent', false), ...of('subject', true), ...of('opponent', true)];
};

/** A link between two details that can be told. */
export type ToldLink = { readonly from: PartRef; readonly to: PartRef; readonly kind: LinkKind };
const LINK_ALIASES: Readonly<Record<LinkKind, readonly string[]>> = {
  enables: ['lets', 'allows', 'makes possible'],
  prevents: ['stops', 'blocks', 'keeps away'],
  forces: ['makes', 'brings about'],
  exposes: ['opens', 'gives up'],
  delays: ['slows', 'holds up'],
};
type Detail = { readonly ref: PartRef; readonly text: string };
const detailsOf = (attempt: Attempt, words: Words, isBefore: boolean): readonly Detail[] =>
  partsOf(attempt).map((part) => ({
    ref: { attemptId: isBefore ? attempt.id : null, part },
    text: `${isBefore ? 'before: ' : ''}${sayPart(attempt, part, words)!}`,
  }));
/** The kinds that a typed verb may begin, and how it goes on: *prev* is *prevents*. */
const LEAST_VERB = 3;
const kindsBegun = (verb: string): readonly LinkKind[] =>
  verb.length < LEAST_VERB
    ? []
    : LINK_KINDS.filter((kind) => [kind, ...LINK_ALIASES[kind]].some((text) => text.split(' ')[0]!.startsWith(verb)));
const FOUND_LINKS = 8;

export type FoundLink = { readonly link: ToldLink; readonly text: string };
/**
 * Finds links as they are typed: a detail, what it does, and another detail (*frame prevents knee slice*), each shortened as one likes; what stands before the verb leads to
 * what stands behind it. From one detail of an attempt to another one, and from those of the attempt before.
 */
export const linkFinder = (
  attempt: Attempt,
  before: Attempt | undefined,
  words: Words,
): ((typed: string) => readonly FoundLink[]) => {
  const sayable = (details: readonly Detail[]): readonly Sayable<Detail>[] =>
    details.map((d) => ({ value: d, texts: [d.text] }));
  const here = detailsOf(attempt, words, false);
  const [from, to] = [sayable([...here, ...(before ? detailsOf(before, words, true) : [])]), sayable(here)];
  return (typed) => {
    const said = typed.toLowerCase().trim().split(/\s+/);
    return said
      .flatMap((verb, i) => kindsBegun(verb).map((kind) => ({ kind, at: i })))
      .filter(({ at }) => at > 0)
      .flatMap(({ kind, at }) => {
        const rest = said.slice(at + 1).join(' ');
        return matchWords(said.slice(0, at).join(' '), from).flatMap((a) =>
          matchWords(rest, to)
            .filter((b) => b.value.ref.part !== a.value.ref.part || a.value.ref.attemptId !== null)
            .map((b) => ({
              link: { from: a.value.ref, to: b.value.ref, kind },
              text: `${a.value.text} ${kind} ${b.value.text}`,
              score: a.score + b.score,
            })),
        );
      })
      .sort((a, b) => b.score - a.score)
      .slice(0, FOUND_LINKS)
      .map(({ link, text }) => ({ link, text }));
  };
};

/** How a detail may be known. */
export type Known = { readonly part: PartId; readonly how: EvidenceHow };
const HOW_ALIASES: Readonly<Record<EvidenceHow, readonly string[]>> = {
  seen: ['seen'],
  partly: ['partly seen', 'half seen'],
  hidden: ['hidden', 'unseen'],
  concluded: ['guessed', 'must have been'],
  felt: ['felt', 'heard'],
  told: ['told', 'they said so'],
};
/** How each detail of an attempt may be known; the result first, since that is what is mostly felt. */
export const knownChoices = (attempt: Attempt, words: Words): readonly Sayable<Known>[] =>
  partsOf(attempt).flatMap((part) => {
    const text = sayPart(attempt, part, words)!;
    return EVIDENCE_HOWS.map((how): Sayable<Known> => ({
      value: { part, how },
      texts: [EVIDENCE_WORDS[how], ...HOW_ALIASES[how]].flatMap((word) => [`${text}: ${word}`, `${word}: ${text}`]),
      bonus: part === 'result' ? 0.05 : 0,
    }));
  });
