import {
  BARE_HOLD,
  RESULT_WORDS,
  controlKey,
  depthWord,
  finishId,
  placeName,
  proposedResult,
  sayControl,
  stateId,
  withReason,
  type Attempt,
  type Control,
  type Finish,
  type Result,
  type State,
} from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import type { SaidHold } from './holds.js';
import type { Meant, PhraseReading, SaidFinish, SaidPlace } from './types.js';

type Hold = Omit<Control, 'id' | 'holder'>;

const plainHold = (hold: SaidHold, words: Words): Hold => ({
  ...BARE_HOLD,
  limb: hold.limb,
  limbSide: hold.limbSide,
  kind: hold.kind,
  target: hold.target,
  targetOwner: hold.owner,
  targetSide: hold.targetSide,
  reach: hold.reach,
  cloth: words.target(hold.target)?.cloth ?? false,
});

/** A hold as controls: both of something are two, one on each side of what has sides. */
const holdsOf = (hold: SaidHold, words: Words): readonly Hold[] => {
  const one = plainHold(hold, words);
  if (!hold.both) return [one];
  const isOnSides = words.target(hold.target)?.sided === true && hold.kind !== 'underhook';
  return (['left', 'right'] as const).map((side) =>
    isOnSides ? { ...one, targetSide: side } : { ...one, limbSide: side },
  );
};

const stateOf = (place: SaidPlace): State | null =>
  place.role === null ? null : { position: place.position, role: place.role };

const finishOf = (finish: SaidFinish): Finish | null => {
  if (finish.kind !== 'state') return finish;
  const state = stateOf(finish);
  return state && { kind: 'state', ...state };
};

/** The parts of an attempt that a phrase can say. */
export type SaidParts = Partial<
  Pick<
    Attempt,
    'subject' | 'state' | 'action' | 'intent' | 'result' | 'finish' | 'depth' | 'controls' | 'reactions' | 'reasons'
  >
>;

/**
 * What a reading says of an attempt, and what is left for the note: the words that were not understood, and places of which nobody said whose side
 * they are. Only parts that were said are there. `newId` makes the ids of grips, reactions and reasons.
 */
export const partsSaid = (
  reading: PhraseReading,
  text: string,
  words: Words,
  newId: () => string,
): { readonly parts: SaidParts; readonly note: string } => {
  const parts: { -readonly [K in keyof SaidParts]: SaidParts[K] } = {};
  const left: { readonly from: number; readonly text: string }[] = reading.notUnderstood.map(({ from, text: t }) => ({
    from,
    text: t,
  }));
  for (const { meant, from, to } of reading.parts) {
    switch (meant.part) {
      case 'who':
        parts.subject = meant.subject;
        break;
      case 'position': {
        const state = stateOf(meant.place);
        if (state) parts.state = state;
        else left.push({ from, text: text.slice(from, to) });
        break;
      }
      case 'grip':
        parts.controls = [
          ...(parts.controls ?? []),
          ...holdsOf(meant.hold, words).map((hold) => ({ ...hold, id: newId(), holder: meant.holder })),
        ];
        break;
      case 'entry':
        parts.action = meant.action;
        break;
      case 'reaction':
        parts.reactions = [
          ...(parts.reactions ?? []),
          { id: newId(), what: meant.what, isAction: meant.isAction, deciding: false },
        ];
        break;
      case 'finish': {
        const finish = finishOf(meant.finish);
        if (finish) parts.finish = finish;
        else left.push({ from, text: text.slice(from, to) });
        break;
      }
      case 'result':
        parts.result = meant.result;
        break;
      case 'intent':
        parts.intent = meant.intent;
        break;
      case 'depth':
        parts.depth = meant.depth;
        break;
      case 'reason':
        parts.reasons = withReason(parts.reasons ?? [], meant.reason, newId());
    }
  }
  left.sort((a, b) => a.from - b.from);
  return { parts, note: left.map((l) => l.text).join('; ') };
};

/** What follows from what was said though nobody said it. */
export type Following = { readonly state?: State; readonly result?: Result };

/**
 * What a phrase changes in an attempt. Single parts are set, lists are added to (what is there already is not said twice). Where no place was said, that in
 * which the attempt before left things follows (`left`, as this subject sees it); where no result was, the one that follows from the finish.
 */
export const changesSaid = (
  attempt: Attempt,
  parts: SaidParts,
  left: State | null,
  words: Words,
): { readonly changes: SaidParts; readonly following: Following } => {
  const { controls = [], reactions = [], reasons = [], ...single } = parts;
  const held = new Set(attempt.controls.map(controlKey));
  const met = new Set(attempt.reactions.map((r) => r.what));
  const given = new Set(attempt.reasons.map((r) => r.reason));
  const more = {
    controls: controls.filter((c) => !held.has(controlKey(c))),
    reactions: reactions.filter((r) => !met.has(r.what)),
    reasons: reasons.filter((r) => !given.has(r.reason)),
  };
  const isSame = (parts.subject ?? attempt.subject) === attempt.subject;
  const state = !parts.state && !attempt.state && left && isSame ? left : undefined;
  const after = { ...attempt, ...single, ...(state ? { state } : {}) };
  const proposed = after.result === null ? proposedResult(after, words) : null;
  const following: Following = { ...(state ? { state } : {}), ...(proposed ? { result: proposed } : {}) };
  return {
    changes: {
      ...single,
      ...following,
      ...(more.controls.length ? { controls: [...attempt.controls, ...more.controls] } : {}),
      ...(more.reactions.length ? { reactions: [...attempt.reactions, ...more.reactions] } : {}),
      ...(more.reasons.length
        ? { reasons: [...attempt.reasons, ...more.reasons.map((r) => ({ ...r, main: r.main && !given.size }))] }
        : {}),
    },
    following,
  };
};

const placeText = (place: SaidPlace, words: Words): string => {
  const state = stateOf(place);
  return state ? placeName(stateId(state), words) : words.name('position', place.position);
};

/** A part of a phrase in words, as the sentence of a clip says it. `action` is the entry, for the rungs of its ladder. */
export const sayMeant = (
  meant: Meant,
  words: Words,
  athletes: Readonly<Record<'a' | 'b', string>>,
  action: string | null,
): string => {
  switch (meant.part) {
    case 'who':
      return athletes[meant.subject];
    case 'position':
      return placeText(meant.place, words);
    case 'grip':
      return holdsOf(meant.hold, words)
        .map((hold) => sayControl({ ...hold, id: '', holder: meant.holder }, words))
        .join(' and ');
    case 'entry':
      return words.name('action', meant.action);
    case 'reaction':
      return words.name(meant.isAction ? 'action' : 'reaction', meant.what);
    case 'finish': {
      const finish = finishOf(meant.finish);
      return finish ? placeName(finishId(finish), words) : placeText(meant.finish as SaidPlace, words);
    }
    case 'result':
      return RESULT_WORDS[meant.result];
    case 'intent':
      return 'bait';
    case 'depth': {
      const does = action === null ? undefined : words.action(action)?.does;
      return does ? depthWord(does, meant.depth) : String(meant.depth);
    }
    case 'reason':
      return words.name('reason', meant.reason);
  }
};
