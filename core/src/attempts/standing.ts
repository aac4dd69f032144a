import type { Aim, Role, Words } from '../vocabulary/index.js';
import { isHeldAt } from './heldNow.js';
import { defaultHeight, finishId, placeName, stateId, type PlaceId } from './places.js';
import type { Attempt, AttemptAim, Finish, Result } from './types.js';
import type { Footage } from '../footage/index.js';

/** A clip with state, entry and result is complete; anything less is a draft and not on the map. */
export const missingParts = (
  attempt: Pick<Attempt, 'state' | 'action' | 'result'>,
): readonly ('state' | 'action' | 'result')[] =>
  (['state', 'action', 'result'] as const).filter((part) => attempt[part] === null);

/** What an attempt was for: what was said, otherwise what its action aims at. What a bait is really for is not what its action would be. */
export const aimsOf = (
  { action, intent, aim }: Pick<Attempt, 'action' | 'intent' | 'aim'>,
  words: Words,
): readonly Aim[] =>
  aim && intent === 'own'
    ? [aim.kind === 'state' ? { position: aim.position, role: aim.role } : { submission: aim.submission }]
    : ((action === null ? undefined : words.action(action)?.aims) ?? []);

/** Where an attempt ends that reaches what it was for. */
export const aimReached = (aim: AttemptAim): Exclude<Finish, { kind: 'reset' }> =>
  aim.kind === 'state' ? aim : { ...aim, won: true };

/** A place to come to, or a submission to win, in words. */
export const sayAim = (aim: AttemptAim, words: Words): string =>
  aim.kind === 'state' ? placeName(stateId(aim), words) : words.name('submission', aim.submission);

/**
 * Where the attempt ended, with what follows where it was not said: failed or dropped = the state it started in (assumed);
 * success = the aim, if that is a single place; otherwise nothing.
 */
export const finishOf = (
  attempt: Pick<Attempt, 'state' | 'action' | 'result' | 'finish' | 'intent' | 'aim'>,
  words: Words,
): { readonly finish: Finish; readonly assumed: boolean } | undefined => {
  if (attempt.finish) return { finish: attempt.finish, assumed: false };
  if (!attempt.state || !attempt.action) return undefined;
  if (attempt.result === 'failed' || attempt.result === 'abandoned')
    return { finish: { kind: 'state', ...attempt.state }, assumed: true };
  const aims = aimsOf(attempt, words);
  const aim = aims[0];
  if (attempt.result !== 'success' || aims.length !== 1 || !aim) return undefined;
  if ('submission' in aim)
    return { finish: { kind: 'submission', submission: aim.submission, won: true }, assumed: true };
  return 'position' in aim
    ? { finish: { kind: 'state', position: aim.position, role: aim.role }, assumed: true }
    : undefined;
};

/** Where an attempt is proposed to have ended: what it was for, where that is one place or one submission. */
export const proposedFinish = (
  attempt: Pick<Attempt, 'state' | 'action' | 'intent' | 'aim'>,
  words: Words,
): Finish | null => finishOf({ ...attempt, result: 'success', finish: null }, words)?.finish ?? null;

/** A finish of which the role of the place may not be said. */
type OpenFinish = Exclude<Finish, { kind: 'state' }> | { kind: 'state'; position: string; role: Role | null };

/** Whether a finish is what an action aims at: the place itself, one of the family, the submission won. A role that is not said contradicts none. */
export const isAimedAt = (finish: Readonly<OpenFinish>, action: string, words: Words): boolean =>
  (words.action(action)?.aims ?? []).some((aim) => isAim(aim, finish, words));

/** The same for one of the aims. */
export const isAim = (aim: Aim, finish: Readonly<OpenFinish>, words: Words): boolean => {
  if ('submission' in aim) return finish.kind === 'submission' && finish.won && finish.submission === aim.submission;
  if (finish.kind !== 'state' || (finish.role !== null && finish.role !== aim.role)) return false;
  return 'position' in aim ? finish.position === aim.position : words.position(finish.position)?.family === aim.family;
};

/** By so much a place must be better than the one before for an attempt that missed its aim to have been worth something. */
const PARTLY = 0.5;

/**
 * The result that follows from where an attempt ended: the aim reached = success; not, but in a place better by half a step or more by default height =
 * partial, and so is a hold that is a gain in itself and is still there at the end; neither = failed. Nothing for a bait, whose aim is a reaction, and where a part is missing or the action has no aim.
 */
