import type { QueryInterface } from 'sequelize';

export const name = '0021-route-branches';

/** Ways that leave a route's main line. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  await context.sequelize.query("ALTER TABLE routes ADD COLUMN IF NOT EXISTS branches JSON NOT NULL DEFAULT '[]'");
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  // of reactions routes only say those on which a branch is taken
  await context.sequelize.query("DELETE FROM word_uses WHERE entity = 'route' AND kind = 'reaction'");
  await context.sequelize.query('ALTER TABLE routes DROP COLUMN IF EXISTS branches');
};
