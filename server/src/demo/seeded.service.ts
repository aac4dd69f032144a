import { createReadStream } from 'node:fs';
import { readFile, readdir, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { asKeptWord, type Entity, type Library, type RowOf } from '@odograph/core';
import { libraryFile } from '@odograph/core/contract';
import { QueryTypes } from 'sequelize';
import { v7 as newId } from 'uuid';
import { hashPassword } from '../accounts/passwords.js';
import { CONFIG, type Config } from '../config/config.js';
import type { AcademyId } from '../database/academyId.js';
import { usesOf } from '../changes/wordUses.js';
import { toRow } from '../database/columns.js';
import { TABLES } from '../database/entities.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { MediaStore } from '../media/mediaStore.js';
import { probe } from '../media/probe.js';

const AT_ONCE = 1000;

/** What became of a library that waited. */
export type TakenIn = 'taken in' | 'here already';

/**
 * Takes in seeded libraries that wait in the data folder, each as an academy of its own. A long one goes on where it was cut off: rows come in their order, a thousand at
 * a time, and somebody comes in only when all are there.
 */
@Injectable()
export class SeededService {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(CONFIG) private readonly config: Config,
    @Inject(MediaStore) private readonly store: MediaStore,
  ) {}

  /** `footage`: the folder with the demo's videos, on which seeded footage lies. `said` hears of each library. */
  async takeInWaiting(footage: string, said: (name: string, what: TakenIn) => void): Promise<void> {
    const folder = join(this.config.dataDir, 'waiting');
    const names = await readdir(folder).catch(() => []);
    for (const name of names.filter((n) => n.endsWith('.json')).sort()) {
      const path = join(folder, name);
      const read = libraryFile.validate(JSON.parse(await readFile(path, 'utf8')));
      if (read.error) throw new Error(`${name} is no library: ${read.error.message}`);
      const what = await this.load(read.value, name.replace(/\.json$/, ''), footage);
      said(name, what);
      // what is here under its id already may be another one: the file stays, and is looked at no more
      if (what === 'here already') await rename(path, `${path}.here-already`);
      else await rm(path);
    }
  }

  async load(library: Library, name: string, footage: string): Promise<TakenIn> {
    const { academy } = library;
    const known = await this.models.academy.findOne({ where: { id: academy.id } });
    if (known && known.get('demoLoadedAt') !== null) return 'here already';
    for (const file of library.files) {
      const received = await this.store.receive(createReadStream(join(footage, file.name)));
      const read = await probe(received.path);
      if (!read.ok) throw new Error(`${file.name} is no video`);
      await this.store.keep(academy.id as AcademyId, file.id, received, read.probed.times);
    }
    const now = new Date();
    if (!known) await this.models.academy.create({ ...academy, createdAt: now, demoLoadedAt: null, libraryVersion: 1 });
    await this.rows(library, now);
    await this.measured();
    const accountId = newId();
    const email = `coach@${name.toLowerCase()}.example`;
    const passwordHash = await hashPassword('seeded-mat-5');
    await this.models.account.sequelize!.transaction(async (transaction) => {
      await this.models.account.create(
        { id: accountId, email, name: 'Seeded Coach', passwordHash, createdAt: now },
        { transaction },
      );
      const member = { academyId: academy.id, accountId, role: 'head', createdAt: now, removedAt: null };
      await this.models.membership.create(member, { transaction });
      await this.models.academy.update({ demoLoadedAt: now }, { where: { id: academy.id }, transaction });
    });
    return 'taken in';
  }

  /** Has the database count its tables anew: after so many rows at once it would plan by what there was before. */
  private async measured(): Promise<void> {
    const tables = [...Object.values(TABLES), 'word_uses'];
    await this.models.academy.sequelize!.query(`ANALYZE TABLE ${tables.join(', ')}`, { type: QueryTypes.SELECT });
  }

  private async rows(library: Library, now: Date): Promise<void> {
    const academyId = library.academy.id;
    const kept = { academyId, version: 1, createdAt: now, changedAt: now, deletedAt: null };
    const write = async <E extends Entity>(entity: E, rows: readonly RowOf[E][]): Promise<void> => {
      // each thousand is there whole, with the words that it says, or not at all
      for (let i = await this.models[entity].count({ where: { academyId } }); i < rows.length; i += AT_ONCE) {
        const some = rows.slice(i, i + AT_ONCE).map((row) => ({ ...kept, id: row.id, ...toRow(entity, row) }));
        const uses = some.flatMap((row) =>
          [...usesOf(entity, row).values()].map((use) => ({ academyId, entity, entityId: row.id, ...use })),
        );
        await this.models.academy.sequelize!.transaction(async (transaction) => {
          await this.models[entity].bulkCreate(some, { transaction });
          await this.models.wordUse.bulkCreate(uses, { transaction });
        });
      }
    };
    await write('person', library.persons);
    await write('file', library.files);
    await write('footage', library.footage);
    await write('angle', library.angles);
    await write('word', library.wordChanges.map(asKeptWord));
    await write('attempt', library.attempts);
    await write('clip', library.clips);
  }
}
