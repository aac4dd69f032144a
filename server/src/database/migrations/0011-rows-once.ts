import { QueryTypes, type QueryInterface, type Sequelize, type Transaction } from 'sequelize';

export const name = '0011-rows-once';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const KEY = 'VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin';
const AT_ONCE = 1000;

type Row = Readonly<Record<string, unknown>>;
/** A list that lay in a table of its own, and lies in a column of the row above now. */
type Moved = {
  readonly table: string;
  readonly above: string;
  readonly by: string;
  readonly list: string;
  readonly order: string;
  /** An item of the list out of a row. */ readonly item: (row: Row) => Row;
  /** A row out of an item of the list. */ readonly row: (item: Row, ordinal: number) => Row;
  /** The table as it was. */ readonly columns: readonly string[];
};

const flag = (value: unknown): boolean => Boolean(value);
const instant = (row: Row, of: string): Row | null =>
  row[`${of}_frame`] === null ? null : { frame: row[`${of}_frame`], pts: row[`${of}_pts`] };
const scope = (row: Row): Row =>
  row['scope_kind'] === 'coach'
    ? { kind: 'coach', accountId: row['scope_id'] }
    : row['scope_kind'] === 'footage'
      ? { kind: 'footage', footageId: row['scope_id'] }
      : { kind: 'academy' };
const scopeRow = (of: Row): Row => ({
  scope_kind: of['kind'],
  scope_id: of['accountId'] ?? of['footageId'] ?? null,
});
const SCOPE = ["scope_kind ENUM('academy','coach','footage') NOT NULL DEFAULT 'academy'", `scope_id ${ID} NULL`];

