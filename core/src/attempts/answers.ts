import { linkAttempts, type Link, type Timed } from './chains.js';
import { flipPlace, stateId, type PlaceId } from './places.js';
import type { Words } from '../vocabulary/index.js';
import type { Attempt, ReactionUse } from './types.js';

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
