import type { QueryInterface } from 'sequelize';

export const name = '0008-media';

const KINDS = (list: string): string => `ALTER TABLE jobs MODIFY kind ENUM(${list}) NOT NULL`;

/** Each step with the one that takes it back. Every step may be run on a database where it is done already: a start cut short goes on. */
const STEPS: readonly (readonly [up: string, down: string])[] = [
  [KINDS("'read','proxy','look','sound','cut','stills'"), KINDS("'read','proxy','look','sound','cut'")],
  ['DO 0', "DELETE FROM jobs WHERE kind = 'stills'"],
  [
    `ALTER TABLE files ADD COLUMN IF NOT EXISTS tracks JSON NOT NULL DEFAULT '[]',
      ADD COLUMN IF NOT EXISTS track TINYINT UNSIGNED NOT NULL DEFAULT 0`,
    'ALTER TABLE files DROP COLUMN IF EXISTS tracks, DROP COLUMN IF EXISTS track',
  ],
  [
    'ALTER TABLE clips ADD INDEX IF NOT EXISTS clips_changed (changed_at)',
    'ALTER TABLE clips DROP INDEX IF EXISTS clips_changed',
  ],
  [
    // reasons were sentences; they are data now
    `UPDATE jobs SET why = '{"code":"unexpected"}' WHERE why IS NOT NULL AND why NOT LIKE '{%'`,
    'DO 0',
  ],
  [`UPDATE uploads SET why = '{"code":"damaged"}' WHERE why IS NOT NULL AND why NOT LIKE '{%'`, 'DO 0'],
];

export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [sql] of STEPS) await context.sequelize.query(sql);
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [, sql] of [...STEPS].reverse()) await context.sequelize.query(sql);
};
