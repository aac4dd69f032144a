import {
  original,
  type Middleware,
  type MiddlewareAPI,
  type ThunkDispatch,
  type UnknownAction,
} from '@reduxjs/toolkit';
import { requestOf, rowIdOf, seenVersion, type Library, type LibraryEdit } from '@odograph/core';
import type { Changed, Refusal } from '@odograph/core/contract';
import { libraryApi, mergeChanged, selectAccountId, selectServerLibrary } from '../server/index.js';
import { FAILED, answerOf, versionIn, type Answer } from './answers.js';
import type { Channel, ReplicaNews } from './channel.js';
import { ownStep, type EditStore, type KeptEdit } from './keptEdits.js';
import {
  editDone,
  editHeard,
  editQueued,
  editRefused,
  queueRead,
  refusalGone,
  refusalSettled,
  sendStatus,
  type RefusedEdit,
  type Settled,
} from './queue.slice.js';
import { selectPending, selectRefused, selectStatus, type ReplicaState } from './selectors.js';
import type { Turns } from './turns.js';

const RETRY_MS = 1500;
/** So often is an edit sent that the server fails at; then it is set aside, and those behind it go on. */
const FAILED_TRIES = 3;

/** What a window needs around it. */
export type Around = {
  readonly edits: EditStore;
  readonly turns: Turns;
  readonly channel: Channel;
  readonly wait: (ms: number) => Promise<void>;
  /** What an earlier version of the product kept elsewhere. */
  readonly before?: {
    readonly of: (accountId: string) => readonly LibraryEdit[];
    readonly forget: (accountId: string) => void;
  };
};

type Dispatch = ThunkDispatch<ReplicaState, unknown, UnknownAction>;
/** What a round of sending ended with: nothing is left, it is to be tried again, or somebody has to do something first. */
type Ended = 'empty' | 'later' | 'waiting';

/**
 * The edits of whoever works in this window, on their way to the server. What is done is shown at once (`selectLibrary`), kept in the browser's store, and sent in its turn:
 * one window of a browser sends at a time, one edit after the other, each known to be kept by the server before the next goes out. What the server does not take is set
 * aside with the reason until the person has decided. Windows of the same person tell each other.
 */
export class Replica {
  private api: MiddlewareAPI<Dispatch, ReplicaState> | undefined;
  private accountId: string | undefined;
  /** What is read and written of the store follows each other. */
  private writing: Promise<void> = Promise.resolve();
  /** Done here and not in the store yet. */
  private readonly unwritten = new Set<string>();
  /** What the server has judged, for this window or another: that it was done may be heard later. */
  private readonly judged = new Set<string>();
  /** Refusals about which the person has decided: that they were refused may be heard later. */
  private readonly settled = new Set<string>();
  private isSending = false;
  private isWoken = false;
  private isOver = false;
  private isCatchingUp = false;
  private readonly failures = new Map<string, number>();
  private readonly deaf: () => void;

  constructor(private readonly around: Around) {
    this.deaf = around.channel.hear((news) => this.onNews(news));
  }

  /** Resolves when all that was done so far is kept. */
  async kept(): Promise<void> {
    await this.writing;
  }

  /** The window is closed: nothing is sent or heard any more. */
  end(): void {
    this.isOver = true;
    this.deaf();
  }

  /** Follows what is done in the store that it is put into. */
  readonly middleware: Middleware<object, ReplicaState, Dispatch> = (api) => {
    this.api = api;
    return (next) => (action) => {
      const refused = refusalSettled.match(action)
        ? selectRefused(this.state).find((r) => r.edit.editId === action.payload.editId)
        : undefined;
      const result = next(action);
      this.follow(action, refused);
      return result;
    };
  };

  private get state(): ReplicaState {
    return this.api!.getState();
  }
  private dispatch(action: UnknownAction): void {
    if (!this.isOver) this.api!.dispatch(action);
  }

  private follow(action: unknown, refused: RefusedEdit | undefined): void {
    if (this.isOver) return;
    const accountId = selectAccountId(this.state);
    if (accountId !== undefined && accountId !== this.accountId) this.open(accountId);
    if (editQueued.match(action)) this.keep(action.payload);
    else if (refusalSettled.match(action)) this.settle(action.payload, refused?.why);
    else if (libraryApi.endpoints.library.matchFulfilled(action)) this.wake();
  }

  private write(work: () => Promise<void>): void {
    this.writing = this.writing.then(work).catch(() => undefined);
  }

