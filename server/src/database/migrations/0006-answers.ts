import type { QueryInterface } from 'sequelize';

export const name = '0006-answers';

/** What an attempt is an answer to, as somebody said it by hand. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query(
    "ALTER TABLE attempts ADD COLUMN IF NOT EXISTS answers JSON NOT NULL DEFAULT '[]' AFTER errors",
  );
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query('ALTER TABLE attempts DROP COLUMN IF EXISTS answers');
};
