import { linkAttempts, type Link, type Timed } from './chains.js';
import { finishId, flipPlace, foldPlace, placeName, stateId, type PlaceId } from './places.js';
import { finishOf } from './standing.js';
import type { Words } from '../vocabulary/index.js';
import type { Attempt, Met, ReactionUse } from './types.js';

/** What an attempt answers: what the other side did against an action from a place (as whoever answers sees it), or, where `reaction` is null, the other side's action itself. */
export type Answer = {
  readonly attemptId: string;
  readonly toId: string;
  readonly from: PlaceId;
  readonly action: string;
  readonly reaction: string | null;
};

/** An answer comes within so many seconds. */
const ANSWER_S = 5;

/** The reaction under which an attempt stands: the one marked deciding, else the last; undefined where none was said. */
export const lineReaction = (attempt: Pick<Attempt, 'reactions'>): ReactionUse | undefined =>
  attempt.reactions.find((r) => r.deciding) ?? attempt.reactions.at(-1);

/**
 * What every attempt of a footage answers (the model's section 7): of a link that touches or has a gap, at most 5 s later, an attempt of the same side answers the reaction
 * under which the one before stands; one of the other side answers the action before, and, where that was a counter, also the reaction that the counter is to what it
 * countered. `links` are those of the same attempts.
 */
export const answersIn = (
  all: readonly Timed[],
  words: Words,
  links: readonly Link[] = linkAttempts(all, words),
): readonly Answer[] => {
  const byId = new Map(all.map((t) => [t.attempt.id, t]));
  return links.flatMap((link): Answer[] => {
    if (link.kind !== 'touching' && link.kind !== 'gap') return [];
    const [p, q] = [byId.get(link.from)!, byId.get(link.to)!];
    if (q.startS - p.endS > ANSWER_S || !p.attempt.state || p.attempt.action === null) return [];
    const base = { attemptId: q.attempt.id, toId: p.attempt.id, action: p.attempt.action };
    if (p.attempt.subject === q.attempt.subject) {
      const met = lineReaction(p.attempt);
      return met && !met.isAction ? [{ ...base, from: stateId(p.attempt.state), reaction: met.what }] : [];
    }
    const countered = p.attempt.counterOfId === null ? undefined : byId.get(p.attempt.counterOfId)?.attempt;
    const stood =
      countered?.state && countered.action !== null && countered.subject === q.attempt.subject
        ? [
            {
              attemptId: q.attempt.id,
              toId: countered.id,
              from: stateId(countered.state),
              action: countered.action,
              reaction: p.attempt.action,
            },
          ]
        : [];
    return [{ ...base, from: flipPlace(stateId(p.attempt.state)), reaction: null }, ...stood];
  });
};

export const metKey = ({ from, action, reaction }: Met): string => `${stateId(from)} ${action} ${reaction}`;
export const isSameMet = (a: Met, b: Met): boolean => metKey(a) === metKey(b);

/** As it is said: what they did, and against what. */
export const metText = ({ from, action, reaction }: Met, words: Words): string =>
  `${words.name('reaction', reaction)}, against ${words.name('action', action)} from ${placeName(stateId(from), words)}`;

/** What was met in some attempts: how often, and where whoever met it was left then, as they see it (parents for children). */
export type Meeting = { readonly met: Met; readonly times: number; readonly leftIn: ReadonlySet<PlaceId> };

/** Everything that was met, what was met most often first; ties by `metKey`. Reactions that are attacks are told as attempts, and answered as such. O(reactions). */
export const meetingsIn = (attempts: readonly Attempt[], words: Words): readonly Meeting[] => {
  const found = new Map<string, { readonly met: Met; times: number; readonly leftIn: Set<PlaceId> }>();
  for (const attempt of attempts) {
    const { state, action } = attempt;
    if (!state || action === null) continue;
    const end = finishOf(attempt, words)?.finish;
    for (const { what, isAction } of attempt.reactions) {
      if (isAction) continue;
      const met = { from: state, action, reaction: what };
      const meeting = found.get(metKey(met)) ?? { met, times: 0, leftIn: new Set<PlaceId>() };
      meeting.times++;
      if (end) meeting.leftIn.add(foldPlace(finishId(end), words));
      found.set(metKey(met), meeting);
    }
  }
  return [...found.values()].sort((a, b) => b.times - a.times || (metKey(a.met) < metKey(b.met) ? -1 : 1));
};

/** Whether an attempt that is said to answer something starts elsewhere than that ever left anybody; not known where either is not said. */
export const startsElsewhere = (
  { state }: Pick<Attempt, 'state'>,
  { leftIn }: Pick<Meeting, 'leftIn'>,
  words: Words,
): boolean => state !== null && leftIn.size > 0 && !leftIn.has(foldPlace(stateId(state), words));
