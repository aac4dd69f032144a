import { BARE_HOLD, USUAL_KIND, controlKey, type Control, type Side, type State } from '../attempts/index.js';
import { CONTROL_KINDS, LIMBS, type ControlKind, type Limb, type TargetWord, type Words } from '../vocabulary/index.js';
import { readControls } from './readHolds.js';
import type { Usual } from './usual.js';

type Hold = Omit<Control, 'id'>;

const SIDE_LETTERS: Record<Side, string> = { left: 'L', right: 'R' };

/** The kind that a hold has where nobody says one. */
export const plainKind = (limb: Limb, target: TargetWord | undefined): ControlKind =>
  target?.key === 'mat' ? 'post' : limb === 'hand' && target?.key === 'underarm' ? 'underhook' : USUAL_KIND[limb];

/**
 * A hold as short as it can be told apart by its letters: side, limb where it is no hand, kind where it is not the usual one, side and name of what is held.
 * @example holdName(right hand on their left collar) // 'R→L collar'
 */
export const holdName = (hold: Hold, words: Words): string => {
  const limb = hold.limbSide ? SIDE_LETTERS[hold.limbSide] : '';
  const target = words.target(hold.target);
  if (hold.kind === 'underhook')
    return [limb, hold.reach, 'underhook', hold.targetSide && SIDE_LETTERS[hold.targetSide]].filter(Boolean).join(' ');
  const how = [
    limb,
    hold.limb === 'hand' && hold.limbSide ? '' : hold.limb,
    hold.kind === plainKind(hold.limb, target) ? '' : hold.kind,
  ].filter(Boolean);
  const what = [
    hold.targetOwner === 'own' ? 'own' : '',
    hold.reach,
    hold.targetSide && SIDE_LETTERS[hold.targetSide],
    words.name('target', hold.target),
  ].filter(Boolean);
  return [how.join(' '), what.join(' ')].filter(Boolean).join('→');
};

const letters = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');

const isOfHand = (limb: Limb): boolean => limb === 'hand' || limb === 'arm';
/** Cloth, and what is held by hands only. */
const FOR_HANDS: ReadonlySet<string> = new Set(['hand', 'wrist', 'face', 'toes', 'underarm']);

/** What a limb can be said to do to a target without anybody having said it before. An underhook is of the arm. */
const canBe = (kind: ControlKind, limb: Limb, target: TargetWord): boolean => {
  if (kind === 'underhook') return limb === 'arm' && target.key === 'underarm';
  if (!isOfHand(limb) && (target.cloth || FOR_HANDS.has(target.key))) return false;
  return kind === plainKind(limb, target) || (kind === 'frame' && limb !== 'hips' && target.key !== 'mat');
};

/** What each limb mostly does, most often first. */
const MOSTLY: Readonly<Record<Limb, readonly ControlKind[]>> = {
  hand: ['grip', 'frame', 'post', 'pin', 'hook'],
  arm: ['underhook', 'lock', 'frame', 'hook', 'pin'],
  foot: ['hook', 'post', 'frame', 'lock'],
  leg: ['hook', 'lock', 'frame', 'pin'],
  knee: ['wedge', 'pin', 'frame'],
  head: ['wedge', 'post', 'frame'],
  shoulder: ['pin', 'wedge', 'frame'],
  hips: ['pin', 'wedge'],
};
/** The ways in which a limb can be on a target, in the order in which it mostly is. An underhook is of the arm, under the armpit. */
export const kindsOf = (limb: Limb, target: Pick<TargetWord, 'key'> | undefined): readonly ControlKind[] => {
  if (target?.key === 'mat' || target?.key === 'wall') return ['post'];
  return MOSTLY[limb].filter((kind) => kind !== 'underhook' || target?.key === 'underarm');
};

