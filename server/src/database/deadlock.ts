const DEADLOCK = 'ER_LOCK_DEADLOCK';
/** What the database says of something that was in another's way, or waited for a lock until it gave up. */
export const IN_THE_WAY: readonly string[] = [DEADLOCK, 'ER_LOCK_WAIT_TIMEOUT'];

/**
 * Runs a transaction again after a deadlock: two that get into each other's way are no fault, the database has one of them begin anew. Anything else that
 * goes wrong (`codes` says after what it is run again), and a deadlock after so many tries, is thrown.
 */
export const patiently = async <T>(
  run: () => Promise<T>,
  mostTries = 5,
  codes: readonly string[] = [DEADLOCK],
): Promise<T> => {
  for (let tries = 1; ; tries++) {
    try {
      return await run();
    } catch (error) {
      const { code } = (error as { parent?: { code?: string } }).parent ?? {};
      if (!codes.includes(code ?? '') || tries === mostTries) throw error;
    }
  }
};
