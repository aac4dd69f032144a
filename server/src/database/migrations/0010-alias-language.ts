import type { QueryInterface } from 'sequelize';

export const name = '0010-alias-language';

/** In which language an academy's own name of a word is; not said = English. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query(
    "ALTER TABLE word_aliases ADD COLUMN IF NOT EXISTS language ENUM('en','ja','pt') NULL AFTER alias",
  );
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query('ALTER TABLE word_aliases DROP COLUMN IF EXISTS language');
};
