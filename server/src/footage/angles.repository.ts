import { Inject, Injectable } from '@nestjs/common';
import { Op, type Transaction } from 'sequelize';
import type { AcademyId } from '../database/academyId.js';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';

@Injectable()
export class AnglesRepository {
  constructor(@Inject(MODELS) private readonly models: Models) {}

  async isFootage(academyId: AcademyId, id: string): Promise<boolean> {
    return (await this.models.footage.count({ where: { academyId, id, deletedAt: null } })) > 0;
  }

  /** How many clips that are cut from an angle, or attempts that are told on it, reach outside of its frames [from, to). */
  async outside(
    academyId: AcademyId,
    angleId: string,
    from: number,
    to: number,
    transaction: Transaction | null = null,
  ): Promise<number> {
    const here = { academyId, angleId, deletedAt: null };
    // one after the other, as a transaction asks
    const clips = await this.models.clip.count({
      where: { ...here, [Op.or]: [{ inFrame: { [Op.lt]: from } }, { outFrame: { [Op.gt]: to } }] },
      transaction,
    });
    const attempts = await this.models.attempt.count({
      where: { ...here, [Op.or]: [{ startFrame: { [Op.lt]: from } }, { endFrame: { [Op.gt]: to } }] },
      transaction,
    });
    return clips + attempts;
  }

  /** What an angle is needed for: how many other angles its footage has (undefined where the angle is not there), and what is cut from or told on it. */
  async use(
    academyId: AcademyId,
    angleId: string,
  ): Promise<{ readonly others: number | undefined; readonly cut: number }> {
    const angle = await this.models.angle.findOne({ where: { academyId, id: angleId, deletedAt: null } });
    const others =
      angle &&
      (await this.models.angle.count({
        where: { academyId, footageId: angle.get('footageId') as string, deletedAt: null, id: { [Op.ne]: angleId } },
      }));
    return { others: others ?? undefined, cut: await this.outside(academyId, angleId, 0, 0) };
  }
}
