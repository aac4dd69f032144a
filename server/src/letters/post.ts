import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import nodemailer, { type Transporter } from 'nodemailer';
import { CONFIG, addressOf, type Config } from '../config/config.js';
import { LettersRepository, type PostFault } from './letters.repository.js';
import { LetterSecrets } from './secrets.js';

/** How long to wait after each try that failed, in seconds; after the last one a letter is given up. */
const AGAIN_S = [10, 60, 300, 1800, 7200, 21_600];
const CONNECT_MS = 10_000;
const SILENCE_MS = 20_000;

/** What a failed try means: the mail server does not want the letter, is not there, is too slow, or went away in the middle. */
export const faultOf = (error: unknown): PostFault => {
  const { code, syscall, responseCode } = (error ?? {}) as { code?: string; syscall?: string; responseCode?: number };
  if (responseCode !== undefined) return 'refused';
  if (code === 'ETIMEDOUT') return 'slow';
  return syscall === 'connect' || code === 'EDNS' ? 'unreachable' : 'cut off';
};

/** Whether another try may help: not where the server has said for good that it does not want the letter (RFC 5321, 4.2.1). */
const isForGood = (error: unknown): boolean => ((error as { responseCode?: number }).responseCode ?? 0) >= 500;

/** Takes letters to a mail server, one after the other; each until it is taken, refused for good, or was tried too often. */
@Injectable()
export class Post implements OnModuleDestroy {
  private readonly transport: Transporter | null;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(LettersRepository) private readonly letters: LettersRepository,
    @Inject(LetterSecrets) private readonly secrets: LetterSecrets,
  ) {
    const waits = { connectionTimeout: CONNECT_MS, greetingTimeout: CONNECT_MS, socketTimeout: SILENCE_MS };
    this.transport = config.smtpUrl === null ? null : nodemailer.createTransport({ url: config.smtpUrl, ...waits });
  }

  onModuleDestroy(): void {
    this.transport?.close();
  }

  /** Sends one letter that is due; false where there is none, or no mail server. */
  async sendOne(): Promise<boolean> {
    if (!this.transport) return false;
    const letter = await this.letters.claim('waiting');
    if (!letter) return false;
    const { id, tries, toEmail, subject } = letter;
    const text = await this.secrets.body(id);
    if (text === undefined) {
      await this.letters.set(id, { state: 'failed', endedAt: new Date() });
      return true;
    }
    try {
      // the same id at each try: taken twice because an answer was lost, it is still one letter
      const messageId = `<${id}@${new URL(addressOf(this.config)).hostname}>`;
      await this.transport.sendMail({ from: this.config.mailFrom, to: toEmail, subject, text, messageId });
      await this.letters.set(id, { state: 'sent', why: null, endedAt: new Date() });
      await this.secrets.forget(id);
    } catch (error) {
      const againS = AGAIN_S[tries - 1];
      if (againS !== undefined && !isForGood(error)) await this.letters.later(id, faultOf(error), againS);
      else {
        await this.letters.set(id, { state: 'failed', why: faultOf(error), endedAt: new Date() });
        await this.secrets.forget(id);
      }
    }
    return true;
  }
}
