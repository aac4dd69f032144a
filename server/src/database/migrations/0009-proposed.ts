import type { QueryInterface } from 'sequelize';

export const name = '0009-proposed';

/** Which parts of an attempt stand only because they follow. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query(
    "ALTER TABLE attempts ADD COLUMN IF NOT EXISTS proposed JSON NOT NULL DEFAULT '[]' AFTER doubts",
  );
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query('ALTER TABLE attempts DROP COLUMN IF EXISTS proposed');
};