export const proposedResult = (
  attempt: Pick<Attempt, 'state' | 'action' | 'finish' | 'intent' | 'aim' | 'controls' | 'end'>,
  words: Words,
): Result | null => {
  const { state, action, finish, intent } = attempt;
  const aims = aimsOf(attempt, words);
  if (!state || action === null || !finish || intent === 'bait' || !aims.length) return null;
  if (aims.some((aim) => isAim(aim, finish, words))) return 'success';
  if (gripsAtEnd(attempt).some((c) => c.won)) return 'partial';
  const [before, after] = [defaultHeight(stateId(state), words), defaultHeight(finishId(finish), words)];
  return before !== undefined && after !== undefined && after - before >= PARTLY ? 'partial' : 'failed';
};

/** How an attempt enters the figures. */
export type Standing =
  | { readonly kind: 'draft'; readonly missing: readonly string[] }
  | { readonly kind: 'unplaced'; readonly missing: 'position' | 'action' | 'finish' }
  | { readonly kind: 'left out'; readonly because: 'footage not counted' | 'shown as a mistake' | 'only told' }
  | { readonly kind: 'shown'; readonly from: PlaceId; readonly to: PlaceId }
  | { readonly kind: 'counted'; readonly from: PlaceId; readonly to: PlaceId };

/** Resisted unless said otherwise: competition yes, live training yes, demonstration and drill no. */
export const isResisted = (attempt: Pick<Attempt, 'resisted'>, footage: Pick<Footage, 'setting' | 'live'>): boolean =>
  attempt.resisted ?? (footage.setting === 'competition' || (footage.setting === 'training' && footage.live));

export const standingOf = (attempt: Attempt, footage: Footage, words: Words): Standing => {
  const missing = missingParts(attempt);
  if (missing.length || !attempt.state || !attempt.action) return { kind: 'draft', missing };
  if (!footage.counted) return { kind: 'left out', because: 'footage not counted' };
  // how it went is known from somebody's words alone: a statement, kept and shown
  if (attempt.evidence.some((e) => e.part === 'result' && e.how === 'told' && e.proof === null))
    return { kind: 'left out', because: 'only told' };
  const shown = attempt.result === 'shown' || !isResisted(attempt, footage);
  if (shown && attempt.shownAs === 'mistake') return { kind: 'left out', because: 'shown as a mistake' };
  if (!words.position(attempt.state.position)) return { kind: 'unplaced', missing: 'position' };
  if (!words.action(attempt.action)) return { kind: 'unplaced', missing: 'action' };
  const end = finishOf(attempt, words);
  if (!end) return { kind: 'unplaced', missing: 'finish' };
  return { kind: shown ? 'shown' : 'counted', from: stateId(attempt.state), to: finishId(end.finish) };
};

/** A submission that came to the third rung or further and did not succeed. What is only shown, or let happen, has slack and says nothing of how close it was. */
export const isNearFinish = (
  attempt: Pick<Attempt, 'action' | 'depth' | 'result' | 'resisted'>,
  words: Words,
): boolean =>
  attempt.action !== null &&
  attempt.result !== 'shown' &&
  attempt.resisted !== false &&
  words.action(attempt.action)?.does === 'submission' &&
  (attempt.depth ?? 0) >= 3 &&
  attempt.result !== 'success';

/**
 * Whether a mistake that nobody brought about decided it: *given*, where it worked since the other side gave it away; *thrown away*, where it was lost by one of whoever
 * acted. Null where none did.
 */
export const errorDecided = ({
  result,
  errors,
}: Pick<Attempt, 'result' | 'errors'>): 'given' | 'thrown away' | null => {
  const by = (whose: 'subject' | 'opponent'): boolean => errors.some((e) => e.by === whose && e.cause === 'given away');
  if (result === 'success') return by('opponent') ? 'given' : null;
  return (result === 'failed' || result === 'abandoned') && by('subject') ? 'thrown away' : null;
};

/** The controls of the headline facet: what the subject holds at commit (at the start while no commit is marked). */
export const gripsAtCommit = (attempt: Pick<Attempt, 'controls' | 'commit' | 'start'>): Attempt['controls'] => {
  const at = (attempt.commit ?? attempt.start).frame;
  return attempt.controls.filter((c) => c.holder === 'subject' && isHeldAt(c, at));
};

/** The controls the subject still holds at the end. */
export const gripsAtEnd = (attempt: Pick<Attempt, 'controls' | 'end'>): Attempt['controls'] =>
  attempt.controls.filter((c) => c.holder === 'subject' && (c.lost === null || c.lost.frame >= attempt.end.frame));
