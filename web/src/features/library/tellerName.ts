import type { Person, Teller } from '@odograph/core';
import { TELLER_TEXT as T } from './library.text.js';

/** What somebody who told something is called: by their name, and where nobody has it for an account, a coach. */
export const tellerName = (by: Teller, persons: readonly Pick<Person, 'id' | 'name' | 'accountId'>[]): string | null =>
  by.kind === 'person'
    ? (persons.find((p) => p.id === by.personId)?.name ?? null)
    : (persons.find((p) => p.accountId === by.accountId)?.name ?? T.coach);
