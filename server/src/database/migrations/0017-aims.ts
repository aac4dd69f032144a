import type { QueryInterface } from 'sequelize';

export const name = '0017-aims';

/** What an attempt was for, what its run is called, and the part of a picture that an angle is. */
const COLUMNS = {
  attempts: { aim: 'JSON NULL AFTER wanted', run_name: "VARCHAR(80) NOT NULL DEFAULT '' AFTER wanted" },
  angles: { region: 'JSON NULL AFTER kind' },
} as const;

export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [table, columns] of Object.entries(COLUMNS))
    await context.sequelize.query(
      `ALTER TABLE ${table} ${Object.entries(columns)
        .map(([column, is]) => `ADD COLUMN IF NOT EXISTS ${column} ${is}`)
        .join(', ')}`,
    );
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [table, columns] of Object.entries(COLUMNS))
    await context.sequelize.query(
      `ALTER TABLE ${table} ${Object.keys(columns)
        .map((column) => `DROP COLUMN IF EXISTS ${column}`)
        .join(', ')}`,
    );
};
