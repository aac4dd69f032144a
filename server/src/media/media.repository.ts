import { Inject, Injectable } from '@nestjs/common';
import type { MediaFile } from '@odograph/core';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { toFile } from '../library/library.mapper.js';

@Injectable()
export class MediaRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  async file(academy: AcademyId, id: string): Promise<MediaFile | undefined> {
    const row = await this.models.file.findOne({ where: { academyId: academy, id, deletedAt: null } });
    return row ? toFile(row.get({ plain: true })) : undefined;
  }
}
