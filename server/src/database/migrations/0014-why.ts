import type { QueryInterface } from 'sequelize';

export const name = '0014-why';

const LISTS = ['facts', 'alternatives', 'links', 'evidence'] as const;
const WORDED = ['word_changes', 'word_uses'] as const;
const KINDS = ['position', 'action', 'target', 'submission', 'reaction', 'reason'] as const;
const kindColumn = (kinds: readonly string[]): string => `kind ENUM(${kinds.map((k) => `'${k}'`).join(',')}) NOT NULL`;

/** Why an attempt went as it went: how they stood, what else there was, what brought what about, and how each detail is known; facts are words of a kind of their own. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  const { sequelize } = context;
  await sequelize.query(
    `ALTER TABLE attempts ADD COLUMN IF NOT EXISTS form VARCHAR(60) NOT NULL DEFAULT '' AFTER planned, ${LISTS.map(
      (list) => `ADD COLUMN IF NOT EXISTS ${list} JSON NOT NULL DEFAULT '[]'`,
    ).join(', ')}`,
  );
  await sequelize.query('ALTER TABLE footage ADD COLUMN IF NOT EXISTS skewed_by VARCHAR(20) NULL AFTER context');
  for (const table of WORDED) await sequelize.query(`ALTER TABLE ${table} MODIFY ${kindColumn([...KINDS, 'fact'])}`);
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  const { sequelize } = context;
  for (const table of WORDED) {
    await sequelize.query(`DELETE FROM ${table} WHERE kind = 'fact'`);
    await sequelize.query(`ALTER TABLE ${table} MODIFY ${kindColumn(KINDS)}`);
  }
  await sequelize.query('ALTER TABLE footage DROP COLUMN IF EXISTS skewed_by');
  await sequelize.query(
    `ALTER TABLE attempts DROP COLUMN IF EXISTS form, ${LISTS.map((list) => `DROP COLUMN IF EXISTS ${list}`).join(', ')}`,
  );
};
