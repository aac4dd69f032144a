/** What of an error goes into the log: never what somebody said. The texts of a database's errors hold the values of the query. */
export type Logged = {
  readonly type: string;
  readonly code?: string;
  readonly message?: string;
  readonly at: readonly string[];
};

const MOST_FRAMES = 8;

const isOfDatabase = (error: Error): boolean => ['parent', 'sqlState', 'sql'].some((name) => name in error);

export const logged = (error: unknown): Logged => {
  if (!(error instanceof Error)) return { type: typeof error, at: [] };
  const { code, parent } = error as { code?: unknown; parent?: { code?: unknown } };
  const known = code ?? parent?.code;
  return {
    type: error.name,
    ...(typeof known === 'string' ? { code: known } : {}),
    ...(isOfDatabase(error) ? {} : { message: error.message }),
    at: (error.stack ?? '')
      .split('\n')
      .filter((line) => /^\s+at /.test(line))
      .slice(0, MOST_FRAMES)
      .map((line) => line.trim()),
  };
};
