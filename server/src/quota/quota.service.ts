import { Inject, Injectable } from '@nestjs/common';
import type { Quota } from '@odograph/core/contract';
import { CONFIG, type Config } from '../config/config.js';
import type { AcademyId } from '../database/academyId.js';
import { Refused } from '../errors/refused.js';
import { QuotaRepository, type QuotaOf } from './quota.repository.js';

/** The most that an academy may have: its own limit, or the one for all. */
@Injectable()
export class QuotaService {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(QuotaRepository) private readonly quotas: QuotaRepository,
  ) {}

  async of(academyId: AcademyId, of: QuotaOf): Promise<Quota> {
    const { own, used } = await this.quotas.of(academyId, of);
    return { most: own ?? this.config.quota[of], used };
  }

  /** Refuses what would be more than an academy may have. */
  async mustHave(academyId: AcademyId, of: QuotaOf, more: number): Promise<void> {
    const { most, used } = await this.of(academyId, of);
    if (used + more > most) throw new Refused({ code: 'quota', facts: { of, most, used } });
  }
}
