import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { CONFIG, type Config } from '../config/config.js';

/** What stands in a kept letter where its secret link goes. */
export const LINK = '{link}';

/** A letter in the form that mail programs read; heads in plain letters and digits, the rest encoded. */
const toEml = (to: string, subject: string, body: string, at: Date): string =>
  [
    `Date: ${at.toUTCString()}`,
    `To: ${to.replace(/[\r\n]/g, '')}`,
    `Subject: =?utf-8?B?${Buffer.from(subject).toString('base64')}?=`,
    'MIME-Version: 1.0',
    'Content-Type: text/plain; charset=utf-8',
    'Content-Transfer-Encoding: base64',
    '',
    ...(Buffer.from(body)
      .toString('base64')
      .match(/.{1,76}/g) ?? []),
    '',
  ].join('\r\n');

/**
 * Letters with their links, each a file that only whoever runs the server can read, until it has gone out or its link is good no longer. The database
 * has them without, so that a copy of it opens nothing.
 */
@Injectable()
export class LetterSecrets {
  constructor(@Inject(CONFIG) private readonly config: Config) {}

  private path(id: string): string {
    return join(this.config.dataDir, 'outbox', `${id}.eml`);
  }

  async keep(id: string, to: string, subject: string, body: string): Promise<void> {
    await mkdir(join(this.config.dataDir, 'outbox'), { recursive: true, mode: 0o700 });
    await writeFile(this.path(id), toEml(to, subject, body, new Date()), { mode: 0o600, flush: true });
  }

  /** What the letter says, with its link; undefined where that is gone. */
  async body(id: string): Promise<string | undefined> {
    const text = await readFile(this.path(id), 'latin1').catch(() => undefined);
    return text === undefined ? undefined : Buffer.from(text.split('\r\n\r\n')[1] ?? '', 'base64').toString();
  }

  async forget(id: string): Promise<void> {
    await rm(this.path(id), { force: true });
  }
}
