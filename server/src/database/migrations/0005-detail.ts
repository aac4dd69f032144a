import type { QueryInterface } from 'sequelize';

export const name = '0005-detail';

const KEY = 'VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin';
const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Columns of what is said in detail: how a hold is, what was wanted, mistakes, doubts, links by hand, instants and loops of a clip. */
const COLUMNS: readonly (readonly [table: string, column: string, type: string])[] = [
  ['controls', 'depth', "ENUM('shallow','deep') NULL AFTER cloth"],
  ['controls', 'thumb', "ENUM('in','out') NULL AFTER depth"],
  ['controls', 'handed', 'BOOLEAN NOT NULL DEFAULT FALSE AFTER thumb'],
  ['controls', 'won', 'BOOLEAN NOT NULL DEFAULT FALSE AFTER handed'],
  ['attempts', 'follows_id', `${ID} NULL AFTER counter_of_id`],
  ['attempts', 'is_cut', 'BOOLEAN NOT NULL DEFAULT FALSE AFTER follows_id'],
  ['attempts', 'wanted', `${KEY} NULL AFTER is_cut`],
  ['attempts', 'errors', "JSON NOT NULL DEFAULT '[]' AFTER wanted"],
  ['attempts', 'doubts', "JSON NOT NULL DEFAULT '[]' AFTER errors"],
  ['clips', 'seen', "ENUM('front','back') NULL AFTER note"],
  ['angles', 'left_mark', "VARCHAR(40) NOT NULL DEFAULT ''"],
  ['angles', 'right_mark', "VARCHAR(40) NOT NULL DEFAULT ''"],
  ['clips', 'key_moments', "JSON NOT NULL DEFAULT '[]' AFTER note"],
  ['clips', 'loops', "JSON NOT NULL DEFAULT '[]' AFTER key_moments"],
];

/** A link by hand goes to an attempt of the same academy. The index stands apart, so that taking both back may be run again. */
const FOLLOWS = 'attempts_follow';

export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [table, column, type] of COLUMNS)
    await context.sequelize.query(`ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS ${column} ${type}`);
  await context.sequelize.query(
    `ALTER TABLE attempts ADD CONSTRAINT ${FOLLOWS} FOREIGN KEY IF NOT EXISTS ${FOLLOWS} (academy_id, follows_id) REFERENCES attempts (academy_id, id)`,
  );
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query(`ALTER TABLE attempts DROP FOREIGN KEY IF EXISTS ${FOLLOWS}`);
  await context.sequelize.query(`ALTER TABLE attempts DROP INDEX IF EXISTS ${FOLLOWS}`);
  for (const [table, column] of [...COLUMNS].reverse())
    await context.sequelize.query(`ALTER TABLE ${table} DROP COLUMN IF EXISTS ${column}`);
};