  /** Somebody is here: what they had not sent yet is read. What they did before that was known comes behind it. */
  private open(accountId: string): void {
    const isOther = this.accountId !== undefined;
    this.accountId = accountId;
    if (isOther) this.dispatch(queueRead({ pending: [], refused: [] }));
    const { before } = this.around;
    const early = [...(before?.of(accountId) ?? []), ...selectPending(this.state)];
    this.write(async () => {
      for (const edit of early) await this.add(accountId, edit);
      before?.forget(accountId);
      await this.read(accountId);
      this.wake();
    });
  }

  /** What lies in the store is what waits; what was done meanwhile comes behind it. */
  private async read(accountId: string): Promise<void> {
    const before = new Set(selectPending(this.state).map((e) => e.editId));
    for (const editId of this.unwritten) before.delete(editId);
    const all = await this.around.edits.all(accountId);
    if (this.accountId !== accountId || this.isOver) return;
    const kept = all.filter(({ edit, why }) => !(why ? this.settled : this.judged).has(edit.editId));
    const known = new Set(kept.map(({ edit }) => edit.editId));
    const meanwhile = selectPending(this.state).filter((e) => !before.has(e.editId) && !known.has(e.editId));
    this.dispatch(
      queueRead({
        pending: [...kept.flatMap(({ edit, why }) => (why ? [] : [edit])), ...meanwhile],
        refused: kept.flatMap(({ edit, why }) => (why ? [{ edit, why }] : [])),
      }),
    );
  }

  private keep(edit: LibraryEdit): void {
    const { accountId } = this;
    this.unwritten.add(edit.editId);
    // before it is known who is here it waits; `open` keeps it
    if (accountId === undefined) return;
    // as it was seen when it was done, whatever comes until it is sent
    const base = this.seen(edit);
    this.write(async () => {
      await this.add(accountId, edit, base);
      this.around.channel.tell({ accountId, is: 'queued', edit });
      this.wake();
    });
  }

  private seen(edit: LibraryEdit): number | null {
    const library = selectServerLibrary(this.state);
    return library ? seenVersion(edit, library) : null;
  }

  private async add(accountId: string, edit: LibraryEdit, base = this.seen(edit)): Promise<void> {
    await this.around.edits.add(accountId, edit, base);
    this.unwritten.delete(edit.editId);
  }

  /** What is decided to be done instead goes out on what the refusal told of, not on the rows of this window, which may be behind it. */
  private settle({ editId, instead }: Settled, why: Refusal | undefined): void {
    const { accountId } = this;
    if (accountId === undefined) return;
    this.settled.add(editId);
    if (instead) this.unwritten.add(instead.editId);
    const base = instead && (why?.code === 'stale' ? why.facts.version : this.seen(instead));
    this.write(async () => {
      await this.around.edits.settle(editId, instead && { accountId, edit: instead, base });
      if (!instead) return;
      this.unwritten.delete(instead.editId);
      this.around.channel.tell({ accountId, is: 'queued', edit: instead });
      this.wake();
    });
    this.around.channel.tell({ accountId, is: 'settled', editId });
  }

  private onNews(news: ReplicaNews): void {
    if (this.isOver || news.accountId !== this.accountId) return;
    switch (news.is) {
      case 'queued':
        if (this.judged.has(news.edit.editId)) return;
        this.dispatch(editHeard(news.edit));
        // the window that it was done in may be gone before it has sent it
        return this.wake();
      case 'done':
        this.judged.add(news.editId);
        if (news.changed) this.layIn(news.changed);
        return this.dispatch(editDone(news.editId));
      case 'refused':
        this.judged.add(news.refused.edit.editId);
        if (!this.settled.has(news.refused.edit.editId)) this.dispatch(editRefused(news.refused));
        return;
      case 'settled':
        this.settled.add(news.editId);
        return this.dispatch(refusalGone(news.editId));
    }
  }

  /** What another window was answered. */
  private layIn(changed: Changed): void {
    const merge = libraryApi.util.updateQueryData('library', undefined, (draft): never => {
      const here: Library = original(draft as never) ?? draft;
      return Object.freeze(mergeChanged(here, changed)) as never;
    });
    void this.api!.dispatch(merge);
  }

  private wake(): void {
    this.isWoken = true;
    if (!this.isSending) void this.sending();
  }

