import { DataTypes, type Model, type ModelAttributes, type ModelStatic, type Sequelize } from 'sequelize';

export type Row = Record<string, unknown>;
export type RowModel = ModelStatic<Model<Row, Row>>;

const id = { type: DataTypes.CHAR(36) };
const text = { type: DataTypes.STRING };
const int = { type: DataTypes.INTEGER };
const num = { type: DataTypes.DOUBLE };
const flag = { type: DataTypes.BOOLEAN };
const at = { type: DataTypes.DATE(3) };

/** The kinds of rows that edits change, each with its table and its own columns (attribute names; columns are the same in snake case). */
const ENTITIES = {
  person: [
    'persons',
    {
      name: text,
      athlete: flag,
      member: flag,
      accountId: id,
      level: text,
      age: text,
      filming: flag,
      shownTo: text,
    },
  ],
  file: [
    'files',
    {
      name: text,
      mime: text,
      sizeBytes: { type: DataTypes.BIGINT },
      sha256: text,
      frames: int,
      width: int,
      height: int,
      timeBaseNum: int,
      timeBaseDen: int,
      codec: text,
      playable: flag,
      hasSound: flag,
      seconds: num,
      cutOff: flag,
    },
  ],
  footage: [
    'footage',
    {
      title: text,
      setting: text,
      logged: text,
      live: flag,
      gi: flag,
      counted: flag,
      date: { type: DataTypes.DATEONLY },
      athleteA: id,
      athleteB: id,
      kitA: text,
      kitB: text,
      ruleset: text,
      level: text,
      place: text,
      surroundings: text,
      context: text,
      audience: text,
      clock: { type: DataTypes.JSON },
      spans: { type: DataTypes.JSON },
    },
  ],
  angle: [
    'angles',
    {
      footageId: id,
      fileId: id,
      fromFrame: int,
      toFrame: int,
      fromPts: num,
      toPts: num,
      offsetMs: num,
      rate: num,
      kind: text,
    },
  ],
  attempt: [
    'attempts',
    {
      footageId: id,
      angleId: id,
      subject: text,
      statePosition: text,
      stateRole: text,
      leadSide: text,
      action: text,
      intent: text,
      result: text,
      depth: int,
      finishKind: text,
      finishKey: text,
      finishRole: text,
      finishWon: flag,
      restartPosition: text,
      restartRole: text,
      resisted: flag,
      shownAs: text,
      parentId: id,
      series: int,
      counterOfId: id,
      followsId: id,
      isCut: flag,
      wanted: text,
      errors: { type: DataTypes.JSON },
      doubts: { type: DataTypes.JSON },
      startFrame: int,
      startPts: num,
      commitFrame: int,
      commitPts: num,
      endFrame: int,
      endPts: num,
    },
  ],
  control: [
    'controls',
    {
      attemptId: id,
      ordinal: int,
      holder: text,
      limb: text,
      limbSide: text,
      kind: text,
      target: text,
      targetOwner: text,
      targetSide: text,
      reach: text,
      cloth: flag,
      depth: text,
      thumb: text,
      handed: flag,
      won: flag,
      gainedFrame: int,
      gainedPts: num,
      lostFrame: int,
      lostPts: num,
    },
  ],
  reaction: ['attempt_reactions', { attemptId: id, ordinal: int, what: text, isAction: flag, deciding: flag }],
  reason: ['attempt_reasons', { attemptId: id, ordinal: int, reason: text, main: flag }],
  clip: [
    'clips',
    {
      attemptId: id,
      angleId: id,
      inFrame: int,
      inPts: num,
      outFrame: int,
      outPts: num,
      note: { type: DataTypes.TEXT },
      keyMoments: { type: DataTypes.JSON },
      loops: { type: DataTypes.JSON },
    },
  ],
  moment: [
    'moments',
    {
      footageId: id,
      angleId: id,
      atFrame: int,
      atPts: num,
      pressedFrame: int,
      pressedPts: num,
      speed: num,
      settled: flag,
      accountId: id,
      attemptId: id,
      position: text,
      role: text,
      subject: text,
      note: text,
    },
  ],
  route: ['routes', { name: text }],
  routeStep: [
    'route_steps',
    {
      routeId: id,
      ordinal: int,
      fromPlace: text,
      action: text,
      toPlace: text,
      clipId: id,
      cue: text,
      note: { type: DataTypes.TEXT },
    },
  ],
  word: [
    'word_changes',
    {
      kind: text,
      wordKey: text,
      name: text,
      hidden: flag,
      definition: { type: DataTypes.JSON },
      scopeKind: text,
      scopeId: id,
    },
  ],
  alias: ['word_aliases', { wordChangeId: id, alias: text, scopeKind: text, scopeId: id }],
} as const satisfies Record<string, readonly [string, ModelAttributes]>;

