import { Inject, Injectable } from '@nestjs/common';
import { UploadsService } from '../uploads/uploads.service.js';
import { Cuts } from './cuts.js';
import type { Claimed } from '../queue/jobs.repository.js';
import { Prepare } from './prepare.js';
import { type AtWork } from '../queue/atWork.js';

/** What is done for each kind of job. */
@Injectable()
export class Handlers {
  constructor(
    @Inject(Prepare) private readonly prepare: Prepare,
    @Inject(UploadsService) private readonly uploads: UploadsService,
    @Inject(Cuts) private readonly cuts: Cuts,
  ) {}

  do({ academyId, kind, subjectId }: Claimed, work: AtWork): Promise<void> {
    switch (kind) {
      case 'read':
        return this.uploads.read(academyId, subjectId, work);
      case 'proxy':
        return this.prepare.proxy(academyId, subjectId, work);
      case 'look':
        return this.prepare.look(academyId, subjectId, work);
      case 'sound':
        return this.prepare.sound(academyId, subjectId, work);
      case 'stills':
        return this.prepare.stills(academyId, subjectId, work);
      case 'cut':
        return this.cuts.cut(academyId, subjectId, work);
    }
  }
}
