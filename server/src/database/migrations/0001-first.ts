import type { QueryInterface } from 'sequelize';

export const name = '0001-first';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const KEY = 'VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin';
const SIDE = "ENUM('left','right')";

/** A table of an academy: keys on (academy, id), so that the database itself refuses a link across academies; rows carry a version and have a bin. */
const academyTable = (
  table: string,
  columns: string[],
  links: Record<string, string> = {},
  extra: string[] = [],
): string =>
  `CREATE TABLE IF NOT EXISTS ${table} (
    academy_id ${ID} NOT NULL, id ${ID} NOT NULL, version INT UNSIGNED NOT NULL DEFAULT 1,
    created_at DATETIME(3) NOT NULL, changed_at DATETIME(3) NOT NULL, deleted_at DATETIME(3) NULL,
    ${[...columns, 'PRIMARY KEY (academy_id, id)', 'FOREIGN KEY (academy_id) REFERENCES academies (id)', ...Object.entries(links).map(([column, to]) => `FOREIGN KEY (academy_id, ${column}) REFERENCES ${to} (academy_id, id)`), ...extra].join(',\n    ')}
  ) ENGINE=InnoDB`;

const TABLES: readonly (readonly [table: string, sql: string])[] = [
  [
    'academies',
    `CREATE TABLE IF NOT EXISTS academies (id ${ID} NOT NULL PRIMARY KEY, name VARCHAR(120) NOT NULL, time_zone VARCHAR(60) NOT NULL, created_at DATETIME(3) NOT NULL, demo_loaded_at DATETIME(3) NULL) ENGINE=InnoDB`,
  ],
  [
    'accounts',
    `CREATE TABLE IF NOT EXISTS accounts (id ${ID} NOT NULL PRIMARY KEY, email VARCHAR(254) NOT NULL UNIQUE, name VARCHAR(120) NOT NULL, password_hash VARCHAR(255) NOT NULL, created_at DATETIME(3) NOT NULL) ENGINE=InnoDB`,
  ],
  [
    'memberships',
    `CREATE TABLE IF NOT EXISTS memberships (academy_id ${ID} NOT NULL, account_id ${ID} NOT NULL, role ENUM('head','coach','student') NOT NULL, created_at DATETIME(3) NOT NULL, PRIMARY KEY (academy_id, account_id), FOREIGN KEY (academy_id) REFERENCES academies (id), FOREIGN KEY (account_id) REFERENCES accounts (id)) ENGINE=InnoDB`,
  ],
  [
    'sessions',
    `CREATE TABLE IF NOT EXISTS sessions (token_hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY, academy_id ${ID} NOT NULL, account_id ${ID} NOT NULL, created_at DATETIME(3) NOT NULL, expires_at DATETIME(3) NOT NULL, FOREIGN KEY (academy_id, account_id) REFERENCES memberships (academy_id, account_id) ON DELETE CASCADE) ENGINE=InnoDB`,
  ],
  [
    'word_changes',
    academyTable(
      'word_changes',
      [
        "kind ENUM('position','action','target','submission','reaction','reason') NOT NULL",
        `word_key ${KEY} NOT NULL`,
        'name VARCHAR(120) NULL',
        'hidden BOOLEAN NOT NULL DEFAULT FALSE',
      ],
      {},
      ['UNIQUE (academy_id, kind, word_key)'],
    ),
  ],
  [
    'word_aliases',
    academyTable('word_aliases', ['word_change_id ' + ID + ' NOT NULL', 'alias VARCHAR(120) NOT NULL'], {
      word_change_id: 'word_changes',
    }),
  ],
  ['persons', academyTable('persons', ['name VARCHAR(120) NOT NULL'])],
  [
    'files',
    academyTable('files', [
      'name VARCHAR(255) NOT NULL',
      'mime VARCHAR(60) NOT NULL',
      'size_bytes BIGINT UNSIGNED NOT NULL',
      'sha256 CHAR(64) CHARACTER SET ascii NOT NULL',
      'frames INT UNSIGNED NOT NULL',
      'width INT UNSIGNED NOT NULL',
      'height INT UNSIGNED NOT NULL',
      'time_base_num INT UNSIGNED NOT NULL',
      'time_base_den INT UNSIGNED NOT NULL',
    ]),
  ],
  [
    'footage',
    academyTable(
      'footage',
      [
        'title VARCHAR(120) NOT NULL',
        "setting ENUM('competition','training','demonstration') NOT NULL",
        "logged ENUM('throughout','picked') NOT NULL DEFAULT 'picked'",
        'live BOOLEAN NOT NULL DEFAULT TRUE',
        'gi BOOLEAN NOT NULL',
        'counted BOOLEAN NOT NULL DEFAULT TRUE',
        'date DATE NULL',
        `athlete_a ${ID} NOT NULL`,
        `athlete_b ${ID} NOT NULL`,
        "kit_a VARCHAR(120) NOT NULL DEFAULT ''",
        "kit_b VARCHAR(120) NOT NULL DEFAULT ''",
      ],
      { athlete_a: 'persons', athlete_b: 'persons' },
    ),
  ],
  [
    'angles',
    academyTable(
      'angles',
      [
        `footage_id ${ID} NOT NULL`,
        `file_id ${ID} NOT NULL`,
        'from_frame INT UNSIGNED NOT NULL',
        'to_frame INT UNSIGNED NOT NULL',
        'from_pts DOUBLE NOT NULL',
        'to_pts DOUBLE NOT NULL',
        'offset_ms DOUBLE NOT NULL DEFAULT 0',
        'rate DOUBLE NOT NULL DEFAULT 1',
        "kind ENUM('live','replay') NOT NULL DEFAULT 'live'",
      ],
      { footage_id: 'footage', file_id: 'files' },
      ['CHECK (from_frame < to_frame)', 'CHECK (rate >= 0)'],
    ),
  ],
  [
    'attempts',
    academyTable(
      'attempts',
      [
        `footage_id ${ID} NOT NULL`,
        `angle_id ${ID} NOT NULL`,
        "subject ENUM('a','b') NOT NULL",
        `state_position ${KEY} NULL`,
        `state_role ${KEY} NULL`,
        `lead_side ${SIDE} NULL`,
        `action ${KEY} NULL`,
        "intent ENUM('own','bait') NOT NULL DEFAULT 'own'",
        "result ENUM('success','partial','failed','abandoned','shown') NULL",
        'depth TINYINT UNSIGNED NULL',
        "finish_kind ENUM('state','submission','reset') NULL",
        `finish_key ${KEY} NULL`,
        `finish_role ${KEY} NULL`,
        'finish_won BOOLEAN NULL',
        `restart_position ${KEY} NULL`,
        `restart_role ${KEY} NULL`,
        'resisted BOOLEAN NULL',
        "shown_as ENUM('right','mistake') NOT NULL DEFAULT 'right'",
        `parent_id ${ID} NULL`,
        'series SMALLINT UNSIGNED NOT NULL DEFAULT 1',
        `counter_of_id ${ID} NULL`,
        'start_frame INT UNSIGNED NOT NULL',
        'start_pts DOUBLE NOT NULL',
        'commit_frame INT UNSIGNED NULL',
        'commit_pts DOUBLE NULL',
        'end_frame INT UNSIGNED NOT NULL',
        'end_pts DOUBLE NOT NULL',
      ],
      { footage_id: 'footage', angle_id: 'angles', parent_id: 'attempts', counter_of_id: 'attempts' },
      ['CHECK (start_frame <= end_frame)', 'CHECK (depth IS NULL OR depth <= 4)'],
    ),
  ],
  [
    'controls',
    academyTable(
      'controls',
      [
        `attempt_id ${ID} NOT NULL`,
        'ordinal SMALLINT UNSIGNED NOT NULL',
        "holder ENUM('subject','opponent') NOT NULL",
        `limb ${KEY} NOT NULL`,
        `limb_side ${SIDE} NULL`,
        `kind ${KEY} NOT NULL`,
        `target ${KEY} NOT NULL`,
        "target_owner ENUM('other','own','mat','wall') NOT NULL",
        `target_side ${SIDE} NULL`,
        'cloth BOOLEAN NOT NULL',
        'gained_frame INT UNSIGNED NULL',
        'gained_pts DOUBLE NULL',
        'lost_frame INT UNSIGNED NULL',
        'lost_pts DOUBLE NULL',
      ],
      { attempt_id: 'attempts' },
    ),
  ],
  [
    'attempt_reactions',
    academyTable(
      'attempt_reactions',
      [
        `attempt_id ${ID} NOT NULL`,
        'ordinal SMALLINT UNSIGNED NOT NULL',
        `what ${KEY} NOT NULL`,
        'is_action BOOLEAN NOT NULL',
        'deciding BOOLEAN NOT NULL',
      ],
      { attempt_id: 'attempts' },
    ),
  ],
  [
    'attempt_reasons',
    academyTable(
      'attempt_reasons',
      [
        `attempt_id ${ID} NOT NULL`,
        'ordinal SMALLINT UNSIGNED NOT NULL',
        `reason ${KEY} NOT NULL`,
        'main BOOLEAN NOT NULL',
      ],
      { attempt_id: 'attempts' },
    ),
  ],
  [
    'clips',
    academyTable(
      'clips',
      [
        `attempt_id ${ID} NOT NULL`,
        `angle_id ${ID} NOT NULL`,
        'in_frame INT UNSIGNED NOT NULL',
        'in_pts DOUBLE NOT NULL',
        'out_frame INT UNSIGNED NOT NULL',
        'out_pts DOUBLE NOT NULL',
        'note TEXT NOT NULL',
      ],
      { attempt_id: 'attempts', angle_id: 'angles' },
      ['CHECK (in_frame < out_frame)'],
    ),
  ],
  [
    'edits',
    `CREATE TABLE IF NOT EXISTS edits (academy_id ${ID} NOT NULL, id ${ID} NOT NULL, account_id ${ID} NOT NULL, at DATETIME(3) NOT NULL, number BIGINT UNSIGNED NOT NULL AUTO_INCREMENT UNIQUE, undoes_id ${ID} NULL, undone_at DATETIME(3) NULL, PRIMARY KEY (academy_id, id), FOREIGN KEY (academy_id, account_id) REFERENCES memberships (academy_id, account_id), FOREIGN KEY (academy_id, undoes_id) REFERENCES edits (academy_id, id), INDEX (academy_id, account_id, number)) ENGINE=InnoDB`,
  ],
  [
    'change_records',
    `CREATE TABLE IF NOT EXISTS change_records (academy_id ${ID} NOT NULL, edit_id ${ID} NOT NULL, ordinal INT UNSIGNED NOT NULL, entity VARCHAR(30) CHARACTER SET ascii NOT NULL, entity_id ${ID} NOT NULL, field VARCHAR(40) CHARACTER SET ascii NOT NULL, before_value JSON NULL, after_value JSON NULL, base_version INT UNSIGNED NULL, PRIMARY KEY (academy_id, edit_id, ordinal), FOREIGN KEY (academy_id, edit_id) REFERENCES edits (academy_id, id), INDEX (academy_id, entity, entity_id)) ENGINE=InnoDB`,
  ],
];

export const up = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [, sql] of TABLES) await context.sequelize.query(sql);
};

export const down = async ({ context }: { context: QueryInterface }): Promise<void> => {
  for (const [table] of [...TABLES].reverse()) await context.sequelize.query(`DROP TABLE IF EXISTS ${table}`);
};
