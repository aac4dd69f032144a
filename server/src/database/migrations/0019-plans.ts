import type { QueryInterface } from 'sequelize';

export const name = '0019-plans';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Lines that are planned, taken in from maps. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query(
    `CREATE TABLE IF NOT EXISTS plans (academy_id ${ID} NOT NULL, id ${ID} NOT NULL, version INT UNSIGNED NOT NULL DEFAULT 1,
    created_at DATETIME(3) NOT NULL, changed_at DATETIME(3) NOT NULL, deleted_at DATETIME(3) NULL,
    name VARCHAR(255) NOT NULL, \`lines\` JSON NOT NULL,
    PRIMARY KEY (academy_id, id), FOREIGN KEY (academy_id) REFERENCES academies (id)) ENGINE=InnoDB`,
  );
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query('DROP TABLE IF EXISTS plans');
  await context.sequelize.query("DELETE FROM word_uses WHERE entity = 'plan'");
};
