import type { QueryInterface } from 'sequelize';

export const name = '0013-end-assumed';

/** Whether nobody said where an attempt ended. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query(
    'ALTER TABLE attempts ADD COLUMN IF NOT EXISTS end_assumed BOOLEAN NOT NULL DEFAULT FALSE AFTER end_pts',
  );
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query('ALTER TABLE attempts DROP COLUMN IF EXISTS end_assumed');
};
