import type { Words } from '@odograph/core';
import type { AttemptFields } from '@odograph/core/contract';
import { Refused } from '../errors/refused.js';

const UNKNOWN = 'is not a word of this academy';

/** Refuses words that the vocabulary does not have, and roles that a position does not have, each by the name of its field. */
export const checkWords = (fields: Partial<AttemptFields>, words: Words, prefix: string): void => {
  const wrong: { field: string; reason: string }[] = [];
  const need = (field: string, known: boolean, reason = UNKNOWN): void => {
    if (!known) wrong.push({ field: `${prefix}.${field}`, reason });
  };
  const needState = (field: string, state: { position: string; role: string }): void => {
    if (!words.position(state.position)) need(`${field}.position`, false);
    else
      need(
        `${field}.role`,
        words.hasRole(state.position, state.role),
        `is not a role of ${words.name('position', state.position)}`,
      );
  };
  if (fields.state) needState('state', fields.state);
  if (fields.action) need('action', words.action(fields.action) !== undefined);
  if (fields.finish?.kind === 'state') needState('finish', fields.finish);
  if (fields.finish?.kind === 'submission')
    need('finish.submission', words.submission(fields.finish.submission) !== undefined);
  if (fields.finish?.kind === 'reset' && fields.finish.restart) needState('finish.restart', fields.finish.restart);
  fields.controls?.forEach((c, i) => need(`controls.${i}.target`, words.target(c.target) !== undefined));
  fields.reactions?.forEach((r, i) =>
    need(`reactions.${i}.what`, (r.isAction ? words.action(r.what) : words.get('reaction', r.what)) !== undefined),
  );
  fields.reasons?.forEach((r, i) => need(`reasons.${i}.reason`, words.get('reason', r.reason) !== undefined));
  if (fields.wanted) need('wanted', words.get('reaction', fields.wanted) !== undefined);
  fields.errors?.forEach((e, i) =>
    need(`errors.${i}.what`, e.what === null || words.get('reason', e.what) !== undefined),
  );
  fields.answers?.forEach(({ from, action, reaction }, i) => {
    needState(`answers.${i}.from`, from);
    need(`answers.${i}.action`, words.action(action) !== undefined);
    need(`answers.${i}.reaction`, words.get('reaction', reaction) !== undefined);
  });
  if (wrong.length) throw new Refused({ code: 'invalid', facts: { fields: wrong } });
};
