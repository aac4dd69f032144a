import type { QueryInterface } from 'sequelize';

export const name = '0018-theirs';

/** The action of theirs to which an answer is looked for. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query(
    'ALTER TABLE todos ADD COLUMN IF NOT EXISTS theirs VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NULL AFTER reaction',
  );
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query('ALTER TABLE todos DROP COLUMN IF EXISTS theirs');
};
