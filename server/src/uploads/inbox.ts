import { constants } from 'node:fs';
import { copyFile, lstat, mkdir, readFile, readdir, readlink, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { v7 as newId } from 'uuid';
import { CONFIG, type Config } from '../config/config.js';
import type { AcademyId } from '../database/academyId.js';
import { faultOfRefusal } from '../errors/faults.js';
import { Refused } from '../errors/refused.js';
import { JobsRepository } from '../queue/jobs.repository.js';
import { MediaStore } from '../media/mediaStore.js';
import { UploadsRepository } from './uploads.repository.js';
import { UploadsService } from './uploads.service.js';

/** A file that has not changed for so long, and that nobody holds open to write, is whole. */
const STILL_MS = 3000;
/** What programs call a file that they have not finished. */
const HALF = /(^\.)|(~$)|\.(part|partial|crdownload|download|tmp|temp|filepart)$/i;

/** Whether a process of this machine holds a file open for writing, as far as this process may see. */
const isBeingWritten = async (path: string): Promise<boolean> => {
  for (const pid of (await readdir('/proc').catch(() => [])).filter((name) => /^\d+$/.test(name)))
    for (const fd of await readdir(`/proc/${pid}/fd`).catch(() => [])) {
      if ((await readlink(`/proc/${pid}/fd/${fd}`).catch(() => '')) !== path) continue;
      const info = await readFile(`/proc/${pid}/fdinfo/${fd}`, 'utf8').catch(() => '');
      const flags = Number.parseInt(/^flags:\s*(\d+)/m.exec(info)?.[1] ?? '0', 8);
      if ((flags & (constants.O_WRONLY | constants.O_RDWR)) !== 0) return true;
    }
  return false;
};

/** A folder for each academy: video that is put there is taken in. It is copied and stays where it was put. */
@Injectable()
export class Inbox {
  private readonly seen = new Map<string, number>();

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(UploadsRepository) private readonly uploads: UploadsRepository,
    @Inject(UploadsService) private readonly service: UploadsService,
    @Inject(JobsRepository) private readonly jobs: JobsRepository,
    @Inject(MediaStore) private readonly store: MediaStore,
  ) {}

  folder(academyId: AcademyId): string {
    return join(this.config.dataDir, 'inbox', academyId);
  }

  /** Looks into every academy's folder once. `now` in milliseconds. */
  async look(now: number): Promise<void> {
    for (const academyId of await this.uploads.academies()) {
      const folder = this.folder(academyId);
      await mkdir(folder, { recursive: true });
      for (const entry of await readdir(folder, { withFileTypes: true }))
        if (entry.isFile() && !HALF.test(entry.name))
          await this.consider(academyId, join(folder, entry.name), entry.name, now);
    }
  }

  private async consider(academyId: AcademyId, path: string, name: string, now: number): Promise<void> {
    const found = await lstat(path).catch(() => undefined);
    if (!found?.isFile() || found.size === 0) return;
    const key = `${name}|${found.size}|${found.mtimeMs}`.slice(-500);
    const mark = `${academyId} ${key}`;
    const since = this.seen.get(mark) ?? now;
    this.seen.set(mark, since);
    if (now - since < STILL_MS) return;
    const known = await this.uploads.inbox(academyId, key);
    // what waits for room is tried again, whatever else is known has been dealt with
    if ((known && known.state !== 'coming') || (await isBeingWritten(path))) return;
    await this.takeIn(academyId, path, name, found.size, key, known?.id);
  }

  private async takeIn(
    academyId: AcademyId,
    path: string,
    name: string,
    sizeBytes: number,
    inboxKey: string,
    waiting: string | undefined,
  ): Promise<void> {
    const id = waiting ?? newId();
    const row = { academyId, id, accountId: null, name: name.slice(0, 255), sizeBytes, sha256: null, inboxKey };
    try {
      await this.service.mustFit(sizeBytes);
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      const why = faultOfRefusal(error.refusal);
      if (!waiting) await this.uploads.create({ ...row, source: 'inbox', state: 'coming', why });
      return;
    }
    await mkdir(this.store.passing()[0]!, { recursive: true });
    // shares the blocks where the file system can, else copies
    await copyFile(path, this.store.incoming(id), constants.COPYFILE_FICLONE);
    const isMine = waiting
      ? await this.uploads.begin(academyId, id)
      : await this.uploads.create({ ...row, source: 'inbox', state: 'reading', why: null });
    if (isMine) await this.jobs.add(academyId, 'read', id);
    else if (!waiting) await rm(this.store.incoming(id), { force: true });
  }
}
