/**
 * Runs a transaction again after a deadlock: two that get into each other's way are no fault, the database has one of them begin anew. Anything else that
 * goes wrong, and a deadlock after so many tries, is thrown.
 */
export const patiently = async <T>(run: () => Promise<T>, mostTries = 5): Promise<T> => {
  for (let tries = 1; ; tries++) {
    try {
      return await run();
    } catch (error) {
      const { code } = (error as { parent?: { code?: string } }).parent ?? {};
      if (code !== 'ER_LOCK_DEADLOCK' || tries === mostTries) throw error;
    }
  }
};
