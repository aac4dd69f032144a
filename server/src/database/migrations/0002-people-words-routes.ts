import type { QueryInterface } from 'sequelize';

export const name = '0002-people-words-routes';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const HASH = 'CHAR(64) CHARACTER SET ascii COLLATE ascii_bin';
const KEY = 'VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin';
const SCOPE = "scope_kind ENUM('academy','coach','footage') NOT NULL DEFAULT 'academy'";
const ROW = `academy_id ${ID} NOT NULL, id ${ID} NOT NULL, version INT UNSIGNED NOT NULL DEFAULT 1,
  created_at DATETIME(3) NOT NULL, changed_at DATETIME(3) NOT NULL, deleted_at DATETIME(3) NULL`;
const OWN = 'PRIMARY KEY (academy_id, id), FOREIGN KEY (academy_id) REFERENCES academies (id)';

/** Each step with the one that takes it back. Every step may be run on a database where it is done already: a start cut short goes on. */
const STEPS: readonly (readonly [up: string, down: string])[] = [
  [
    'ALTER TABLE academies ADD COLUMN IF NOT EXISTS library_version INT UNSIGNED NOT NULL DEFAULT 0',
    'ALTER TABLE academies DROP COLUMN IF EXISTS library_version',
  ],
  [
    `ALTER TABLE edits ADD COLUMN IF NOT EXISTS library_version INT UNSIGNED NOT NULL DEFAULT 0,
      ADD INDEX IF NOT EXISTS edits_library_version (academy_id, library_version)`,
    'ALTER TABLE edits DROP INDEX IF EXISTS edits_library_version, DROP COLUMN IF EXISTS library_version',
  ],
  [
    'ALTER TABLE memberships ADD COLUMN IF NOT EXISTS removed_at DATETIME(3) NULL',
    'ALTER TABLE memberships DROP COLUMN IF EXISTS removed_at',
  ],
  [
    `ALTER TABLE sessions ADD COLUMN IF NOT EXISTS id ${ID} NULL, ADD COLUMN IF NOT EXISTS last_seen_at DATETIME(3) NULL,
      ADD COLUMN IF NOT EXISTS agent VARCHAR(200) NOT NULL DEFAULT ''`,
    `ALTER TABLE sessions DROP COLUMN IF EXISTS id, DROP COLUMN IF EXISTS last_seen_at, DROP COLUMN IF EXISTS agent`,
  ],
  ['UPDATE sessions SET id = UUID() WHERE id IS NULL', 'DO 0'],
  [
    `ALTER TABLE persons ADD COLUMN IF NOT EXISTS athlete BOOLEAN NOT NULL DEFAULT TRUE,
      ADD COLUMN IF NOT EXISTS member BOOLEAN NOT NULL DEFAULT FALSE, ADD COLUMN IF NOT EXISTS account_id ${ID} NULL,
      ADD COLUMN IF NOT EXISTS level VARCHAR(40) NULL, ADD COLUMN IF NOT EXISTS age ENUM('adult','minor') NULL,
      ADD COLUMN IF NOT EXISTS filming BOOLEAN NULL, ADD COLUMN IF NOT EXISTS shown_to ENUM('coaches','academy','anyone') NULL`,
    `ALTER TABLE persons DROP COLUMN IF EXISTS athlete, DROP COLUMN IF EXISTS member, DROP COLUMN IF EXISTS account_id,
      DROP COLUMN IF EXISTS level, DROP COLUMN IF EXISTS age, DROP COLUMN IF EXISTS filming, DROP COLUMN IF EXISTS shown_to`,
  ],
  [
    `ALTER TABLE word_changes ADD COLUMN IF NOT EXISTS definition JSON NULL, ADD COLUMN IF NOT EXISTS ${SCOPE},
      ADD COLUMN IF NOT EXISTS scope_id ${ID} NULL`,
    `ALTER TABLE word_changes DROP COLUMN IF EXISTS definition, DROP COLUMN IF EXISTS scope_kind, DROP COLUMN IF EXISTS scope_id`,
  ],
  [
    `ALTER TABLE word_aliases ADD COLUMN IF NOT EXISTS ${SCOPE}, ADD COLUMN IF NOT EXISTS scope_id ${ID} NULL`,
    'ALTER TABLE word_aliases DROP COLUMN IF EXISTS scope_kind, DROP COLUMN IF EXISTS scope_id',
  ],
  [
    `CREATE TABLE IF NOT EXISTS routes (${ROW}, name VARCHAR(120) NOT NULL, ${OWN}) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS routes',
  ],
  [
    `CREATE TABLE IF NOT EXISTS route_steps (${ROW}, route_id ${ID} NOT NULL, ordinal SMALLINT UNSIGNED NOT NULL,
      from_place VARCHAR(130) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, action ${KEY} NOT NULL,
      to_place VARCHAR(130) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, clip_id ${ID} NULL,
      cue VARCHAR(120) NOT NULL DEFAULT '', note TEXT NOT NULL, ${OWN},
      FOREIGN KEY (academy_id, route_id) REFERENCES routes (academy_id, id),
      FOREIGN KEY (academy_id, clip_id) REFERENCES clips (academy_id, id)) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS route_steps',
  ],
  [
    `CREATE TABLE IF NOT EXISTS invitations (academy_id ${ID} NOT NULL, id ${ID} NOT NULL, email VARCHAR(254) NOT NULL,
      role ENUM('head','coach','student') NOT NULL, token_hash ${HASH} NOT NULL UNIQUE, invited_by ${ID} NOT NULL,
      created_at DATETIME(3) NOT NULL, expires_at DATETIME(3) NOT NULL, spent_at DATETIME(3) NULL, ${OWN},
      FOREIGN KEY (academy_id, invited_by) REFERENCES memberships (academy_id, account_id)) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS invitations',
  ],
  [
    `CREATE TABLE IF NOT EXISTS password_resets (token_hash ${HASH} NOT NULL PRIMARY KEY, account_id ${ID} NOT NULL,
      created_at DATETIME(3) NOT NULL, expires_at DATETIME(3) NOT NULL, spent_at DATETIME(3) NULL,
      FOREIGN KEY (account_id) REFERENCES accounts (id)) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS password_resets',
  ],
  [
    `CREATE TABLE IF NOT EXISTS mails (academy_id ${ID} NOT NULL, id ${ID} NOT NULL, to_email VARCHAR(254) NOT NULL,
      subject VARCHAR(200) NOT NULL, body TEXT NOT NULL, sent_at DATETIME(3) NOT NULL, ${OWN}) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS mails',
  ],
];

export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [sql] of STEPS) await context.sequelize.query(sql);
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [, sql] of [...STEPS].reverse()) await context.sequelize.query(sql);
};
