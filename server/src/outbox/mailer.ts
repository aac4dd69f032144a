/** A letter to somebody. */
export type Letter = { readonly to: string; readonly subject: string; readonly body: string };

/** What takes letters away: the outbox that ships with the product, or a mail server in its place. */
export type Mailer = { readonly send: (academyId: string, letter: Letter) => Promise<void> };
export const MAILER = Symbol('mailer');
