import type { QueryInterface } from 'sequelize';

export const name = '0016-views';

/** How well stretches of a clip show what happens there. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query(
    "ALTER TABLE clips ADD COLUMN IF NOT EXISTS views JSON NOT NULL DEFAULT '[]' AFTER loops",
  );
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query('ALTER TABLE clips DROP COLUMN IF EXISTS views');
};
