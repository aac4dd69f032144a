import { createReadStream } from 'node:fs';
import { readFile, readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import type { Library } from '@odograph/core';
import { libraryFile } from '@odograph/core/contract';
import { Sequelize, type Transaction } from 'sequelize';
import { v7 as newId } from 'uuid';
import { hashPassword } from '../accounts/tokens.js';
import { CONFIG, type Config } from '../config/config.js';
import type { Entity, Models, Row } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { fromAttempt, fromClip, fromControl, fromFile, fromReaction, fromReason } from '../library/library.mapper.js';
import { MediaStore } from '../media/mediaStore.js';
import { probe } from '../media/probe.js';

const AT_ONCE = 1000;

/** Takes in seeded libraries that wait in the data folder, each as an academy of its own, all of it or nothing. */
@Injectable()
export class SeededService {
  constructor(
    @Inject(MODELS) private readonly models: Models,
    @Inject(Sequelize) private readonly sequelize: Sequelize,
    @Inject(CONFIG) private readonly config: Config,
    @Inject(MediaStore) private readonly store: MediaStore,
  ) {}

  /** `footage`: the folder with the demo's videos, on which seeded footage lies. */
  async takeInWaiting(footage: string): Promise<void> {
    const folder = join(this.config.dataDir, 'waiting');
    const names = await readdir(folder).catch(() => []);
    for (const name of names.filter((n) => n.endsWith('.json')).sort()) {
      const path = join(folder, name);
      const read = libraryFile.validate(JSON.parse(await readFile(path, 'utf8')));
      if (read.error) throw new Error(`${name} is no library: ${read.error.message}`);
      await this.load(read.value, name.replace(/\.json$/, ''), footage);
      await rm(path);
    }
  }

  async load(library: Library, name: string, footage: string): Promise<void> {
    const { academy } = library;
    if (await this.models.academy.findOne({ where: { id: academy.id } })) return;
    for (const file of library.files) {
      const received = await this.store.receive(createReadStream(join(footage, file.name)));
      const read = await probe(received.path);
      if (!read.ok) throw new Error(`${file.name} is no video`);
      await this.store.keep(academy.id as never, file.id, received, read.probed.times);
    }
    const now = new Date();
    const passwordHash = await hashPassword('seeded-mat-5');
    await this.sequelize.transaction(async (transaction) => {
      await this.models.academy.create(
        { ...academy, createdAt: now, demoLoadedAt: now, libraryVersion: 1 },
        { transaction },
      );
      const accountId = newId();
      const email = `coach@${name.toLowerCase()}.example`;
      await this.models.account.create(
        { id: accountId, email, name: 'Seeded Coach', passwordHash, createdAt: now },
        { transaction },
      );
      const member = { academyId: academy.id, accountId, role: 'head', createdAt: now, removedAt: null };
      await this.models.membership.create(member, { transaction });
      await this.rows(library, now, transaction);
    });
  }

  private async rows(library: Library, now: Date, transaction: Transaction): Promise<void> {
    const kept = { academyId: library.academy.id, version: 1, createdAt: now, changedAt: now, deletedAt: null };
    const write = async (entity: Entity, rows: readonly Row[]): Promise<void> => {
      for (let i = 0; i < rows.length; i += AT_ONCE)
        await this.models[entity].bulkCreate(
          rows.slice(i, i + AT_ONCE).map((row) => ({ ...kept, ...row })),
          { transaction },
        );
    };
    const { attempts } = library;
    await write(
      'person',
      library.persons.map((p) => ({ ...p })),
    );
    await write(
      'file',
      library.files.map((f) => ({ id: f.id, ...fromFile(f) })),
    );
    await write(
      'footage',
      library.footage.map((f) => ({ ...f })),
    );
    await write(
      'angle',
      library.angles.map((a) => ({ ...a })),
    );
    await write(
      'word',
      library.wordChanges.map((c) => ({
        id: c.id,
        kind: c.kind,
        wordKey: c.key,
        name: c.name ?? null,
        hidden: c.hidden ?? false,
        definition: c.definition ?? null,
        scopeKind: 'academy',
        scopeId: null,
      })),
    );
    await write('attempt', attempts.map(fromAttempt));
    const below = <T extends { readonly id: string }>(
      list: (a: Library['attempts'][number]) => readonly T[],
      toRow: (item: T, ordinal: number) => Row,
    ): readonly Row[] =>
      attempts.flatMap((a) => list(a).map((item, i) => ({ id: item.id, attemptId: a.id, ...toRow(item, i) })));
    await write(
      'control',
      below((a) => a.controls, fromControl),
    );
    await write(
      'reaction',
      below((a) => a.reactions, fromReaction),
    );
    await write(
      'reason',
      below((a) => a.reasons, fromReason),
    );
    await write('clip', library.clips.map(fromClip));
  }
}
