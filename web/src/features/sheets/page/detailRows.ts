import type { ErrorRow, ReasonRow, Words } from '@odograph/core';
import { ENTRY_PAGE_TEXT as T, PAGE_TEXT } from './page.text.js';
import type { SheetRow } from './rows.js';

export const errorRow = ({ by, cause, what, n, attemptIds }: ErrorRow, words: Words): SheetRow => ({
  key: `error ${by} ${cause} ${what ?? ''}`,
  name: T.error(by === 'subject', cause === 'brought about', what === null ? '' : words.name('reason', what)),
  count: PAGE_TEXT.times(n),
  attemptIds,
});

export const reasonRow = ({ reason, n, main, attemptIds }: ReasonRow, words: Words): SheetRow => ({
  key: `reason ${reason}`,
  name: words.name('reason', reason),
  count: T.reason(n, main),
  attemptIds,
});

export const tryRow = ({
  nth,
  n,
  worked,
  attemptIds,
}: {
  readonly nth: number;
  readonly n: number;
  readonly worked: number;
  readonly attemptIds: readonly string[];
}): SheetRow => ({ key: `try ${nth}`, name: T.nth(nth), count: T.tried(worked, n), attemptIds });
