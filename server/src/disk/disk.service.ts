import { Inject, Injectable } from '@nestjs/common';
import type { DiskUse, FileUse } from '@odograph/core/contract';
import type { Session } from '../doors/session.js';
import type { AcademyId } from '../database/academyId.js';
import { Refused } from '../errors/refused.js';
import { JobsRepository } from '../queue/jobs.repository.js';
import { MediaService } from '../media/media.service.js';
import { MediaStore } from '../media/mediaStore.js';
import { QuotaService } from '../quota/quota.service.js';
import { UploadsRepository } from '../uploads/uploads.repository.js';
import { UploadsService } from '../uploads/uploads.service.js';
import { DiskRepository, type FileOnDisk } from './disk.repository.js';

/** What media take on the disk, and giving room back by deleting what can be made again. */
@Injectable()
export class DiskService {
  constructor(
    @Inject(DiskRepository) private readonly disk: DiskRepository,
    @Inject(MediaStore) private readonly store: MediaStore,
    @Inject(MediaService) private readonly media: MediaService,
    @Inject(JobsRepository) private readonly jobs: JobsRepository,
    @Inject(UploadsRepository) private readonly uploads: UploadsRepository,
    @Inject(UploadsService) private readonly incoming: UploadsService,
    @Inject(QuotaService) private readonly quota: QuotaService,
  ) {}

  async use(academyId: AcademyId): Promise<DiskUse> {
    const [files, cutsBytes, coming, freeBytes, bytes, uploads] = await Promise.all([
      this.disk.files(academyId),
      this.store.cutsBytes(academyId),
      this.uploads.open(academyId),
      this.incoming.freeBytes(),
      this.quota.of(academyId, 'bytes'),
      this.quota.of(academyId, 'uploads'),
    ]);
    const incoming = await Promise.all(coming.map(({ id }) => this.store.incomingBytes(id)));
    return {
      files: await Promise.all(files.map((file) => this.useOf(academyId, file))),
      cutsBytes,
      comingBytes: incoming.reduce((sum, bytes) => sum + bytes, 0),
      freeBytes,
      bytes,
      uploads,
      inbox: `inbox/${academyId}`,
    };
  }

  private async useOf(academyId: AcademyId, { proxyState, ...file }: FileOnDisk): Promise<FileUse> {
    const [sizes, isThinned] = await Promise.all([
      this.store.sizes(academyId, file.id),
      this.store.isThinned(academyId, file.id),
    ]);
    return { ...file, ...sizes, isThinned, mayThin: proxyState === 'done' && !isThinned };
  }

  /** Deletes what was made of a file for stepping, with its stills. The original is not touched, and all of it can be made again. */
  async thin(academyId: AcademyId, fileId: string): Promise<void> {
    await this.media.require(academyId, fileId);
    // first the word that it is not to be made again by itself, then the files: cut short between, they only lie there
    if (!(await this.jobs.putOff(academyId, 'proxy', fileId, ['look', 'stills'])))
      throw new Refused({ code: 'in-use', facts: { by: 'jobs', count: 1 } });
    await this.store.thin(academyId, fileId);
  }

  /** Makes a file ready for stepping again that was thinned, for whoever may see it; nothing where it is so or is being made so. */
  async prepare(session: Session, fileId: string): Promise<void> {
    const { academyId } = session;
    await this.media.requireFor(session, fileId);
    if (!(await this.store.isMade(academyId, fileId, 'proxy.mp4'))) await this.jobs.resume(academyId, 'proxy', fileId);
  }
}
