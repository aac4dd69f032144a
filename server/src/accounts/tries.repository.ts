import { createHash } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { QueryTypes, Sequelize } from 'sequelize';

/** How often something was tried in the present window, and how long that still lasts, in seconds. */
export type Tried = { readonly points: number; readonly leftS: number };

/** Tries of what may not be tried without end, counted in the database, so that several servers count as one. Who tried is kept as a hash. */
@Injectable()
export class TriesRepository {
  constructor(@Inject(Sequelize) private readonly sequelize: Sequelize) {}

  /** Counts one try under each key; in the order of the keys, what there is now. A window begins with its first try. */
  async count(keys: readonly string[], windowS: number): Promise<readonly Tried[]> {
    const hashes = keys.map(hashOf);
    const rows = await this.sequelize.query<{ hash: string; points: number; leftS: number }>(
      `INSERT INTO tries (key_hash, points, until_at) VALUES ${hashes.map(() => `(?, 1, UTC_TIMESTAMP(3) + INTERVAL ${windowS} SECOND)`).join(', ')}
       ON DUPLICATE KEY UPDATE points = IF(until_at <= UTC_TIMESTAMP(3), 1, points + 1),
         until_at = IF(until_at <= UTC_TIMESTAMP(3), VALUES(until_at), until_at)
       RETURNING key_hash AS hash, points, TIMESTAMPDIFF(SECOND, UTC_TIMESTAMP(3), until_at) + 1 AS leftS`,
      { type: QueryTypes.SELECT, replacements: hashes },
    );
    const byHash = new Map(rows.map((row) => [row.hash, row]));
    return hashes.map((hash) => byHash.get(hash)!);
  }

  /** Takes tries back that turned out well, and forgets those under `forgotten` altogether. */
  async giveBack(keys: readonly string[], forgotten: readonly string[]): Promise<void> {
    if (keys.length)
      await this.sequelize.query('UPDATE tries SET points = GREATEST(points, 1) - 1 WHERE key_hash IN (:hashes)', {
        replacements: { hashes: keys.map(hashOf) },
      });
    if (forgotten.length)
      await this.sequelize.query('DELETE FROM tries WHERE key_hash IN (:hashes)', {
        replacements: { hashes: forgotten.map(hashOf) },
      });
  }

  async clear(): Promise<void> {
    await this.sequelize.query('DELETE FROM tries WHERE until_at <= UTC_TIMESTAMP(3)');
  }
}

const hashOf = (key: string): string => createHash('sha256').update(key).digest('hex');
