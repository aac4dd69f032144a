import { QueryTypes, type Sequelize } from 'sequelize';

/** Runs something while nobody else on the database runs anything under the same name; undefined where the turn did not come within so many seconds. */
export const inTurn = <T>(
  sequelize: Sequelize,
  what: string,
  seconds: number,
  use: () => Promise<T>,
): Promise<{ readonly done: T } | undefined> =>
  // a lock of the database belongs to a connection: the transaction holds one, which is used for nothing else
  sequelize.transaction(async (transaction) => {
    const name = `odograph ${what} ${sequelize.getDatabaseName()}`.slice(0, 64);
    const ask = (sql: string): Promise<{ got: number | bigint | null }[]> =>
      sequelize.query(sql, { type: QueryTypes.SELECT, replacements: { name, seconds }, transaction });
    const [row] = await ask('SELECT GET_LOCK(:name, :seconds) AS got');
    if (Number(row?.got) !== 1) return undefined;
    try {
      return { done: await use() };
    } finally {
      await ask('SELECT RELEASE_LOCK(:name) AS got');
    }
  });
