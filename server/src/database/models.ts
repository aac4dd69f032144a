import type { Entity } from '@odograph/core';
import { DataTypes, type Model, type ModelAttributes, type ModelStatic, type Sequelize } from 'sequelize';
import { COLUMNS, type Row } from './columns.js';
import { TABLES } from './entities.js';

const id = { type: DataTypes.CHAR(36) };
const text = { type: DataTypes.STRING };
const int = { type: DataTypes.INTEGER };
const num = { type: DataTypes.DOUBLE };
const flag = { type: DataTypes.BOOLEAN };
const at = { type: DataTypes.DATE(3) };

export type RowModel = ModelStatic<Model<Row, Row>>;

export type Models = Readonly<
  Record<
    | Entity
    | 'academy'
    | 'account'
    | 'membership'
    | 'session'
    | 'edit'
    | 'changeRecord'
    | 'wordUse'
    | 'invitation'
    | 'passwordReset'
    | 'letter'
    | 'foundingInvitation'
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
    Object.entries(TABLES).map(([entity, table]) => [entity, define(table, { ...own, ...COLUMNS[entity as Entity] })]),
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
      quotaBytes: { type: DataTypes.BIGINT },
      quotaAccounts: int,
      quotaUploads: int,
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
    foundingInvitation: define('founding_invitations', {
      tokenHash: { ...text, primaryKey: true },
      email: text,
      createdAt: at,
      expiresAt: at,
      spentAt: at,
    }),
    letter: define('letters', {
      id: { ...id, primaryKey: true },
      academyId: id,
      accountId: id,
      kind: text,
      aboutId: id,
      toEmail: text,
      subject: text,
      body: { type: DataTypes.TEXT },
      state: text,
      why: text,
      tries: int,
      dueAt: at,
      createdAt: at,
      endedAt: at,
      expiresAt: at,
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
    wordUse: define('word_uses', {
      academyId: { ...id, primaryKey: true },
      kind: { ...text, primaryKey: true },
      wordKey: { ...text, primaryKey: true },
      entity: { ...text, primaryKey: true },
      entityId: { ...id, primaryKey: true },
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
