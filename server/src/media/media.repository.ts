import { isForAcademy, type Fault, type MediaFile } from '@odograph/core';
import type { JobKind } from '@odograph/core/contract';
import { Inject, Injectable } from '@nestjs/common';
import type { Model } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import { fromRow } from '../database/columns.js';
import type { Models } from '../database/models.js';
import { readFault } from '../errors/faults.js';
import { MODELS } from '../database/tokens.js';

@Injectable()
export class MediaRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  async file(academy: AcademyId, id: string): Promise<MediaFile | undefined> {
    const row = await this.models.file.findOne({ where: { academyId: academy, id, deletedAt: null } });
    return row ? fromRow('file', row.get({ plain: true })) : undefined;
  }

  /** Sets how many frames a file has, and with it where whole-file angles end; false where clips stand on the file already. */
  async setFrames(academy: AcademyId, id: string, before: number, frames: number, endPts: number): Promise<boolean> {
    const angles = await this.models.angle.findAll({ where: { academyId: academy, fileId: id } });
    const angleIds = angles.map((a) => a.get('id') as string);
    if (await this.models.clip.count({ where: { academyId: academy, angleId: angleIds } })) return false;
    await this.models.angle.update(
      { toFrame: frames, toPts: endPts },
      { where: { academyId: academy, fileId: id, toFrame: before } },
    );
    await this.models.file.update({ frames, playable: false }, { where: { academyId: academy, id } });
    return true;
  }

  /** Why the job of a kind for a file failed; null where it has not. */
  async faultOf(academy: AcademyId, fileId: string, kind: JobKind): Promise<Fault | null> {
    const row = await this.models.job.findOne({
      where: { academyId: academy, kind, subjectId: fileId, state: 'failed' },
    });
    return row ? readFault(row.get('why')) : null;
  }

  /** Puts the jobs of some kinds for a file in line once more, however they ended. */
  async remake(academy: AcademyId, fileId: string, kinds: readonly JobKind[]): Promise<void> {
    await this.models.job.update(
      { state: 'waiting', tries: 0, progress: 0, why: null, endedAt: null, worker: null, leaseUntil: null },
      { where: { academyId: academy, subjectId: fileId, kind: [...kinds] } },
    );
  }

  async all(): Promise<readonly { readonly academyId: AcademyId; readonly file: MediaFile }[]> {
    const rows = await this.models.file.findAll();
    return rows.map((row) => ({
      academyId: row.get('academyId') as AcademyId,
      file: fromRow('file', row.get({ plain: true })),
    }));
  }

  async isShown(academy: AcademyId, id: string): Promise<boolean> {
    return (await this.models.angle.count({ where: { academyId: academy, fileId: id } })) > 0;
  }

  async sameAs(academy: AcademyId, sha256: string): Promise<MediaFile | undefined> {
    const row = await this.models.file.findOne({
      where: { academyId: academy, sha256, deletedAt: null },
      order: [['createdAt', 'ASC']],
    });
    return row ? fromRow('file', row.get({ plain: true })) : undefined;
  }

  /** Whether all footage that a file shows may be shown to the whole academy: the file goes out whole. */
  async isForAcademy(academy: AcademyId, id: string): Promise<boolean> {
    const angles = await this.models.angle.findAll({ where: { academyId: academy, fileId: id, deletedAt: null } });
    const ids = [...new Set(angles.map((angle) => angle.get('footageId') as string))];
    const footage = await this.models.footage.findAll({ where: { academyId: academy, id: ids, deletedAt: null } });
    for (const one of footage) if (!(await this.isFootageForAcademy(academy, one))) return false;
    return footage.length > 0;
  }

  private async isFootageForAcademy(academy: AcademyId, footage: Model): Promise<boolean> {
    if (footage.get('audience') !== 'academy') return false;
    const ids = [footage.get('athleteA') as string, footage.get('athleteB') as string];
    const athletes = await this.models.person.findAll({ where: { academyId: academy, id: ids } });
    return athletes.length === 2 && athletes.every((a) => isForAcademy(fromRow('person', a.get({ plain: true }))));
  }
}
