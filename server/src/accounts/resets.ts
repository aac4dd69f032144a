import { Inject, Injectable } from '@nestjs/common';
import { CONFIG, addressOf, type Config } from '../config/config.js';
import { LettersService, type NewLetter } from '../letters/letters.service.js';
import { LINK } from '../letters/secrets.js';
import { AccountsRepository } from './accounts.repository.js';
import { newToken } from './tokens.js';

/** How long a link for a new password is good. */
export const RESET_HOURS = 2;

/** Answers wishes for a new password, apart from the requests that made them. */
@Injectable()
export class Resets {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
    @Inject(LettersService) private readonly letters: LettersService,
  ) {}

  /** Answers the oldest wish; false where there is none. */
  answerOne(): Promise<boolean> {
    return this.letters.answerWish((email) => this.letterTo(email));
  }

  /** The letter for a mail that has an account: it goes to the address that the account has. */
  private async letterTo(email: string): Promise<NewLetter | undefined> {
    const account = await this.accounts.byEmail(email);
    if (!account || (await this.accounts.academiesOf(account.id)).length === 0) return undefined;
    const [token, now] = [newToken(), new Date()];
    const expiresAt = new Date(now.getTime() + RESET_HOURS * 3_600_000);
    await this.letters.spent(account.id, 'reset');
    await this.accounts.newReset(token, account.id, now, expiresAt);
    return {
      kind: 'reset',
      academyId: null,
      accountId: account.id,
      aboutId: account.id,
      to: account.email,
      subject: 'Choose a new password for Odograph',
      body: `Hello ${account.name},\n\nSomebody, probably you, asked for a new password. Choose it here within ${RESET_HOURS} hours:\n\n${LINK}\n\nOlder links no longer work. If it wasn’t you, nothing has changed and you can ignore this.\n`,
      link: `${addressOf(this.config)}/new-password#${token}`,
      expiresAt,
    };
  }
}