const MOVED: readonly Moved[] = [
  {
    ...{ table: 'controls', above: 'attempts', by: 'attempt_id', list: 'controls', order: 'ordinal, id' },
    item: (r) => ({
      ...{ id: r['id'], holder: r['holder'], limb: r['limb'], limbSide: r['limb_side'], kind: r['kind'] },
      ...{ target: r['target'], targetOwner: r['target_owner'], targetSide: r['target_side'], reach: r['reach'] },
      ...{ cloth: flag(r['cloth']), depth: r['depth'], thumb: r['thumb'] },
      ...{ handed: flag(r['handed']), won: flag(r['won']), gained: instant(r, 'gained'), lost: instant(r, 'lost') },
    }),
    row: (c, ordinal) => ({
      ...{ ordinal, holder: c['holder'], limb: c['limb'], limb_side: c['limbSide'], kind: c['kind'] },
      ...{ target: c['target'], target_owner: c['targetOwner'], target_side: c['targetSide'], reach: c['reach'] },
      ...{ cloth: c['cloth'], depth: c['depth'], thumb: c['thumb'], handed: c['handed'], won: c['won'] },
      gained_frame: (c['gained'] as Row | null)?.['frame'] ?? null,
      gained_pts: (c['gained'] as Row | null)?.['pts'] ?? null,
      lost_frame: (c['lost'] as Row | null)?.['frame'] ?? null,
      lost_pts: (c['lost'] as Row | null)?.['pts'] ?? null,
    }),
    columns: [
      `attempt_id ${ID} NOT NULL`,
      'ordinal SMALLINT UNSIGNED NOT NULL',
      "holder ENUM('subject','opponent') NOT NULL",
      `limb ${KEY} NOT NULL`,
      "limb_side ENUM('left','right') NULL",
      `kind ${KEY} NOT NULL`,
      `target ${KEY} NOT NULL`,
      "target_owner ENUM('other','own','mat','wall') NOT NULL",
      "target_side ENUM('left','right') NULL",
      "reach ENUM('near','far','cross','same') NULL",
      'cloth BOOLEAN NOT NULL',
      "depth ENUM('shallow','deep') NULL",
      "thumb ENUM('in','out') NULL",
      'handed BOOLEAN NOT NULL DEFAULT FALSE',
      'won BOOLEAN NOT NULL DEFAULT FALSE',
      'gained_frame INT UNSIGNED NULL',
      'gained_pts DOUBLE NULL',
      'lost_frame INT UNSIGNED NULL',
      'lost_pts DOUBLE NULL',
    ],
  },
  {
    ...{ table: 'attempt_reactions', above: 'attempts', by: 'attempt_id', list: 'reactions', order: 'ordinal, id' },
    item: (r) => ({
      ...{ id: r['id'], what: r['what'], isAction: flag(r['is_action']), deciding: flag(r['deciding']) },
    }),
    row: (i, ordinal) => ({ ordinal, what: i['what'], is_action: i['isAction'], deciding: i['deciding'] }),
    columns: [
      `attempt_id ${ID} NOT NULL`,
      'ordinal SMALLINT UNSIGNED NOT NULL',
      `what ${KEY} NOT NULL`,
      'is_action BOOLEAN NOT NULL',
      'deciding BOOLEAN NOT NULL',
    ],
  },
  {
    ...{ table: 'attempt_reasons', above: 'attempts', by: 'attempt_id', list: 'reasons', order: 'ordinal, id' },
    item: (r) => ({ id: r['id'], reason: r['reason'], main: flag(r['main']) }),
    row: (i, ordinal) => ({ ordinal, reason: i['reason'], main: i['main'] }),
    columns: [
      `attempt_id ${ID} NOT NULL`,
      'ordinal SMALLINT UNSIGNED NOT NULL',
      `reason ${KEY} NOT NULL`,
      'main BOOLEAN NOT NULL',
    ],
  },
  {
    ...{ table: 'route_steps', above: 'routes', by: 'route_id', list: 'steps', order: 'ordinal, id' },
    item: (r) => ({
      ...{ id: r['id'], from: r['from_place'], action: r['action'], to: r['to_place'], clipId: r['clip_id'] },
      ...{ cue: r['cue'], note: r['note'] },
    }),
    row: (i, ordinal) => ({
      ...{ ordinal, from_place: i['from'], action: i['action'], to_place: i['to'], clip_id: i['clipId'] },
      ...{ cue: i['cue'], note: i['note'] },
    }),
    columns: [
      `route_id ${ID} NOT NULL`,
      'ordinal SMALLINT UNSIGNED NOT NULL',
      'from_place VARCHAR(130) CHARACTER SET ascii COLLATE ascii_bin NOT NULL',
      `action ${KEY} NOT NULL`,
      'to_place VARCHAR(130) CHARACTER SET ascii COLLATE ascii_bin NOT NULL',
      `clip_id ${ID} NULL`,
      "cue VARCHAR(120) NOT NULL DEFAULT ''",
      'note TEXT NOT NULL',
    ],
  },
  {
    ...{ table: 'word_aliases', above: 'word_changes', by: 'word_change_id', list: 'aliases', order: 'id' },
    item: (r) => ({
      ...{ id: r['id'], alias: r['alias'], scope: scope(r) },
      ...(r['language'] === null ? {} : { language: r['language'] }),
    }),
    row: (i) => ({ alias: i['alias'], language: i['language'] ?? null, ...scopeRow(i['scope'] as Row) }),
    columns: [
      `word_change_id ${ID} NOT NULL`,
      'alias VARCHAR(120) NOT NULL',
      "language ENUM('en','ja','pt') NULL",
      ...SCOPE,
    ],
  },
];

/** Columns whose names say now in which field they stand. */
const RENAMED = [
  ['attempts', 'attempt', 'lead_side', 'lead', 'leadSide', 'lead', "ENUM('left','right') NULL"],
  ['moments', 'moment', 'position', 'state_position', 'position', 'statePosition', `${KEY} NULL`],
  ['moments', 'moment', 'role', 'state_role', 'role', 'stateRole', 'VARCHAR(20) CHARACTER SET ascii NULL'],
  [
    'attempts',
    'attempt',
    'restart_position',
    'finish_restart_position',
    'restartPosition',
    'finishRestartPosition',
    `${KEY} NULL`,
  ],
  ['attempts', 'attempt', 'restart_role', 'finish_restart_role', 'restartRole', 'finishRestartRole', `${KEY} NULL`],
] as const;

