import { ConnectionError } from 'sequelize';

/** Whether something failed only because the database could not be reached, or went away in the middle of a query: another try may well succeed. */
export const isDatabaseAway = (error: unknown): boolean =>
  error instanceof ConnectionError || (error as { parent?: { fatal?: boolean } }).parent?.fatal === true;
