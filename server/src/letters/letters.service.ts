import { Inject, Injectable } from '@nestjs/common';
import type { Letter } from '@odograph/core/contract';

import { v7 as newId } from 'uuid';
import { CONFIG, type Config } from '../config/config.js';
import type { AcademyId } from '../database/academyId.js';
import type { Transaction } from '../database/transaction.js';
import { LettersRepository, type LetterKind, type LetterRow } from './letters.repository.js';
import { LINK, LetterSecrets } from './secrets.js';

/** A letter to somebody; `body` has {@link LINK} where the link goes. */
export type NewLetter = {
  readonly kind: LetterKind;
  readonly academyId: AcademyId | null;
  readonly accountId: string | null;
  /** The invitation or the account it is about. */
  readonly aboutId: string | null;
  readonly to: string;
  readonly subject: string;
  readonly body: string;
  readonly link: string;
  readonly expiresAt: Date;
};

const HIDDEN = '(a link that only the letter itself has)';

/** Letters on their way out: written down at once, sent by a worker where there is a mail server, kept for whoever runs the server where there is none. */
@Injectable()
export class LettersService {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(LettersRepository) private readonly letters: LettersRepository,
    @Inject(LetterSecrets) private readonly secrets: LetterSecrets,
  ) {}

  /** Writes a letter. It goes out once the transaction is done. */
  async write({ to, link, ...letter }: NewLetter, transaction?: Transaction): Promise<void> {
    const id = newId();
    await this.secrets.keep(
      id,
      to,
      letter.subject,
      letter.body.replace(LINK, () => link),
    );
    await this.letters.create({ ...letter, id, toEmail: to, state: 'waiting', createdAt: new Date() }, transaction);
  }

  /** Notes that somebody wishes for a letter to an address, whether or not there is an account: that is found out by a worker. */
  async wish(to: string, expiresAt: Date): Promise<void> {
    const none = { academyId: null, accountId: null, aboutId: null, subject: '', body: '' };
    const createdAt = new Date();
    await this.letters.create({
      ...none,
      id: newId(),
      kind: 'reset',
      toEmail: to,
      state: 'wished',
      createdAt,
      expiresAt,
    });
  }

  /** The oldest wish that is open; `write` answers it, without an answer it is forgotten. */
  async answerWish(write: (to: string) => Promise<NewLetter | undefined>): Promise<boolean> {
    const wish = await this.letters.claim('wished');
    if (!wish) return false;
    const letter = await write(wish.toEmail);
    if (letter) await this.write(letter);
    await this.letters.remove(wish.id);
    return true;
  }

  /** The links of letters about something are good no longer: those that have not gone out need not. */
  async spent(aboutId: string, kind: LetterKind): Promise<void> {
    for (const letter of await this.letters.openAbout(aboutId, kind)) await this.close(letter);
  }

  /** Forgets secrets that are good no longer, and letters of long ago. */
  async clear(now: Date): Promise<void> {
    for (const letter of await this.letters.expired(now)) await this.close(letter);
    await this.letters.forgetOld(now);
  }

  private async close({ id, state }: LetterRow): Promise<void> {
    await this.secrets.forget(id);
    if (state === 'wished') await this.letters.remove(id);
    else await this.letters.set(id, { state: this.config.smtpUrl === null ? 'sent' : 'failed', endedAt: new Date() });
  }

  /** The invitations of an academy without their secrets; of an academy of the demo, all letters that belong there, as they are. */
  async lettersOf(academyId: AcademyId, isDemo: boolean): Promise<readonly Letter[]> {
    const rows = isDemo ? await this.letters.demoLettersOf(academyId) : await this.letters.invitationsOf(academyId);
    return Promise.all(
      rows.map(async (row): Promise<Letter> => ({
        id: row.id,
        to: row.toEmail,
        subject: row.subject,
        body: (isDemo ? await this.secrets.body(row.id) : undefined) ?? row.body.replace(LINK, HIDDEN),
        at: row.createdAt.toISOString(),
        state: this.stateOf(row),
        why: row.why,
      })),
    );
  }

  private stateOf({ state }: LetterRow): Letter['state'] {
    if (state === 'sent' || state === 'failed') return state;
    return this.config.smtpUrl === null ? 'kept' : 'waiting';
  }
}
