import type { LibraryEdit } from '@odograph/core';
import type { Changed } from '@odograph/core/contract';
import type { RefusedEdit } from './queue.slice.js';

/** What one window tells the others of the same person. */
export type ReplicaNews = { readonly accountId: string } & (
  | { readonly is: 'queued'; readonly edit: LibraryEdit }
  | { readonly is: 'done'; readonly editId: string; readonly changed: Changed | null }
  | { readonly is: 'refused'; readonly refused: RefusedEdit }
  | { readonly is: 'settled'; readonly editId: string }
);

export type Channel = {
  readonly tell: (news: ReplicaNews) => void;
  /** Hears what other windows tell; what it gives back ends that. */
  readonly hear: (listener: (news: ReplicaNews) => void) => () => void;
};

/** Between the windows of one browser. */
export const betweenWindows = (): Channel => {
  const channel = new BroadcastChannel('odograph-edits');
  return {
    tell: (news) => channel.postMessage(news),
    hear: (listener) => {
      const on = ({ data }: MessageEvent<ReplicaNews>): void => listener(data);
      channel.addEventListener('message', on);
      return () => channel.removeEventListener('message', on);
    },
  };
};
