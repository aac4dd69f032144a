import { mkdirSync } from 'node:fs';
import { statfs } from 'node:fs/promises';
import { Inject, Injectable } from '@nestjs/common';
import { CONFIG, type Config } from '../config/config.js';

/** How much room the disk with the media has left. */
@Injectable()
export class Room {
  constructor(@Inject(CONFIG) private readonly config: Config) {
    mkdirSync(config.dataDir, { recursive: true });
  }

  /** What uploads must leave free beside everything that is on its way, in bytes. */
  readonly keptFreeBytes = 500 * 2 ** 20;

  /** What uploads may take, in bytes. */
  async forUploadsBytes(): Promise<number> {
    return Math.max(0, (await this.freeBytes()) - this.keptFreeBytes);
  }

  async freeBytes(): Promise<number> {
    const { bavail, bsize } = await statfs(this.config.dataDir);
    return bavail * bsize;
  }
}
