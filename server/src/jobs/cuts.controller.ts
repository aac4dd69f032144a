import { basename, dirname } from 'node:path';
import { access } from 'node:fs/promises';
import { Controller, Get, HttpCode, Inject, Param, Post, Res } from '@nestjs/common';
import { newCut, uploadId, type NewCut } from '@odograph/core/contract';
import type { Response } from 'express';
import { CurrentSession, Roles } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { checked } from '../errors/checked.js';
import { notFound } from '../errors/refused.js';
import { MediaStore } from '../media/mediaStore.js';
import { JobsRepository } from '../queue/jobs.repository.js';

@Controller('cuts')
export class CutsController {
  constructor(
    @Inject(JobsRepository) private readonly jobs: JobsRepository,
    @Inject(MediaStore) private readonly store: MediaStore,
  ) {}

  @Says('Cuts clips out of their originals, one after the other as one video; a job does it')
  @Post()
  @HttpCode(204)
  create(@CurrentSession() session: Session, @CheckedBody(newCut) body: NewCut): Promise<void> {
    return this.jobs.add(session.academyId, 'cut', body.id, body);
  }

  @Says('The video of clips that were cut out, once it is made')
  @Roles('head', 'coach')
  @Get(':id')
  async video(@CurrentSession() session: Session, @Param('id') id: string, @Res() response: Response): Promise<void> {
    const wish = (await this.jobs.detail(session.academyId, 'cut', checked<string>(uploadId, id))) as
      NewCut | undefined;
    if (!wish) throw notFound();
    const path = this.store.cut(session.academyId, id, wish.format);
    await access(path).catch(() => {
      throw notFound();
    });
    response.type(wish.format === 'mp4' ? 'video/mp4' : 'video/webm');
    response.attachment(`clips.${wish.format}`);
    response.sendFile(basename(path), { root: dirname(path), headers: { 'Cache-Control': 'private, no-store' } });
  }
}
