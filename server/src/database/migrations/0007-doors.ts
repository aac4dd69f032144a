import { normalEmail } from '@odograph/core/contract';
import { QueryTypes, type QueryInterface } from 'sequelize';

export const name = '0007-doors';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const HASH = 'CHAR(64) CHARACTER SET ascii COLLATE ascii_bin';
/** Addresses are compared letter by letter: as they are kept, each has one form. */
const EMAIL = 'VARCHAR(254) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL';
const OWN = 'PRIMARY KEY (academy_id, id), FOREIGN KEY (academy_id) REFERENCES academies (id)';

/** Each step with the one that takes it back. Every step may be run on a database where it is done already: a start cut short goes on. */
const STEPS: readonly (readonly [up: string, down: string])[] = [
  [
    `ALTER TABLE accounts MODIFY email ${EMAIL}`,
    'ALTER TABLE accounts MODIFY email VARCHAR(254) CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci NOT NULL',
  ],
  [
    `ALTER TABLE invitations MODIFY email ${EMAIL}`,
    'ALTER TABLE invitations MODIFY email VARCHAR(254) CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci NOT NULL',
  ],
  [
    `ALTER TABLE academies ADD COLUMN IF NOT EXISTS quota_bytes BIGINT UNSIGNED NULL,
      ADD COLUMN IF NOT EXISTS quota_accounts INT UNSIGNED NULL, ADD COLUMN IF NOT EXISTS quota_uploads INT UNSIGNED NULL`,
    `ALTER TABLE academies DROP COLUMN IF EXISTS quota_bytes, DROP COLUMN IF EXISTS quota_accounts,
      DROP COLUMN IF EXISTS quota_uploads`,
  ],
  [
    `CREATE TABLE IF NOT EXISTS tries (key_hash ${HASH} NOT NULL PRIMARY KEY, points INT UNSIGNED NOT NULL,
      until_at DATETIME(3) NOT NULL, INDEX (until_at)) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS tries',
  ],
  [
    `CREATE TABLE IF NOT EXISTS founding_invitations (token_hash ${HASH} NOT NULL PRIMARY KEY, email ${EMAIL},
      created_at DATETIME(3) NOT NULL, expires_at DATETIME(3) NOT NULL, spent_at DATETIME(3) NULL) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS founding_invitations',
  ],
  [
    // what a letter says without its secret, which lies in a file of its own until it has gone out
    `CREATE TABLE IF NOT EXISTS letters (id ${ID} NOT NULL PRIMARY KEY, academy_id ${ID} NULL, account_id ${ID} NULL,
      kind ENUM('invitation','reset','founding') NOT NULL, about_id ${ID} NULL, to_email ${EMAIL}, subject VARCHAR(200) NOT NULL DEFAULT '',
      body TEXT NOT NULL DEFAULT '', state ENUM('wished','waiting','sending','sent','failed') NOT NULL, why VARCHAR(20) CHARACTER SET ascii NULL,
      tries INT UNSIGNED NOT NULL DEFAULT 0, due_at DATETIME(3) NOT NULL, created_at DATETIME(3) NOT NULL, ended_at DATETIME(3) NULL,
      expires_at DATETIME(3) NOT NULL, FOREIGN KEY (academy_id) REFERENCES academies (id), FOREIGN KEY (account_id) REFERENCES accounts (id),
      INDEX (state, due_at), INDEX (academy_id, created_at), INDEX (about_id)) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS letters',
  ],
  [
    'DROP TABLE IF EXISTS mails',
    `CREATE TABLE IF NOT EXISTS mails (academy_id ${ID} NOT NULL, id ${ID} NOT NULL, to_email VARCHAR(254) NOT NULL,
      subject VARCHAR(200) NOT NULL, body TEXT NOT NULL, sent_at DATETIME(3) NOT NULL, ${OWN}) ENGINE=InnoDB`,
  ],
];

/** Addresses of accounts in their one form; one that has none, or whose form somebody else has, stays as it is and is reached by a reset no longer. */
const normalised = async (context: QueryInterface): Promise<void> => {
  for (const table of ['accounts', 'invitations']) {
    const rows = await context.sequelize.query<{ id: string; email: string }>(`SELECT id, email FROM ${table}`, {
      type: QueryTypes.SELECT,
    });
    for (const { id, email } of rows) {
      const normal = normalEmail(email);
      if (normal !== undefined && normal !== email)
        await context.sequelize.query(`UPDATE IGNORE ${table} SET email = ? WHERE id = ?`, {
          replacements: [normal, id],
        });
    }
  }
};

export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [sql] of STEPS) await context.sequelize.query(sql);
  await normalised(context);
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [, sql] of [...STEPS].reverse()) await context.sequelize.query(sql);
};