/** Where a finish ended, by its kind. */
const FINISH = [
  ['finish_position', 'state'],
  ['finish_submission', 'submission'],
  ['finish_how', 'reset'],
] as const;

class Tables {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly transaction: Transaction | null = null,
  ) {}

  async run(sql: string, replacements: Row | unknown[] = {}): Promise<void> {
    await this.sequelize.query(sql, { replacements, transaction: this.transaction });
  }

  select<T extends object>(sql: string, replacements: Record<string, unknown> = {}): Promise<T[]> {
    return this.sequelize.query<T>(sql, { type: QueryTypes.SELECT, replacements, transaction: this.transaction });
  }

  async has(table: string, column?: string): Promise<boolean> {
    const where = column === undefined ? '' : ' AND column_name = :column';
    const [row] = await this.select<{ n: number }>(
      `SELECT COUNT(*) AS n FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = :table${where}`,
      { table, column },
    );
    return Number(row!.n) > 0;
  }

  async rename(table: string, from: string, to: string, type: string): Promise<void> {
    if (await this.has(table, from)) await this.run(`ALTER TABLE ${table} CHANGE COLUMN ${from} ${to} ${type}`);
  }

  /** All rows of a table in pieces, in the order of their keys. */
  async *pieces(table: string, columns: string): AsyncGenerator<readonly Row[]> {
    let [academy, id] = ['', ''];
    for (;;) {
      const rows = await this.select<Row>(
        `SELECT academy_id, id, ${columns} FROM ${table} WHERE (academy_id, id) > (:academy, :id) ORDER BY academy_id, id LIMIT ${AT_ONCE}`,
        { academy, id },
      );
      if (!rows.length) return;
      yield rows;
      [academy, id] = [rows.at(-1)!['academy_id'] as string, rows.at(-1)!['id'] as string];
    }
  }
}

const parsed = (value: unknown): readonly Row[] =>
  (typeof value === 'string' ? JSON.parse(value) : (value ?? [])) as readonly Row[];

/** Brings a list into the row above it. */
const moveUp = async (sequelize: Sequelize, { table, above, by, list, order, item }: Moved): Promise<void> => {
  const tables = new Tables(sequelize);
  await tables.run(`ALTER TABLE ${above} ADD COLUMN IF NOT EXISTS ${list} JSON NOT NULL DEFAULT '[]'`);
  if (!(await tables.has(table))) return;
  for await (const rows of tables.pieces(above, 'version')) {
    const below = await tables.select<Row>(
      `SELECT * FROM ${table} WHERE deleted_at IS NULL AND ${by} IN (:ids) ORDER BY ${order}`,
      { ids: rows.map((row) => row['id']) },
    );
    const lists = new Map<string, Row[]>();
    for (const row of below) {
      const key = `${row['academy_id'] as string} ${row[by] as string}`;
      lists.set(key, [...(lists.get(key) ?? []), item(row)]);
    }
    await sequelize.transaction(async (transaction) => {
      const within = new Tables(sequelize, transaction);
      for (const [key, items] of lists) {
        const [academy, id] = key.split(' ');
        const sql = `UPDATE ${above} SET ${list} = :items WHERE academy_id = :academy AND id = :id`;
        await within.run(sql, { items: JSON.stringify(items), academy, id });
      }
    });
  }
  await tables.run(`DROP TABLE ${table}`);
};

