import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { News } from '@odograph/core/contract';
import { AccountsRepository } from '../accounts/accounts.repository.js';
import type { Session } from '../doors/session.js';
import type { AcademyId } from '../database/academyId.js';
import { LibraryService } from '../library/library.service.js';
import { NewsRepository } from './news.repository.js';

/** How often the database is asked whether a library has changed, or a session has ended, while somebody listens, in ms. Both may happen in any process on it. */
const LOOK_MS = 400;
/** Answers that are kept for others who ask the same, and for how long, in ms. */
const KEPT = 500;
const KEPT_MS = 10_000;

/** Why a stream ends: the session is over, its role is another one, or the server stops. */
export type StreamEnd = 'signed-out' | 'role' | 'stopping';

export type Listener = {
  readonly session: Session;
  readonly tell: (version: number) => void;
  readonly end: (why: StreamEnd) => void;
};

type Answer = { readonly at: number; readonly news: Promise<News> };

/** Tells whoever listens that the library of their academy has a new version, and what has changed since one. */
@Injectable()
export class NewsService implements OnModuleDestroy {
  private readonly listeners = new Set<Listener>();
  private readonly told = new Map<Listener, number>();
  private readonly answers = new Map<string, Answer>();
  /** Versions as they were seen when it was last looked, and when that was. */
  private seen: ReadonlyMap<AcademyId, number> = new Map();
  private seenAt = 0;
  private timer: NodeJS.Timeout | null = null;

  constructor(
    @Inject(NewsRepository) private readonly news: NewsRepository,
    @Inject(LibraryService) private readonly library: LibraryService,
    @Inject(AccountsRepository) private readonly accounts: AccountsRepository,
  ) {}

  /** What changed since a version; with none, only which version it is now. */
  async since({ academyId, role }: Session, since: number | null): Promise<News> {
    const version = await this.versionOf(academyId, since);
    if (since === null || since >= version) return { version, whole: false, changed: null };
    const key = `${academyId} ${role === 'student' ? 'students' : 'coaches'} ${since} ${version}`;
    const known = this.answers.get(key);
    if (known && Date.now() - known.at < KEPT_MS) return known.news;
    const news = this.found(academyId, role === 'student', since, version);
    this.answers.set(key, { at: Date.now(), news });
    news.catch(() => this.answers.delete(key));
    for (const old of [...this.answers.keys()].slice(0, -KEPT)) this.answers.delete(old);
    return news;
  }

  /** The version of a library: as it was just seen, where that is newer than what somebody has, else as it is. */
  private async versionOf(academyId: AcademyId, since: number | null): Promise<number> {
    const seen = Date.now() - this.seenAt < 2 * LOOK_MS ? this.seen.get(academyId) : undefined;
    if (seen !== undefined && since !== null && seen > since) return seen;
    return (await this.news.versions([academyId])).get(academyId) ?? 0;
  }

  private async found(academyId: AcademyId, isStudents: boolean, since: number, version: number): Promise<News> {
    const touched = await this.news.touchedSince(academyId, since);
    const changed =
      touched &&
      (isStudents
        ? await this.library.changedForStudents(academyId, since, touched)
        : await this.library.changed(academyId, touched));
    return changed ? { version, whole: false, changed } : { version, whole: true, changed: null };
  }

  /** Tells the version now and whenever it is another one; gives what ends that. `end` is called when there is nothing more to tell. */
  listen(session: Session, tell: Listener['tell'], end: Listener['end']): () => void {
    const listener: Listener = { session, tell, end };
    this.listeners.add(listener);
    this.timer ??= setTimeout(() => void this.look(), 0);
    return () => this.leave(listener);
  }

  private leave(listener: Listener): void {
    this.listeners.delete(listener);
    this.told.delete(listener);
  }

  onModuleDestroy(): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    for (const { end } of this.listeners) end('stopping');
    this.listeners.clear();
  }

  private async look(): Promise<void> {
    try {
      if (this.listeners.size) await this.endThoseOver();
      const academies = [...new Set([...this.listeners].map((l) => l.session.academyId))];
      this.seen = academies.length ? await this.news.versions(academies) : new Map<AcademyId, number>();
      this.seenAt = Date.now();
      for (const listener of this.listeners) {
        const version = this.seen.get(listener.session.academyId);
        if (version === undefined || version === this.told.get(listener)) continue;
        this.told.set(listener, version);
        listener.tell(version);
      }
    } catch {
      // the database is away: looked for again, and nothing is missed, since versions only grow
    }
    if (this.timer !== null) this.timer = this.listeners.size ? setTimeout(() => void this.look(), LOOK_MS) : null;
  }

  /** Ends the streams of sessions that are over, that have gone to another academy, or whose role is another one. */
  private async endThoseOver(): Promise<void> {
    // those who come while the database is asked are looked at the next time
    const present = [...this.listeners];
    const roles = await this.accounts.rolesOf([...new Set(present.map((l) => l.session.id))], new Date());
    for (const listener of present) {
      const { id, academyId, role } = listener.session;
      const now = roles.get(id);
      if (now?.academyId === academyId && now.role === role) continue;
      this.leave(listener);
      listener.end(now ? 'role' : 'signed-out');
    }
  }
}
