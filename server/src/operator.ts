import { NestFactory } from '@nestjs/core';
import { normalEmail } from '@odograph/core/contract';
import { Founding } from './accounts/founding.js';
import { AppModule } from './app.module.js';
import { readConfig } from './config/config.js';
import type { AcademyId } from './database/academyId.js';
import { QUOTAS, QuotaRepository, type QuotaOf } from './quota/quota.repository.js';

/** What whoever runs the server does by hand: `invite E-MAIL`, and `quota ACADEMY-ID bytes|accounts|uploads NUMBER|default`. */
const run = async (): Promise<string> => {
  const [what, ...rest] = process.argv.slice(2);
  const app = await NestFactory.createApplicationContext(AppModule.with(readConfig(process.env)), { logger: false });
  try {
    if (what === 'invite') {
      const email = normalEmail(rest[0] ?? '');
      if (email === undefined) throw new Error(`"${rest[0] ?? ''}" is no e-mail address.`);
      return `An academy can be founded by ${email} within 14 days at\n${await app.get(Founding).invite(email)}`;
    }
    const [academyId, of, number] = rest;
    const most = number === 'default' ? null : Number(number);
    if (!QUOTAS.includes(of as QuotaOf) || (most !== null && !(Number.isSafeInteger(most) && most >= 0)))
      throw new Error('Say an academy, then bytes, accounts or uploads, then a whole number or "default".');
    if (!(await app.get(QuotaRepository).set(academyId as AcademyId, of as QuotaOf, most)))
      throw new Error(`There is no academy ${academyId ?? ''}.`);
    return `Settled: ${of ?? ''} ${number ?? ''}.`;
  } finally {
    await app.close();
  }
};

try {
  process.stdout.write(`${await run()}\n`);
} catch (error) {
  process.stderr.write(`${(error as Error).message}\n`);
  process.exitCode = 1;
}
