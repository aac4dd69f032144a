import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import type { Mail } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { CONFIG, type Config } from '../config/config.js';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import type { Letter, Mailer } from './mailer.js';

/** How many letters the interface shows. */
const SHOWN = 50;

/** A letter in the form that mail programs read; heads in plain letters and digits, the rest encoded. */
export const toEml = ({ to, subject, body }: Letter, at: Date): string =>
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
 * Stands in for a mail server: letters are kept for the interface, and lie as files in the folder `outbox` for whoever runs the server (the way back
 * in for a head who has lost the password).
 */
@Injectable()
export class OutboxService implements Mailer {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  async send(academyId: string, letter: Letter): Promise<void> {
    const [id, sentAt] = [newId(), new Date()];
    const folder = join(this.config.dataDir, 'outbox');
    await mkdir(folder, { recursive: true, mode: 0o700 });
    await writeFile(join(folder, `${id}.eml`), toEml(letter, sentAt), { mode: 0o600 });
    const { to, subject, body } = letter;
    await this.models.mail.create({ academyId, id, toEmail: to, subject, body, sentAt });
  }

  /** The newest letters that this academy has sent. */
  async letters(academyId: AcademyId): Promise<readonly Mail[]> {
    const rows = await this.models.mail.findAll({
      where: { academyId },
      order: [
        ['sentAt', 'DESC'],
        ['id', 'DESC'],
      ],
      limit: SHOWN,
    });
    return rows.map((row) => ({
      id: row.get('id') as string,
      to: row.get('toEmail') as string,
      subject: row.get('subject') as string,
      body: row.get('body') as string,
      sentAt: (row.get('sentAt') as Date).toISOString(),
    }));
  }
}
