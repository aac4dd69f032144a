import type { QueryInterface } from 'sequelize';

export const name = '0015-advice-lists-drawings';

const ASCII = 'CHARACTER SET ascii COLLATE ascii_bin';
const ID = `CHAR(36) ${ASCII}`;
const KEY = `VARCHAR(60) ${ASCII}`;
const ROW = `academy_id ${ID} NOT NULL, id ${ID} NOT NULL, version INT UNSIGNED NOT NULL DEFAULT 1,
  created_at DATETIME(3) NOT NULL, changed_at DATETIME(3) NOT NULL, deleted_at DATETIME(3) NULL`;
const OWN = 'PRIMARY KEY (academy_id, id), FOREIGN KEY (academy_id) REFERENCES academies (id)';
const to = (column: string, table: string): string =>
  `FOREIGN KEY (academy_id, ${column}) REFERENCES ${table} (academy_id, id)`;

const TABLES: Readonly<Record<string, string>> = {
  principles: `${ROW}, scope JSON NOT NULL, strength VARCHAR(20) ${ASCII} NOT NULL, habit_of ${ID} NULL,
    sentence TEXT NOT NULL, pattern JSON NULL, answer ${KEY} NULL, view JSON NOT NULL,
    standing VARCHAR(20) ${ASCII} NOT NULL DEFAULT 'kept', clips_for JSON NOT NULL, clips_against JSON NOT NULL,
    ${OWN}, ${to('habit_of', 'persons')}`,
  todos: `${ROW}, kind VARCHAR(20) ${ASCII} NOT NULL, text TEXT NOT NULL, status VARCHAR(20) ${ASCII} NOT NULL DEFAULT 'open',
    opened DATE NOT NULL, due DATE NULL, footage_id ${ID} NULL, at JSON NULL, clip_ids JSON NOT NULL, person_ids JSON NOT NULL,
    \`by\` VARCHAR(120) NOT NULL DEFAULT '', state_position ${KEY} NULL, state_role VARCHAR(20) ${ASCII} NULL, action ${KEY} NULL,
    reaction ${KEY} NULL, followed VARCHAR(20) ${ASCII} NULL, said INT UNSIGNED NULL, parts JSON NOT NULL,
    is_shared BOOLEAN NOT NULL DEFAULT FALSE, ${OWN}, ${to('footage_id', 'footage')}`,
  drawings: `${ROW}, footage_id ${ID} NOT NULL, angle_id ${ID} NOT NULL, from_frame INT UNSIGNED NOT NULL, from_pts BIGINT NOT NULL,
    to_frame INT UNSIGNED NOT NULL, to_pts BIGINT NOT NULL, hold_ms INT UNSIGNED NOT NULL DEFAULT 0, shapes JSON NOT NULL,
    track JSON NOT NULL, ${OWN}, ${to('footage_id', 'footage')}, ${to('angle_id', 'angles')}`,
};

/** What must and may be, the lists that stay open, and what is drawn on pictures. */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [table, columns] of Object.entries(TABLES))
    await context.sequelize.query(`CREATE TABLE IF NOT EXISTS ${table} (${columns}) ENGINE=InnoDB`);
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const table of Object.keys(TABLES).reverse()) {
    await context.sequelize.query(`DROP TABLE IF EXISTS ${table}`);
    await context.sequelize.query(`DELETE FROM word_uses WHERE entity = '${table.slice(0, -1)}'`);
  }
};
