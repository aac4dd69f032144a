import { ConnectionError } from 'sequelize';

/** Whether something failed only because the database could not be reached, or went away in the middle of a query: another try may well succeed. */
export const isDatabaseAway = (error: unknown): boolean =>
  error instanceof ConnectionError ||
  // the server is on its way down, and so is its way to the database
  String((error as { message?: unknown } | null)?.message).includes('connection manager was closed') ||
  (error as { parent?: { fatal?: boolean } } | null)?.parent?.fatal === true;
