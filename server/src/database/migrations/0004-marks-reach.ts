import type { QueryInterface } from 'sequelize';

export const name = '0004-marks-reach';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const KEY = 'VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin';

/** Each step with the one that takes it back. Every step may be run on a database where it is done already: a start cut short goes on. */
const STEPS: readonly (readonly [up: string, down: string])[] = [
  [
    "ALTER TABLE controls ADD COLUMN IF NOT EXISTS reach ENUM('near','far','cross','same') NULL AFTER target_side",
    'ALTER TABLE controls DROP COLUMN IF EXISTS reach',
  ],
  [
    `CREATE TABLE IF NOT EXISTS moments (academy_id ${ID} NOT NULL, id ${ID} NOT NULL, version INT UNSIGNED NOT NULL DEFAULT 1,
      created_at DATETIME(3) NOT NULL, changed_at DATETIME(3) NOT NULL, deleted_at DATETIME(3) NULL,
      footage_id ${ID} NOT NULL, angle_id ${ID} NOT NULL, at_frame INT UNSIGNED NOT NULL, at_pts BIGINT NOT NULL,
      pressed_frame INT UNSIGNED NOT NULL, pressed_pts BIGINT NOT NULL, speed DOUBLE NOT NULL DEFAULT 0, settled BOOLEAN NOT NULL DEFAULT FALSE, account_id ${ID} NULL, attempt_id ${ID} NULL,
      position ${KEY} NULL, role VARCHAR(20) CHARACTER SET ascii NULL, subject ENUM('a','b') NULL, note VARCHAR(500) NOT NULL DEFAULT '',
      PRIMARY KEY (academy_id, id), FOREIGN KEY (academy_id) REFERENCES academies (id),
      FOREIGN KEY (academy_id, footage_id) REFERENCES footage (academy_id, id),
      FOREIGN KEY (academy_id, attempt_id) REFERENCES attempts (academy_id, id),
      FOREIGN KEY (academy_id, angle_id) REFERENCES angles (academy_id, id)) ENGINE=InnoDB`,
    'DROP TABLE IF EXISTS moments',
  ],
];

export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [sql] of STEPS) await context.sequelize.query(sql);
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [, sql] of [...STEPS].reverse()) await context.sequelize.query(sql);
};
