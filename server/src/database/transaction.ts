/** A transaction that a repository has begun and others take part in. */
export type { Transaction } from 'sequelize';