/** Brings a list back into a table of its own. */
const moveDown = async (sequelize: Sequelize, moved: Moved): Promise<void> => {
  const { table, above, by, list, columns, row } = moved;
  const tables = new Tables(sequelize);
  if (!(await tables.has(above, list))) return;
  const link = `FOREIGN KEY (academy_id, ${by}) REFERENCES ${above} (academy_id, id)`;
  const clips = table === 'route_steps' ? ', FOREIGN KEY (academy_id, clip_id) REFERENCES clips (academy_id, id)' : '';
  await tables.run(`DROP TABLE IF EXISTS ${table}`);
  await tables.run(
    `CREATE TABLE ${table} (academy_id ${ID} NOT NULL, id ${ID} NOT NULL, version INT UNSIGNED NOT NULL DEFAULT 1,
     created_at DATETIME(3) NOT NULL, changed_at DATETIME(3) NOT NULL, deleted_at DATETIME(3) NULL, ${columns.join(', ')},
     PRIMARY KEY (academy_id, id), FOREIGN KEY (academy_id) REFERENCES academies (id), ${link}${clips}) ENGINE=InnoDB`,
  );
  for await (const rows of tables.pieces(above, `${list}, created_at, changed_at`))
    for (const of of rows)
      for (const [ordinal, it] of parsed(of[list]).entries()) {
        const values: Row = {
          ...{ academy_id: of['academy_id'], id: it['id'], [by]: of['id'] },
          ...{ created_at: of['created_at'], changed_at: of['changed_at'], ...row(it, ordinal) },
        };
        const names = Object.keys(values);
        await tables.run(
          `INSERT INTO ${table} (${names.join(', ')}) VALUES (${names.map((n) => `:${n}`).join(', ')})`,
          values,
        );
      }
  await tables.run(`ALTER TABLE ${above} DROP COLUMN ${list}`);
};

type Use = readonly [kind: string, key: string];
const stateUse = (state: unknown): readonly Use[] =>
  state ? [['position', (state as Row)['position'] as string]] : [];
const keyUse = (kind: string, key: unknown): readonly Use[] => (typeof key === 'string' ? [[kind, key]] : []);
const placeUse = (place: unknown): readonly Use[] => {
  const id = place as string;
  if (id.includes('/')) return [['position', id.split('/')[0]!]];
  return /^(won|lost):/.test(id) ? [['submission', id.split(':')[1]!]] : [];
};
const attemptUses = (row: Row): readonly Use[] => [
  ...keyUse('position', row['state_position']),
  ...keyUse('action', row['action']),
  ...keyUse('position', row['finish_position']),
  ...keyUse('position', row['finish_restart_position']),
  ...keyUse('submission', row['finish_submission']),
  ...keyUse('reaction', row['wanted']),
  ...parsed(row['controls']).flatMap((c) => keyUse('target', c['target'])),
  ...parsed(row['reactions']).flatMap((r) => keyUse(r['isAction'] ? 'action' : 'reaction', r['what'])),
  ...parsed(row['reasons']).flatMap((r) => keyUse('reason', r['reason'])),
  ...parsed(row['errors']).flatMap((e) => keyUse('reason', e['what'])),
  ...parsed(row['answers']).flatMap((a) => [
    ...stateUse(a['from']),
    ...keyUse('action', a['action']),
    ...keyUse('reaction', a['reaction']),
  ]),
];
const routeUses = (row: Row): readonly Use[] =>
  parsed(row['steps']).flatMap((s) => [...placeUse(s['from']), ...keyUse('action', s['action']), ...placeUse(s['to'])]);
const momentUses = (row: Row): readonly Use[] => keyUse('position', row['state_position']);

/** Which row says which word, of all rows that there are. */
const index = async (sequelize: Sequelize): Promise<void> => {
  const tables = new Tables(sequelize);
  const said = 'state_position, action, finish_position, finish_restart_position, finish_submission, wanted';
  for (const [entity, table, columns, uses] of [
    ['attempt', 'attempts', `${said}, controls, reactions, reasons, errors, answers, deleted_at`, attemptUses],
    ['route', 'routes', 'steps, deleted_at', routeUses],
    ['moment', 'moments', 'state_position, deleted_at', momentUses],
  ] as const)
    for await (const rows of tables.pieces(table, columns)) {
      const values = rows
        .filter((row) => row['deleted_at'] === null)
        .flatMap((row) => uses(row).map(([kind, key]) => [row['academy_id'], kind, key, entity, row['id']]));
      if (values.length)
        await tables.run(
          'INSERT IGNORE INTO word_uses (academy_id, kind, word_key, entity, entity_id) VALUES :values'.replace(
            ':values',
            values.map(() => '(?, ?, ?, ?, ?)').join(', '),
          ),
          values.flat(),
        );
    }
};