export type Entity = keyof typeof ENTITIES;

/** Attribute names of an entity's own columns. */
export const columnsOf = (entity: Entity): readonly string[] => Object.keys(ENTITIES[entity][1]);

/** Attribute names of an entity's flags. */
const FLAGS = Object.fromEntries(
  Object.entries(ENTITIES).map(([entity, [, columns]]) => [
    entity,
    Object.entries(columns as ModelAttributes).flatMap(([name, column]) => (column === flag ? name : [])),
  ]),
) as unknown as Record<Entity, readonly string[]>;
export const flagsOf = (entity: Entity): readonly string[] => FLAGS[entity];

export type Models = Readonly<
  Record<
    | Entity
    | 'academy'
    | 'account'
    | 'membership'
    | 'session'
    | 'edit'
    | 'changeRecord'
    | 'invitation'
    | 'passwordReset'
    | 'mail'
    | 'upload'
    | 'job',
    RowModel
  >
>;

export const defineModels = (sequelize: Sequelize): Models => {
  const define = (table: string, columns: ModelAttributes): RowModel => {
    // Sequelize writes into the attributes it is given, so each table gets its own copies
    const own = Object.fromEntries(Object.entries(columns).map(([name, column]) => [name, { ...(column as object) }]));
    return sequelize.define<Model<Row, Row>>(table, own as ModelAttributes<Model<Row, Row>>, { tableName: table });
  };
  const own = {
    academyId: { ...id, primaryKey: true },
    id: { ...id, primaryKey: true },
    version: int,
    createdAt: at,
    changedAt: at,
    deletedAt: at,
  };
  const entities = Object.fromEntries(
    Object.entries(ENTITIES).map(([entity, [table, columns]]) => [entity, define(table, { ...own, ...columns })]),
  ) as Record<Entity, RowModel>;
  return {
    ...entities,
    academy: define('academies', {
      id: { ...id, primaryKey: true },
      name: text,
      timeZone: text,
      createdAt: at,
      demoLoadedAt: at,
      libraryVersion: int,
    }),
    account: define('accounts', {
      id: { ...id, primaryKey: true },
      email: text,
      name: text,
      passwordHash: text,
      createdAt: at,
    }),
    membership: define('memberships', {
      academyId: { ...id, primaryKey: true },
      accountId: { ...id, primaryKey: true },
      role: text,
      createdAt: at,
      removedAt: at,
    }),
    session: define('sessions', {
      tokenHash: { ...text, primaryKey: true },
      id,
      academyId: id,
      accountId: id,
      createdAt: at,
      lastSeenAt: at,
      agent: text,
      expiresAt: at,
    }),
    edit: define('edits', {
      academyId: { ...id, primaryKey: true },
      id: { ...id, primaryKey: true },
      accountId: id,
      at,
      undoesId: id,
      undoneAt: at,
      number: { type: DataTypes.BIGINT },
      libraryVersion: int,
    }),
    invitation: define('invitations', {
      academyId: { ...id, primaryKey: true },
      id: { ...id, primaryKey: true },
      email: text,
      role: text,
      tokenHash: text,
      invitedBy: id,
      createdAt: at,
      expiresAt: at,
      spentAt: at,
    }),
    passwordReset: define('password_resets', {
      tokenHash: { ...text, primaryKey: true },
      accountId: id,
      createdAt: at,
      expiresAt: at,
      spentAt: at,
    }),
    mail: define('mails', {
      academyId: { ...id, primaryKey: true },
      id: { ...id, primaryKey: true },
      toEmail: text,
      subject: text,
      body: { type: DataTypes.TEXT },
      sentAt: at,
    }),
    upload: define('uploads', {
      academyId: { ...id, primaryKey: true },
      id: { ...id, primaryKey: true },
      accountId: id,
      name: text,
      sizeBytes: { type: DataTypes.BIGINT },
      source: text,
      state: text,
      sha256: text,
      why: text,
      fileId: id,
      inboxKey: text,
      putAside: flag,
      createdAt: at,
      changedAt: at,
    }),
    job: define('jobs', {
      academyId: { ...id, primaryKey: true },
      id: { ...id, primaryKey: true },
      kind: text,
      subjectId: id,
      state: text,
      heavy: flag,
      tries: int,
      progress: num,
      why: text,
      worker: text,
      leaseUntil: at,
      deadlineS: int,
      detail: { type: DataTypes.JSON },
      createdAt: at,
      startedAt: at,
      endedAt: at,
    }),
    changeRecord: define('change_records', {
      academyId: { ...id, primaryKey: true },
      editId: { ...id, primaryKey: true },
      ordinal: { ...int, primaryKey: true },
      entity: text,
      entityId: id,
      field: text,
      beforeValue: { type: DataTypes.JSON },
      afterValue: { type: DataTypes.JSON },
      baseVersion: int,
    }),
  };
};
