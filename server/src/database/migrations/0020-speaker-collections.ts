import type { QueryInterface } from 'sequelize';

export const name = '0020-speaker-collections';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Who talks on footage; clips that are gathered under a name. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query(
    "ALTER TABLE footage ADD COLUMN IF NOT EXISTS speaker VARCHAR(120) NOT NULL DEFAULT ''",
  );
  await context.sequelize.query(
    `CREATE TABLE IF NOT EXISTS collections (academy_id ${ID} NOT NULL, id ${ID} NOT NULL, version INT UNSIGNED NOT NULL DEFAULT 1,
    created_at DATETIME(3) NOT NULL, changed_at DATETIME(3) NOT NULL, deleted_at DATETIME(3) NULL,
    name VARCHAR(255) NOT NULL, clip_ids JSON NOT NULL, filter JSON NULL,
    PRIMARY KEY (academy_id, id), FOREIGN KEY (academy_id) REFERENCES academies (id)) ENGINE=InnoDB`,
  );
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query('DROP TABLE IF EXISTS collections');
  await context.sequelize.query("DELETE FROM word_uses WHERE entity = 'collection'");
  await context.sequelize.query('ALTER TABLE footage DROP COLUMN IF EXISTS speaker');
};
