import { configureStore } from '@reduxjs/toolkit';
import { rowIdOf } from '@odograph/core';
import { Replica, queueSlice, type Around } from '../src/features/replica/index.js';
import type { ReplicaNews } from '../src/features/replica/channel.js';
import { after, joined, type KeptEdit, type OwnStep } from '../src/features/replica/keptEdits.js';
import { libraryApi, serverApi } from '../src/features/server/index.js';

/** What the windows of one browser share: what is kept, whose turn it is, what they tell each other. */
export class Browser {
  kept: KeptEdit[] = [];
  private readonly steps = new Map<string, OwnStep>();
  private readonly ears = new Set<(news: ReplicaNews) => void>();
  private turn: Promise<unknown> = Promise.resolve();
  /** The store gives way so many times. */
  faults = 0;
  /** How long it is waited before something is tried again, whatever is asked for. */
  waitMs = 1;

  private change(editId: string, how: (kept: KeptEdit) => readonly KeptEdit[]): Promise<void> {
    this.kept = this.kept.flatMap((k) => (k.edit.editId === editId ? how(k) : [k]));
    return Promise.resolve();
  }

  around(): Around {
    let own: ((news: ReplicaNews) => void) | undefined;
    const kept = (accountId: string): readonly KeptEdit[] => this.kept.filter((k) => k.accountId === accountId);
    return {
      wait: () => new Promise((resolve) => setTimeout(resolve, this.waitMs)),
      turns: async (_, work) => {
        const before = this.turn;
        let over: () => void = () => undefined;
        this.turn = new Promise<void>((resolve) => (over = resolve));
        await before;
        try {
          return await work();
        } finally {
          over();
        }
      },
      channel: {
        // each hears it in a task of its own, as windows do
        tell: (news) =>
          void [...this.ears].filter((ear) => ear !== own).forEach((ear) => setTimeout(() => ear(news), 0)),
        hear: (listener) => {
          own = listener;
          this.ears.add(listener);
          return () => void this.ears.delete(listener);
        },
      },
      edits: {
        all: (accountId) => Promise.resolve(kept(accountId)),
        add: (accountId, edit, base) => {
          const step = this.steps.get(rowIdOf(edit) ?? '');
          this.kept.push({ accountId, edit, base: after(base, step), why: null });
          return Promise.resolve();
        },
        first: (accountId) => {
          if (this.faults-- > 0) return Promise.reject(new Error('the store gave way'));
          return Promise.resolve(kept(accountId).find((k) => !k.why));
        },
        done: (editId, step) => {
          if (step) {
            this.steps.set(step.id, joined(this.steps.get(step.id), step));
            this.kept = this.kept.map((k) => (rowIdOf(k.edit) === step.id ? { ...k, base: after(k.base, step) } : k));
          }
          return this.change(editId, () => []);
        },
        refuse: (editId, why) => this.change(editId, (k) => [{ ...k, why }]),
        settle: async (editId, instead) => {
          await this.change(editId, () => []);
          if (!instead) return;
          const base = after(instead.base, this.steps.get(rowIdOf(instead.edit) ?? ''));
          this.kept.push({ ...instead, base, why: null });
        },
      },
    };
  }

  /** Opens a window on the product for somebody. */
  async open(accountId = 'one') {
    const replica = new Replica(this.around());
    const store = configureStore({
      reducer: { server: serverApi.reducer, edits: queueSlice.reducer },
      middleware: (all) =>
        all({ serializableCheck: false, immutableCheck: false })
          .prepend(replica.middleware)
          .concat(serverApi.middleware),
    });
    await store.dispatch(libraryApi.util.upsertQueryData('me', undefined, { account: { id: accountId } } as never));
    const close = (): void => {
      replica.end();
      store.dispatch(serverApi.util.resetApiState());
    };
    return Object.assign(store, { replica, close });
  }
}

export type Window = Awaited<ReturnType<Browser['open']>>;
