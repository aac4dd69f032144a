import {
  controlKey,
  depthWord,
  factSlot,
  isHeldAt,
  normaliseSides,
  sayAlternative,
  sayFact,
  sayHold,
  sayReaction,
  placeName,
  RESULT_WORDS,
  stateId,
  type Attempt,
} from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';

/** What two attempts are held against each other by, in the order in which it is told. */
export const COMPARED = [
  'state',
  'fact',
  'hold',
  'entry',
  'form',
  'reaction',
  'alternative',
  'mistake',
  'depth',
  'result',
] as const;
export type Compared = (typeof COMPARED)[number];

/** One line of two attempts beside each other. What is null was not told there. */
export type Difference = {
  readonly of: Compared;
  readonly is: 'same' | 'only first' | 'only second' | 'other';
  readonly first: string | null;
  readonly second: string | null;
};

/** A detail as it is compared: by `slot` it finds its other, by `value` it is equal to it. */
type Detail = { readonly of: Compared; readonly slot: string; readonly value: string; readonly text: string };

/** How far it came, in the words of its action's ladder. */
const rung = ({ action, depth }: Attempt, words: Words): string => {
  const word = words.action(action ?? '');
  return word && depth !== null ? depthWord(word, depth) : String(depth);
};

const detailsOf = (told: Attempt, words: Words): readonly Detail[] => {
  // sides as seen with the leading side right: a thing done on the other side is the same thing
  const attempt = normaliseSides(told);
  const at = (attempt.commit ?? attempt.start).frame;
  const one = (of: Compared, value: string | null, text: string): readonly Detail[] =>
    value === null ? [] : [{ of, slot: '', value, text }];
  return [
    ...(attempt.state ? one('state', stateId(attempt.state), placeName(stateId(attempt.state), words)) : []),
    ...attempt.facts.map((f): Detail => ({ of: 'fact', slot: factSlot(f), value: f.value, text: sayFact(f, words) })),
    ...attempt.controls
      .filter((c) => isHeldAt(c, at))
      .map((c): Detail => ({
        of: 'hold',
        slot: [c.holder, c.limb, c.limbSide ?? '-'].join(' '),
        value: controlKey(c),
        text: `${c.holder === 'opponent' ? 'their ' : ''}${sayHold(c, words)}`,
      })),
    ...one('entry', attempt.action, words.name('action', attempt.action ?? '')),
    ...one('form', attempt.form || null, attempt.form),
    ...attempt.reactions.map((r, i): Detail => ({
      of: 'reaction',
      slot: String(i),
      value: [r.what, r.quality ?? '-', r.limb ?? '-', r.side ?? '-'].join(' '),
      text: sayReaction(r, words),
    })),
    ...attempt.alternatives.map((a): Detail => ({
      of: 'alternative',
      slot: `${a.by} ${a.what}`,
      value: a.why ?? '-',
      text: sayAlternative(a, words),
    })),
    ...attempt.errors.map((e): Detail => ({
      of: 'mistake',
      slot: `${e.by} ${e.what ?? '-'}`,
      value: e.cause,
      text: e.what === null ? 'a mistake' : words.name('reason', e.what),
    })),
    ...one('depth', attempt.depth === null ? null : String(attempt.depth), rung(attempt, words)),
    ...one('result', attempt.result, attempt.result === null ? '' : RESULT_WORDS[attempt.result]),
  ];
};

/** Details with the same slot are told apart by their order: two hands of which nobody said which. */
const slotted = (details: readonly Detail[]): ReadonlyMap<string, Detail> => {
  const found = new Map<string, Detail>();
  for (const detail of details) {
    let id = `${detail.of} ${detail.slot}`;
    while (found.has(id)) id += '+';
    found.set(id, detail);
  }
  return found;
};

/** Two attempts, detail by detail: what is equal, what only one of them has, and what is there in both with another value. */
export const differencesOf = (first: Attempt, second: Attempt, words: Words): readonly Difference[] => {
  const [a, b] = [slotted(detailsOf(first, words)), slotted(detailsOf(second, words))];
  const all = new Set([...a.keys(), ...b.keys()]);
  return [...all]
    .map((id): Difference => {
      const [one, other] = [a.get(id), b.get(id)];
      return {
        of: (one ?? other)!.of,
        is: !other ? 'only first' : !one ? 'only second' : one.value === other.value ? 'same' : 'other',
        first: one?.text ?? null,
        second: other?.text ?? null,
      };
    })
    .sort((x, y) => COMPARED.indexOf(x.of) - COMPARED.indexOf(y.of));
};

const CHANGED: ReadonlySet<Compared> = new Set(['depth', 'result']);
/** The differences that came with another result or depth: told beside it, never as its cause. None where neither changed. */
export const cameWith = (differences: readonly Difference[]): readonly Difference[] =>
  differences.some((d) => CHANGED.has(d.of) && d.is !== 'same')
    ? differences.filter((d) => !CHANGED.has(d.of) && d.is !== 'same')
    : [];

/** The attempts of the series that an attempt belongs to: those that go on with each other, by their start (`startS`, seconds of the footage). */
export const seriesOf = <T extends { readonly attempt: Attempt; readonly startS: number }>(
  one: T,
  all: readonly T[],
): readonly T[] => {
  const byId = new Map(all.map((t) => [t.attempt.id, t]));
  const rootOf = (t: T): string => {
    const seen = new Set<string>();
    let at = t;
    while (at.attempt.parentId !== null && !seen.has(at.attempt.id)) {
      seen.add(at.attempt.id);
      const parent = byId.get(at.attempt.parentId);
      if (!parent) break;
      at = parent;
    }
    return at.attempt.id;
  };
  const root = rootOf(one);
  return all
    .filter((t) => rootOf(t) === root)
    .sort((x, y) => x.startS - y.startS || (x.attempt.id < y.attempt.id ? -1 : 1));
};
