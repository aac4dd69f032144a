import type { QueryInterface } from 'sequelize';

export const name = '0003-jobs-uploads';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const HASH = 'CHAR(64) CHARACTER SET ascii COLLATE ascii_bin';
const OWN = 'PRIMARY KEY (academy_id, id), FOREIGN KEY (academy_id) REFERENCES academies (id)';

/** Each step with the one that takes it back. Every step may be run on a database where it is done already: a start cut short goes on. */
const STEPS: readonly (readonly [up: string, down: string])[] = [
  [
    `ALTER TABLE files ADD COLUMN IF NOT EXISTS codec VARCHAR(40) CHARACTER SET ascii NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS playable BOOLEAN NOT NULL DEFAULT TRUE, ADD COLUMN IF NOT EXISTS has_sound BOOLEAN NOT NULL DEFAULT FALSE,
      ADD COLUMN IF NOT EXISTS seconds DOUBLE NOT NULL DEFAULT 0, ADD COLUMN IF NOT EXISTS cut_off BOOLEAN NOT NULL DEFAULT FALSE,
      ADD INDEX IF NOT EXISTS files_sha256 (academy_id, sha256)`,
    `ALTER TABLE files DROP INDEX IF EXISTS files_sha256, DROP COLUMN IF EXISTS codec, DROP COLUMN IF EXISTS playable,
      DROP COLUMN IF EXISTS has_sound, DROP COLUMN IF EXISTS seconds, DROP COLUMN IF EXISTS cut_off`,
  ],
  [
    `ALTER TABLE footage ADD COLUMN IF NOT EXISTS ruleset VARCHAR(120) NOT NULL DEFAULT '', ADD COLUMN IF NOT EXISTS level VARCHAR(120) NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS place VARCHAR(120) NOT NULL DEFAULT '', ADD COLUMN IF NOT EXISTS surroundings ENUM('open','edge','wall') NULL,
      ADD COLUMN IF NOT EXISTS context VARCHAR(500) NOT NULL DEFAULT '', ADD COLUMN IF NOT EXISTS audience ENUM('academy','coaches') NOT NULL DEFAULT 'academy',
      ADD COLUMN IF NOT EXISTS clock JSON NOT NULL DEFAULT '[]', ADD COLUMN IF NOT EXISTS spans JSON NOT NULL DEFAULT '[]'`,
    `ALTER TABLE footage DROP COLUMN IF EXISTS ruleset, DROP COLUMN IF EXISTS level, DROP COLUMN IF EXISTS place, DROP COLUMN IF EXISTS surroundings,
      DROP COLUMN IF EXISTS context, DROP COLUMN IF EXISTS audience, DROP COLUMN IF EXISTS clock, DROP COLUMN IF EXISTS spans`,
  ],
  [
    `CREATE TABLE IF NOT EXISTS uploads (academy_id ${ID} NOT NULL, id ${ID} NOT NULL, account_id ${ID} NULL, name VARCHAR(255) NOT NULL,
      size_bytes BIGINT UNSIGNED NOT NULL, source ENUM('browser','inbox') NOT NULL DEFAULT 'browser',
      state ENUM('coming','reading','taken','refused') NOT NULL DEFAULT 'coming', sha256 ${HASH} NULL, why VARCHAR(400) NULL,
      file_id ${ID} NULL, inbox_key VARCHAR(500) NULL, put_aside BOOLEAN NOT NULL DEFAULT FALSE, created_at DATETIME(3) NOT NULL, changed_at DATETIME(3) NOT NULL, ${OWN},
      INDEX (academy_id, state), UNIQUE (id), UNIQUE (academy_id, inbox_key)) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS uploads',
  ],
  [
    `CREATE TABLE IF NOT EXISTS jobs (academy_id ${ID} NOT NULL, id ${ID} NOT NULL, kind ENUM('read','proxy','look','sound','cut') NOT NULL,
      subject_id ${ID} NOT NULL, state ENUM('waiting','running','done','failed','cancelled') NOT NULL DEFAULT 'waiting', heavy BOOLEAN NOT NULL,
      tries TINYINT UNSIGNED NOT NULL DEFAULT 0, progress DOUBLE NOT NULL DEFAULT 0, why VARCHAR(400) NULL,
      worker VARCHAR(80) CHARACTER SET ascii NULL, lease_until DATETIME(3) NULL, deadline_s INT UNSIGNED NOT NULL, detail JSON NULL,
      created_at DATETIME(3) NOT NULL, started_at DATETIME(3) NULL, ended_at DATETIME(3) NULL, ${OWN},
      UNIQUE (academy_id, kind, subject_id), INDEX (state, heavy, created_at)) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS jobs',
  ],
];

export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [sql] of STEPS) await context.sequelize.query(sql);
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [, sql] of [...STEPS].reverse()) await context.sequelize.query(sql);
};