  /** Sends as long as something waits. Whatever fails on the way, the next edit, or the next try, begins anew. */
  private async sending(): Promise<void> {
    this.isSending = true;
    try {
      while (this.isWoken && !this.isOver && this.accountId !== undefined) {
        this.isWoken = false;
        const { accountId } = this;
        if (!(await this.around.edits.first(accountId))) {
          if (selectPending(this.state).length) void this.catchUp(accountId);
          continue;
        }
        const ended = await this.around.turns(`odograph edits ${accountId}`, () => this.sendAll(accountId));
        if (ended === 'later') {
          await this.around.wait(RETRY_MS);
          this.isWoken = true;
        }
      }
    } catch {
      // the store or the locks of the browser gave way: nothing is lost, and it is tried again
      await this.around.wait(RETRY_MS);
      this.isWoken = true;
    } finally {
      this.isSending = false;
    }
    if (this.isOver) return;
    if (this.isWoken) void this.sending();
    else if (selectStatus(this.state) !== 'idle' && selectStatus(this.state) !== 'signed-out')
      this.dispatch(sendStatus('idle'));
  }

  /** Another window has sent what is shown here as waiting. That is told in a moment, with the rows; where it isn't, the rows are asked for. */
  private async catchUp(accountId: string): Promise<void> {
    if (this.isCatchingUp) return;
    this.isCatchingUp = true;
    await this.around.wait(RETRY_MS);
    this.isCatchingUp = false;
    const isDone = this.isOver || this.accountId !== accountId || !selectPending(this.state).length;
    if (isDone || (await this.around.edits.first(accountId).catch(() => undefined))) return;
    await this.askRows();
    await this.read(accountId).catch(() => undefined);
  }

  private async askRows(): Promise<void> {
    const anew = { forceRefetch: true, subscribe: false } as const;
    await this.api!.dispatch(libraryApi.endpoints.library.initiate(undefined, anew));
  }

  private async sendAll(accountId: string): Promise<Ended> {
    const { edits, channel } = this.around;
    for (;;) {
      const kept = this.accountId === accountId && !this.isOver ? await edits.first(accountId) : undefined;
      if (!kept) return 'empty';
      const { edit } = kept;
      const base = this.baseNow(kept);
      // it is sent as soon as the library is here
      if (!selectServerLibrary(this.state)) return 'waiting';
      if (selectStatus(this.state) !== 'unreachable') this.dispatch(sendStatus('sending'));
      const answer = await this.send(edit, base);
      if (this.isOver) return 'empty';
      if (answer.kind === 'signed out') {
        this.dispatch(sendStatus('signed-out'));
        return 'waiting';
      }
      if (answer.kind === 'unreachable' || (answer.kind === 'failed' && this.mayFailAgain(edit.editId))) {
        this.dispatch(sendStatus('unreachable'));
        return 'later';
      }
      this.failures.delete(edit.editId);
      this.judged.add(edit.editId);
      this.dispatch(sendStatus('sending'));
      if (answer.kind === 'done') {
        await edits.done(edit.editId, ownStep(edit, base, versionIn(answer.changed, rowIdOf(edit))));
        this.dispatch(editDone(edit.editId));
        channel.tell({ accountId, is: 'done', editId: edit.editId, changed: answer.changed });
      } else {
        const refused = { edit, why: answer.why };
        await edits.refuse(edit.editId, answer.why);
        this.dispatch(editRefused(refused));
        channel.tell({ accountId, is: 'refused', refused });
        await this.askRows();
      }
    }
  }

  private mayFailAgain(editId: string): boolean {
    const fails = (this.failures.get(editId) ?? 0) + 1;
    this.failures.set(editId, fails);
    return fails < FAILED_TRIES;
  }

  /** The version on which an edit goes out. Done before its row was here, it is taken as seen now; a word that was not there may be there now. */
  private baseNow({ edit, base }: KeptEdit): number | null {
    return edit.kind === 'word' ? base : (base ?? this.seen(edit));
  }

  private async send(edit: LibraryEdit, base: number | null): Promise<Answer> {
    try {
      const request = requestOf(edit, base);
      const sent = await this.api!.dispatch(libraryApi.endpoints.send.initiate(request, { track: false }));
      return sent.error ? answerOf(sent.error) : { kind: 'done', changed: sent.data };
    } catch {
      // an edit that can't even be put into a request: it is set aside, and those behind it go on
      return { kind: 'refused', why: FAILED };
    }
  }
}