/** What hands and feet can do to everything there is a word for: the ground on which the usual holds stand. */
const everyHold = (words: Words): readonly Hold[] => {
  const sides: readonly (Side | null)[] = ['right', 'left', null];
  return words
    .of('target')
    .filter((t) => !t.grips)
    .flatMap((target) =>
      (target.sided ? sides : [null]).flatMap((targetSide) =>
        sides.flatMap((limbSide) =>
          LIMBS.flatMap((limb) =>
            CONTROL_KINDS.filter((kind) => canBe(kind, limb, target)).map((kind): Hold => ({
              ...BARE_HOLD,
              holder: 'subject',
              limb,
              limbSide,
              kind,
              target: target.key,
              targetOwner: target.key === 'mat' ? 'mat' : target.key === 'wall' ? 'wall' : 'other',
              targetSide,
              cloth: target.cloth,
            })),
          ),
        ),
      ),
    );
};

type Named = { readonly hold: Hold; readonly name: string; readonly letters: string; readonly key: string };
const keyOf = (hold: Hold): string => controlKey({ ...hold, id: '' });
const named = (hold: Hold, words: Words): Named => {
  const name = holdName(hold, words);
  return { hold, name, letters: letters(name), key: keyOf(hold) };
};

/** Named once for as long as the words are there. */
const grounds = new WeakMap<Words, readonly Named[]>();
const groundOf = (words: Words): readonly Named[] => {
  const known = grounds.get(words) ?? everyHold(words).map((hold) => named(hold, words));
  grounds.set(words, known);
  return known;
};

const isTaken = (hold: Hold, held: readonly Hold[]): boolean =>
  hold.limbSide !== null &&
  held.some(
    (h) =>
      h.limbSide === hold.limbSide &&
      (h.limb === hold.limb || (isOfHand(h.limb) && isOfHand(hold.limb)) || (isOfLeg(h.limb) && isOfLeg(hold.limb))),
  );
const isOfLeg = (limb: Limb): boolean => limb === 'foot' || limb === 'leg' || limb === 'knee';

/** A limb that holds already, cloth where nobody wears any: still there, behind the others. */
const BEHIND = 10;
/** Two hands mostly hold alike. */
const ALIKE = 0.3;

export type FoundHold = { readonly hold: Hold; readonly name: string };

/**
 * Finds holds by their short names, from the first letter on (signs and spaces do not matter), in the order of what is usual from the place and what is held
 * already; then by anything else that names one (*right hand left collar*). At most `limit`. Ties stay in the order of limbs and targets.
 */
export const holdFinder = (
  words: Words,
  usual: Usual,
  at: { readonly from: State | null; readonly held: readonly Hold[]; readonly gi: boolean },
  limit = 8,
): ((typed: string) => readonly FoundHold[]) => {
  const score = ({ hold, key }: Named): number =>
    usual.hold(hold, at.from, key) +
    (at.held.some((h) => h.target === hold.target && h.limb === hold.limb && h.kind === hold.kind) ? ALIKE : 0) -
    (isTaken(hold, at.held) || (hold.cloth && !at.gi) ? BEHIND : 0);
  const byKey = new Map([...usual.holds.map((hold) => named(hold, words)), ...groundOf(words)].map((n) => [n.key, n]));
  const here = new Set(at.held.map(keyOf));
  const ranked = [...byKey.values()]
    .filter(({ hold, key }) => words.target(hold.target) && !here.has(key))
    .map((n) => ({ ...n, score: score(n) }))
    .sort((a, b) => b.score - a.score);
  return (typed) => {
    const wanted = letters(typed);
    if (!wanted)
      return ranked
        .filter((row) => row.score > 0)
        .slice(0, limit)
        .map(({ hold, name }) => ({ hold, name }));
    const begins = ranked.filter((row) => row.letters.startsWith(wanted));
    // what is typed to its end is meant, though other names go on behind it
    const begun = [
      ...begins.filter((row) => row.letters === wanted),
      ...begins.filter((row) => row.letters !== wanted),
    ].slice(0, limit);
    const seen = new Set(begun.map((row) => keyOf(row.hold)));
    const read = readControls(typed, words, limit)
      .filter((hold) => !seen.has(keyOf(hold)))
      .map((hold) => ({ hold, name: holdName(hold, words) }));
    return [...begun.map(({ hold, name }) => ({ hold, name })), ...read].slice(0, limit);
  };
};
