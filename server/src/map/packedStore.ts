import { mkdir, readFile, readdir, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { CONFIG, type Config } from '../config/config.js';
import type { AcademyId } from '../database/academyId.js';

/** For whom rows are packed: students see other rows than those who log. */
export type Audience = 'coaches' | 'members';

/** Packed rows of whole libraries on the disk, each under the version of the library that it is of; only the newest of each is kept. */
@Injectable()
export class PackedStore {
  constructor(@Inject(CONFIG) private readonly config: Config) {}

  private folder(academy: AcademyId): string {
    return join(this.config.dataDir, 'packed', academy);
  }

  private async versions(academy: AcademyId, audience: Audience): Promise<readonly number[]> {
    const names = await readdir(this.folder(academy)).catch(() => [] as string[]);
    return names
      .flatMap((name) => new RegExp(`^${audience}-(\\d+)\\.gz$`).exec(name)?.[1] ?? [])
      .map(Number)
      .sort((a, b) => b - a);
  }

  /** The newest that is there, not newer than a version; undefined where there is none. */
  async newest(
    academy: AcademyId,
    audience: Audience,
    upTo: number,
  ): Promise<{ readonly version: number; readonly bytes: Buffer } | undefined> {
    const version = (await this.versions(academy, audience)).find((v) => v <= upTo);
    if (version === undefined) return undefined;
    const bytes = await readFile(join(this.folder(academy), `${audience}-${version}.gz`)).catch(() => undefined);
    return bytes && { version, bytes };
  }

  async put(academy: AcademyId, audience: Audience, version: number, bytes: Uint8Array): Promise<void> {
    const path = join(this.folder(academy), `${audience}-${version}.gz`);
    await mkdir(this.folder(academy), { recursive: true });
    await writeFile(`${path}.part`, bytes);
    await rename(`${path}.part`, path);
    for (const old of (await this.versions(academy, audience)).slice(1))
      await rm(join(this.folder(academy), `${audience}-${old}.gz`), { force: true });
  }
}
