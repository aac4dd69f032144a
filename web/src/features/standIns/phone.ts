import type { Upload } from 'tus-js-client';
import { v7 as newId } from 'uuid';
import { hashOf } from '../../workers/hash.client.js';

/** A made-up phone: what it does right now. `sent` is 0–1. */
export type PhoneView = {
  readonly state: 'idle' | 'filming' | 'sending' | 'without connection' | 'sent' | 'failed';
  readonly sent: number;
};

const PIECES = 12;
/** Where the connection is lost, when it is to be. */
const LOST_AT = 0.5;

/**
 * Stands in for a phone at the mat: it films a bout and sends the file in pieces by the same protocol that a real one would use, also with the connection
 * lost on the way. What it has filmed it keeps, so it goes on from where it was.
 */
export class Phone {
  private view: PhoneView = { state: 'idle', sent: 0 };
  private readonly hearers = new Set<() => void>();
  private upload: Upload | undefined;
  private losesConnection = false;

  constructor(
    private readonly which: 'first' | 'second',
    private readonly onChange: () => void,
  ) {}

  readonly subscribe = (hear: () => void): (() => void) => {
    this.hearers.add(hear);
    return () => this.hearers.delete(hear);
  };
  readonly snapshot = (): PhoneView => this.view;

  private set(change: Partial<PhoneView>): void {
    this.view = { ...this.view, ...change };
    for (const hear of this.hearers) hear();
  }

  async filmAndSend(losesConnection: boolean): Promise<void> {
    this.losesConnection = losesConnection;
    this.set({ state: 'filming', sent: 0 });
    try {
      const answer = await fetch(`/api/stand-ins/phones/${this.which}`);
      if (!answer.ok) throw new Error('it has not filmed');
      const film = await answer.blob();
      const { Upload: Sends } = await import('tus-js-client');
      const id = newId();
      const name = `phone-${this.which}.${film.type.includes('quicktime') ? 'mov' : 'mp4'}`;
      this.upload = new Sends(film, {
        endpoint: '/api/incoming',
        metadata: { id, name },
        chunkSize: Math.ceil(film.size / PIECES),
        retryDelays: [500, 1000, 2000],
        storeFingerprintForResuming: false,
        onChunkComplete: (_size, sent) => this.onPiece(sent / film.size),
        onSuccess: () => void this.finish(id, film),
        onError: () => this.set({ state: 'failed' }),
      });
      this.goOn();
    } catch {
      this.set({ state: 'failed' });
    }
  }

  /** Sends on from where the server has it. */
  goOn(): void {
    this.set({ state: 'sending' });
    this.upload?.start();
  }

  private onPiece(sent: number): void {
    this.set({ sent });
    if (!this.losesConnection || sent < LOST_AT) return;
    this.losesConnection = false;
    void this.upload?.abort();
    this.set({ state: 'without connection' });
    this.onChange();
  }

  private async finish(id: string, film: Blob): Promise<void> {
    const answer = await fetch(`/api/uploads/${id}/done`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ sha256: await hashOf(film) }),
    }).catch(() => undefined);
    this.set(answer?.ok ? { state: 'sent', sent: 1 } : { state: 'failed' });
    this.onChange();
  }
}
