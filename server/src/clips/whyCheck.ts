import {
  alternativeFaults,
  becauseIn,
  circleIn,
  factFaults,
  handedFaults,
  partsOf,
  type Attempt,
  type Evidence,
  type Words,
} from '@odograph/core';
import type { AttemptFields, WrongField } from '@odograph/core/contract';
import { whyFaultOf } from '../changes/whyFault.js';
import type { Edit } from '../changes/edit.js';
import { Refused, invalid } from '../errors/refused.js';

/** Refuses facts that their words don't have, holds handed over from nowhere, and alternatives that were over before they began. `after` is the attempt as the request leaves it. */
export const checkWhy = (
  fields: Partial<AttemptFields>,
  after: Pick<Attempt, 'controls' | 'facts' | 'alternatives' | 'start'>,
  words: Words,
  prefix: string,
): void => {
  const faults = [
    ...(fields.facts ? factFaults(after.facts, words) : []),
    ...(fields.controls ? handedFaults(after.controls) : []),
    ...(fields.alternatives ? alternativeFaults(after.alternatives, after) : []),
  ];
  const wrong = faults.map((f): WrongField => ({ field: `${prefix}.${f.path}`, fault: whyFaultOf(f) }));
  if (wrong.length) throw new Refused({ code: 'invalid', facts: { fields: wrong } });
};

/**
 * Refuses links between details that aren't there or are of other footage, from a detail to itself, and such as would lead round in a circle. `others` gives the other attempts of the footage that have links.
 */
export const checkLinks = async (
  edit: Edit,
  fields: Partial<AttemptFields>,
  after: Attempt,
  others: () => Promise<readonly Pick<Attempt, 'id' | 'links'>[]>,
  prefix: string,
): Promise<void> => {
  for (const [i, { from, to }] of (fields.links ?? []).entries()) {
    const at = `${prefix}.links.${i}`;
    if (from.attemptId === to.attemptId && from.part === to.part) throw invalid(`${at}.to`, { code: 'itself' });
    for (const [end, ref] of [
      ['from', from],
      ['to', to],
    ] as const) {
      const other = ref.attemptId === null ? after : await edit.find('attempt', ref.attemptId);
      if (other?.footageId !== after.footageId) throw invalid(`${at}.${end}`, { code: 'other-footage' });
      if (!partsOf(other).includes(ref.part))
        throw invalid(`${at}.${end}`, { code: 'not-here', facts: { what: 'detail' } });
    }
  }
  if (fields.links?.length) {
    const circle = circleIn(becauseIn([...(await others()).filter(({ id }) => id !== after.id), after]));
    if (circle) throw invalid(`${prefix}.links`, { code: 'circle', facts: { through: circle } });
  }
};

/**
 * Refuses proofs by cameras or clips that are none of this footage, and tellers nobody knows. An account is only named by whoever it belongs to (`accountId`), and stays where it
 * was named before.
 */
export const checkEvidence = async (
  edit: Edit,
  evidence: readonly Evidence[],
  {
    footageId,
    before,
    accountId,
  }: { readonly footageId: string; readonly before: readonly Evidence[]; readonly accountId: string },
  prefix: string,
): Promise<void> => {
  const named = new Set([accountId, ...before.flatMap(({ by }) => (by?.kind === 'account' ? by.accountId : []))]);
  for (const [i, { proof, by }] of evidence.entries()) {
    const isKnown =
      by === null || (by.kind === 'account' ? named.has(by.accountId) : await edit.find('person', by.personId));
    if (!isKnown) throw invalid(`${prefix}.evidence.${i}.by`, { code: 'not-here', facts: { what: 'member' } });
    if (!proof) continue;
    const angleId = proof.kind === 'frame' ? proof.angleId : (await edit.find('clip', proof.clipId))?.angleId;
    const angle = angleId === undefined ? undefined : await edit.find('angle', angleId);
    if (angle?.footageId !== footageId) throw invalid(`${prefix}.evidence.${i}.proof`, { code: 'other-footage' });
  }
};
