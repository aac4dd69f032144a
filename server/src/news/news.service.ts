import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { News } from '@odograph/core/contract';
import type { Session } from '../accounts/session.js';
import type { AcademyId } from '../database/academyId.js';
import { LibraryService } from '../library/library.service.js';
import { NewsRepository } from './news.repository.js';

/** How often the database is asked whether a library has changed while somebody listens, in ms. Edits may come from any process on it. */
const LOOK_MS = 400;

type Listener = { readonly academyId: AcademyId; readonly tell: (version: number) => void; readonly end: () => void };

/** Tells whoever listens that the library of their academy has a new version, and what has changed since one. */
@Injectable()
export class NewsService implements OnModuleDestroy {
  private readonly listeners = new Set<Listener>();
  private readonly told = new Map<Listener, number>();
  private timer: NodeJS.Timeout | null = null;

  constructor(
    @Inject(NewsRepository) private readonly news: NewsRepository,
    @Inject(LibraryService) private readonly library: LibraryService,
  ) {}

  /** What changed since a version; with none, only which version it is now. Students see what people agreed to, so for them the library is read anew. */
  async since(session: Session, since: number | null): Promise<News> {
    // asked first: what changes meanwhile is told once more the next time
    const version = (await this.news.versions([session.academyId])).get(session.academyId) ?? 0;
    if (since === null || since >= version) return { version, whole: false, changed: null };
    const touched = session.role === 'student' ? undefined : await this.news.touchedSince(session.academyId, since);
    if (!touched) return { version, whole: true, changed: null };
    return { version, whole: false, changed: await this.library.changed(session.academyId, touched) };
  }

  /** Tells the version now and whenever it is another one; gives what ends that. `end` is called when the server stops. */
  listen(academyId: AcademyId, tell: (version: number) => void, end: () => void): () => void {
    const listener: Listener = { academyId, tell, end };
    this.listeners.add(listener);
    this.timer ??= setTimeout(() => void this.look(), 0);
    return () => {
      this.listeners.delete(listener);
      this.told.delete(listener);
    };
  }

  onModuleDestroy(): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    for (const { end } of this.listeners) end();
    this.listeners.clear();
  }

  private async look(): Promise<void> {
    const academies = [...new Set([...this.listeners].map((l) => l.academyId))];
    try {
      const versions = academies.length ? await this.news.versions(academies) : new Map<AcademyId, number>();
      for (const listener of this.listeners) {
        const version = versions.get(listener.academyId);
        if (version === undefined || version === this.told.get(listener)) continue;
        this.told.set(listener, version);
        listener.tell(version);
      }
    } catch {
      // the database is away: looked for again, and nothing is missed, since versions only grow
    }
    if (this.timer !== null) this.timer = this.listeners.size ? setTimeout(() => void this.look(), LOOK_MS) : null;
  }
}
