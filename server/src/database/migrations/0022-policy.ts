import type { QueryInterface } from 'sequelize';

export const name = '0022-policy';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** What may be done in which form, and for whom a route is. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query(
    `CREATE TABLE IF NOT EXISTS policies (academy_id ${ID} NOT NULL, id ${ID} NOT NULL, version INT UNSIGNED NOT NULL DEFAULT 1,
    created_at DATETIME(3) NOT NULL, changed_at DATETIME(3) NOT NULL, deleted_at DATETIME(3) NULL,
    school VARCHAR(40) NOT NULL, \`rows\` JSON NOT NULL,
    PRIMARY KEY (academy_id, id), FOREIGN KEY (academy_id) REFERENCES academies (id)) ENGINE=InnoDB`,
  );
  await context.sequelize.query(
    'ALTER TABLE routes ADD COLUMN IF NOT EXISTS for_level VARCHAR(40) NULL, ADD COLUMN IF NOT EXISTS for_age VARCHAR(40) NULL',
  );
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query('DROP TABLE IF EXISTS policies');
  await context.sequelize.query('ALTER TABLE routes DROP COLUMN IF EXISTS for_level, DROP COLUMN IF EXISTS for_age');
};
