import { Controller, Delete, Get, HttpCode, Inject, Param, Post } from '@nestjs/common';
import { uploadDone, uploadId, type UnderWay, type UploadDone } from '@odograph/core/contract';
import { Roles, CurrentSession } from '../doors/doors.js';
import type { Session } from '../doors/session.js';
import { CheckedBody, Says } from '../api/describe.js';
import { checked } from '../errors/checked.js';
import { JobsRepository } from '../queue/jobs.repository.js';
import { notFound } from '../errors/refused.js';
import { UploadsService } from './uploads.service.js';

@Controller()
export class UploadsController {
  constructor(
    @Inject(UploadsService) private readonly uploads: UploadsService,
    @Inject(JobsRepository) private readonly jobs: JobsRepository,
  ) {}

  @Says('Files on their way in, and jobs: waiting, running, failed, or ended a short while ago')
  @Roles('head', 'coach')
  @Get('under-way')
  async underWay(@CurrentSession() session: Session): Promise<UnderWay> {
    const [uploads, jobs] = await Promise.all([this.uploads.open(session), this.jobs.told(session.academyId)]);
    return { uploads, jobs };
  }

  @Says('Everything of a file has been sent: it is checked and read')
  @Post('uploads/:id/done')
  @HttpCode(204)
  done(
    @CurrentSession() session: Session,
    @Param('id') id: string,
    @CheckedBody(uploadDone) body: UploadDone,
  ): Promise<void> {
    return this.uploads.done(session, checked<string>(uploadId, id), body.sha256);
  }

  @Says('Takes an upload off the list; one that is still coming is given up')
  @Delete('uploads/:id')
  @HttpCode(204)
  forget(@CurrentSession() session: Session, @Param('id') id: string): Promise<void> {
    return this.uploads.forget(session, checked<string>(uploadId, id));
  }

  @Says('Ends a job')
  @Delete('jobs/:id')
  @HttpCode(204)
  async cancel(@CurrentSession() session: Session, @Param('id') id: string): Promise<void> {
    await this.mustKnow(session, id);
    await this.jobs.cancel(session.academyId, id);
  }

  @Says('Does a job once more that failed or was ended')
  @Post('jobs/:id/again')
  @HttpCode(204)
  async again(@CurrentSession() session: Session, @Param('id') id: string): Promise<void> {
    await this.mustKnow(session, id);
    await this.jobs.again(session.academyId, id);
  }

  private async mustKnow({ academyId }: Session, id: string): Promise<void> {
    if (!(await this.jobs.job(academyId, checked<string>(uploadId, id)))) throw notFound();
  }
}
