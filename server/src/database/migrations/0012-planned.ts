import type { QueryInterface } from 'sequelize';

export const name = '0012-planned';

/** Whether an attempt was planned or made up on the spot. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query('ALTER TABLE attempts ADD COLUMN IF NOT EXISTS planned BOOLEAN NULL AFTER intent');
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query('ALTER TABLE attempts DROP COLUMN IF EXISTS planned');
};
