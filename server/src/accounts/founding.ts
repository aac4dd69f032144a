import { Inject, Injectable } from '@nestjs/common';
import { CONFIG, addressOf, type Config } from '../config/config.js';
import { LettersService } from '../letters/letters.service.js';
import { LINK } from '../letters/secrets.js';
import { AccountsRepository } from './accounts.repository.js';
import { markOf, newToken } from './tokens.js';

const FOUNDING_DAYS = 14;

/** Invitations to found an academy, made by whoever runs the server. */
@Injectable()
export class Founding {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
    @Inject(LettersService) private readonly letters: LettersService,
  ) {}

  /** Invites somebody to found an academy; gives the link, which also goes out as a letter. */
  async invite(email: string): Promise<string> {
    const [token, now] = [newToken(), new Date()];
    const expiresAt = new Date(now.getTime() + FOUNDING_DAYS * 86_400_000);
    await this.accounts.inviteToFound(token, email, now, expiresAt);
    const link = `${addressOf(this.config)}/new-academy#${token}`;
    await this.letters.write({
      kind: 'founding',
      academyId: null,
      accountId: null,
      aboutId: markOf(token),
      to: email,
      subject: 'Create your academy on Odograph',
      body: `Hello,\n\nYou can create an academy of your own on Odograph. Use this link within ${FOUNDING_DAYS} days, with this email address:\n\n${LINK}\n\nIf you don’t know why you got this, you can ignore it.\n`,
      link,
      expiresAt,
    });
    return link;
  }
}
