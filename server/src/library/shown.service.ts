import { Inject, Injectable } from '@nestjs/common';
import { shownOf, type Shown } from '@odograph/core';
import type { AcademyId } from '../database/academyId.js';
import { LibraryRepository } from './library.repository.js';

type Kept = { readonly version: number; readonly shown: Shown };

/** What students of an academy may see, found out anew only where something that decides it has changed. */
@Injectable()
export class ShownService {
  private readonly kept = new Map<AcademyId, Kept>();

  constructor(@Inject(LibraryRepository) private readonly library: LibraryRepository) {}

  async of(academy: AcademyId): Promise<Shown> {
    const known = this.kept.get(academy);
    // asked first: what changes meanwhile is looked at once more the next time
    const version = await this.library.version(academy);
    if (known?.version === version) return known.shown;
    const isSame = known !== undefined && (await this.library.consentSince(academy, known.version)).isSame;
    const shown = isSame ? known.shown : shownOf(await this.library.whoIsWhere(academy));
    this.kept.set(academy, { version, shown });
    return shown;
  }
}
