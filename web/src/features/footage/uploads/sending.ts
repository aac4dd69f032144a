import type { Refusal } from '@odograph/core/contract';
import type { DetailedError, Upload } from 'tus-js-client';
import { v7 as newId } from 'uuid';
import { hashOf } from '../../../workers/hash.client.js';
import { refusalText } from '../../library/index.js';
import { Rate } from './rate.js';

/** One file that this page is sending. */
export type Sending = {
  readonly id: string;
  readonly name: string;
  readonly sizeBytes: number;
  readonly sent: number;
  /** Bytes per second; undefined while that is not known. */
  readonly rate: number | undefined;
  readonly state: 'waiting' | 'sending' | 'paused' | 'no connection' | 'checking' | 'sent' | 'refused';
  readonly why: string;
};

/** An upload that the server knows and that has not all arrived. */
export type Begun = { readonly id: string; readonly name: string; readonly sizeBytes: number };

const AT_ONCE = 2;
/** In pieces, so that what stands between page and server never has to hold a large one. */
const PIECE_BYTES = 16 * 2 ** 20;
const AGAIN_MS = 2000;

type Task = {
  readonly file: File;
  upload: Upload | undefined;
  readonly rate: Rate;
  view: Sending;
  isResumed: boolean;
  hash: Promise<string> | undefined;
};

/** What the server answered, where it did. */
const answerOf = (error: Error | DetailedError): DetailedError['originalResponse'] =>
  'originalResponse' in error ? error.originalResponse : null;

const bodyOf = (error: Error): Refusal | undefined => {
  try {
    return JSON.parse(answerOf(error)?.getBody() ?? '') as Refusal;
  } catch {
    return undefined;
  }
};

/** Whether trying again later can help: nobody answered, or somebody who is not well. */
const isPassing = (error: Error): boolean => {
  const status = answerOf(error)?.getStatus() ?? 0;
  return status === 0 || status >= 500 || status === 423;
};

/**
 * Sends files by tus, two at a time, the others in their order. A file whose name and size the server has begun already goes on where it broke off; a lost
 * connection is tried again until it is there. Lives as long as the page, whichever screen is shown.
 */
export class Sender {
  private tasks: readonly Task[] = [];
  private views: readonly Sending[] = [];
  private readonly hearers = new Set<() => void>();
  /** Told when the server has something new to say of its uploads. */
  onChange: () => void = () => undefined;

  readonly subscribe = (hear: () => void): (() => void) => {
    this.hearers.add(hear);
    return () => this.hearers.delete(hear);
  };
  readonly snapshot = (): readonly Sending[] => this.views;

  /** Adds files; gives their ids. */
  add(files: readonly File[], begun: readonly Begun[]): readonly string[] {
    const here = new Set(this.tasks.map((t) => t.view.id));
    const added = files.map((file): Task => {
      const known = begun.find((b) => b.name === file.name && b.sizeBytes === file.size && !here.has(b.id));
      const id = known?.id ?? newId();
      here.add(id);
      return {
        file,
        upload: undefined,
        rate: new Rate(),
        isResumed: known !== undefined,
        hash: undefined,
        view: { id, name: file.name, sizeBytes: file.size, sent: 0, rate: undefined, state: 'waiting', why: '' },
      };
    });
    this.tasks = [...this.tasks, ...added];
    this.tell();
    this.go();
    return added.map((t) => t.view.id);
  }

  pause(id: string): void {
    const task = this.task(id);
    if (!task) return;
    void task.upload?.abort();
    task.rate.forget();
    this.set(task, { state: 'paused', rate: undefined });
    this.go();
  }

  resume(id: string): void {
    const task = this.task(id);
    if (!task) return;
    this.set(task, { state: 'waiting' });
    this.go();
  }

  /** Takes a file off the list; what the server has of it is the server's. */
  drop(id: string): void {
    void this.task(id)?.upload?.abort();
    this.tasks = this.tasks.filter((t) => t.view.id !== id);
    this.tell();
    this.go();
  }

  private task(id: string): Task | undefined {
    return this.tasks.find((t) => t.view.id === id);
  }

  private set(task: Task, change: Partial<Sending>): void {
    task.view = { ...task.view, ...change };
    this.tell();
  }

  private tell(): void {
    this.views = this.tasks.map((t) => t.view);
    for (const hear of this.hearers) hear();
  }

  private go(): void {
    const running = this.tasks.filter((t) => ['sending', 'no connection', 'checking'].includes(t.view.state)).length;
    for (const task of this.tasks.filter((t) => t.view.state === 'waiting').slice(0, Math.max(0, AT_ONCE - running)))
      void this.send(task);
  }

  private async send(task: Task): Promise<void> {
    task.hash ??= hashOf(task.file);
    // what went wrong with it is told where it is waited for
    task.hash.catch(() => undefined);
    this.set(task, { state: 'sending', why: '' });
    task.upload ??= await this.uploadOf(task);
    // paused, or given up, while what sends was still being fetched
    if (task.view.state === 'sending' && this.tasks.includes(task)) task.upload.start();
  }

  private async uploadOf(task: Task): Promise<Upload> {
    const { id, name } = task.view;
    // fetched with the first file that is sent: most who open the shelf send none
    const { Upload: Sends } = await import('tus-js-client');
    return new Sends(task.file, {
      ...(task.isResumed ? { uploadUrl: `/api/incoming/${id}` } : { endpoint: '/api/incoming' }),
      metadata: { id, name },
      chunkSize: PIECE_BYTES,
      retryDelays: null,
      storeFingerprintForResuming: false,
      onProgress: (sent) => this.set(task, { state: 'sending', sent, rate: task.rate.note(performance.now(), sent) }),
      onUploadUrlAvailable: () => {
        task.isResumed = true;
        this.onChange();
      },
      onSuccess: () => void this.finish(task),
      onError: (error) => this.failed(task, error),
    });
  }

  private failed(task: Task, error: Error): void {
    task.rate.forget();
    if (task.view.state === 'paused' || !this.tasks.includes(task)) return;
    const why = bodyOf(error);
    if (isPassing(error)) {
      this.set(task, { state: 'no connection', rate: undefined, why: why ? refusalText(why) : '' });
      setTimeout(() => {
        if (task.view.state === 'no connection' && this.tasks.includes(task)) void this.send(task);
      }, AGAIN_MS);
      return;
    }
    this.set(task, { state: 'refused', why: why ? refusalText(why) : 'The server would not take it.' });
    this.go();
  }

  /** Says that all of it has been sent, and what its hash is; again until the server has heard it. */
  private async finish(task: Task): Promise<void> {
    this.set(task, { state: 'checking', sent: task.view.sizeBytes, rate: undefined });
    try {
      const sha256 = await task.hash!;
      for (;;) {
        const answer = await fetch(`/api/uploads/${task.view.id}/done`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ sha256 }),
        }).catch(() => undefined);
        if (answer && answer.status < 500) {
          if (answer.ok) break;
          this.set(task, { state: 'refused', why: refusalText((await answer.json()) as Refusal) });
          this.go();
          return;
        }
        await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
      }
      this.set(task, { state: 'sent' });
    } catch {
      this.set(task, { state: 'refused', why: 'The file could not be read to its end; is it still where it was?' });
    }
    this.onChange();
    this.go();
  }
}

/** The one sender of this page. */
export const sender = new Sender();
