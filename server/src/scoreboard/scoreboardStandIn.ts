import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import type { ClockAnchor } from '@odograph/core';
import { CONFIG, type Config } from '../config/config.js';
import type { AcademyId } from '../database/academyId.js';
import type { Scoreboard } from './scoreboard.js';

/** Stands in for the scoreboards of halls: what they showed lies as a file for each footage, written when the demo is loaded. */
@Injectable()
export class ScoreboardStandIn implements Scoreboard {
  constructor(@Inject(CONFIG) private readonly config: Config) {}

  private folder(academyId: AcademyId): string {
    return join(this.config.dataDir, 'scoreboards', academyId);
  }

  async keep(academyId: AcademyId, footageId: string, readings: readonly ClockAnchor[]): Promise<void> {
    await mkdir(this.folder(academyId), { recursive: true });
    await writeFile(join(this.folder(academyId), `${footageId}.json`), JSON.stringify(readings));
  }

  async readings(academyId: AcademyId, footageId: string): Promise<readonly ClockAnchor[] | undefined> {
    const text = await readFile(join(this.folder(academyId), `${footageId}.json`), 'utf8').catch(() => undefined);
    return text === undefined ? undefined : (JSON.parse(text) as readonly ClockAnchor[]);
  }
}