/**
 * Every field of a row is kept in one way: lists in the row they belong to, parts of a value in columns named by the value and the part; and which row says which word is
 * written down. What was changed in a list before can't be undone any more: its records told of rows that are no longer there.
 */
export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  const { sequelize } = context;
  const tables = new Tables(sequelize);
  for (const moved of MOVED) await moveUp(sequelize, moved);
  for (const [table, entity, from, to, was, is, type] of RENAMED) {
    await tables.rename(table, from, to, type);
    await tables.run('UPDATE change_records SET field = :is WHERE entity = :entity AND field = :was', {
      entity,
      was,
      is,
    });
  }
  for (const [column, kind] of FINISH) {
    await tables.run(`ALTER TABLE attempts ADD COLUMN IF NOT EXISTS ${column} ${KEY} NULL AFTER finish_kind`);
    if (await tables.has('attempts', 'finish_key'))
      await tables.run(`UPDATE attempts SET ${column} = finish_key WHERE finish_kind = :kind`, { kind });
  }
  await tables.run('ALTER TABLE attempts DROP COLUMN IF EXISTS finish_key');
  await tables.run(
    `ALTER TABLE word_changes ADD COLUMN IF NOT EXISTS scope_account_id ${ID} NULL, ADD COLUMN IF NOT EXISTS scope_footage_id ${ID} NULL`,
  );
  if (await tables.has('word_changes', 'scope_id'))
    await tables.run(
      `UPDATE word_changes SET scope_account_id = IF(scope_kind = 'coach', scope_id, NULL), scope_footage_id = IF(scope_kind = 'footage', scope_id, NULL)`,
    );
  await tables.run('ALTER TABLE word_changes DROP COLUMN IF EXISTS scope_id');
  await tables.run(
    `CREATE TABLE IF NOT EXISTS word_uses (academy_id ${ID} NOT NULL, kind ENUM('position','action','target','submission','reaction','reason') NOT NULL,
     word_key ${KEY} NOT NULL, entity VARCHAR(30) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, entity_id ${ID} NOT NULL,
     PRIMARY KEY (academy_id, kind, word_key, entity, entity_id), INDEX (academy_id, entity, entity_id),
     FOREIGN KEY (academy_id) REFERENCES academies (id)) ENGINE=InnoDB`,
  );
  await index(sequelize);
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  const { sequelize } = context;
  const tables = new Tables(sequelize);
  await tables.run('DROP TABLE IF EXISTS word_uses');
  await tables.run(`ALTER TABLE word_changes ADD COLUMN IF NOT EXISTS scope_id ${ID} NULL`);
  if (await tables.has('word_changes', 'scope_account_id'))
    await tables.run('UPDATE word_changes SET scope_id = COALESCE(scope_account_id, scope_footage_id)');
  await tables.run(
    'ALTER TABLE word_changes DROP COLUMN IF EXISTS scope_account_id, DROP COLUMN IF EXISTS scope_footage_id',
  );
  await tables.run(`ALTER TABLE attempts ADD COLUMN IF NOT EXISTS finish_key ${KEY} NULL AFTER finish_kind`);
  for (const [column] of FINISH)
    if (await tables.has('attempts', column)) {
      await tables.run(`UPDATE attempts SET finish_key = ${column} WHERE ${column} IS NOT NULL`);
      await tables.run(`ALTER TABLE attempts DROP COLUMN ${column}`);
    }
  for (const [table, entity, from, to, was, is, type] of RENAMED) {
    await tables.rename(table, to, from, type);
    await tables.run('UPDATE change_records SET field = :was WHERE entity = :entity AND field = :is', {
      entity,
      was,
      is,
    });
  }
  for (const moved of [...MOVED].reverse()) await moveDown(sequelize, moved);
};
