import { useEffect, useSyncExternalStore } from 'react';
import type { UnderWay } from '@odograph/core/contract';
import { useMayWrite } from '../../library/index.js';
import { useUnderWayQuery } from '../../server/index.js';
import { comingIn, type Coming } from './coming.js';
import { sender } from './sending.js';

const NOTHING: UnderWay = { uploads: [], jobs: [] };
/** How often the server is asked while something moves, and while nothing does: the inbox may bring something. */
const BUSY_MS = 800;
const QUIET_MS = 5000;

/** What is coming in, and the jobs; asked for again and again while somebody looks. */
export const useComing = (): {
  readonly coming: readonly Coming[];
  readonly underWay: UnderWay;
  readonly refetch: () => void;
} => {
  const mayWrite = useMayWrite();
  const sending = useSyncExternalStore(sender.subscribe, sender.snapshot);
  const last = useUnderWayQuery(undefined, { skip: !mayWrite }).currentData ?? NOTHING;
  const isBusy =
    sending.length > 0 ||
    last.uploads.some((u) => u.state === 'reading') ||
    last.jobs.some((j) => j.state === 'waiting' || j.state === 'running');
  const { currentData, refetch } = useUnderWayQuery(undefined, {
    skip: !mayWrite,
    pollingInterval: isBusy ? BUSY_MS : QUIET_MS,
    refetchOnMountOrArgChange: true,
  });
  const underWay = currentData ?? NOTHING;
  useEffect(() => {
    sender.onChange = () => void refetch();
    return () => {
      sender.onChange = () => undefined;
    };
  }, [refetch]);
  // what the server has taken over needs no sender any more
  useEffect(() => {
    for (const { id, state } of sender.snapshot())
      if (state === 'sent' && underWay.uploads.some((u) => u.id === id && u.state !== 'coming')) sender.drop(id);
  }, [underWay]);
  return { coming: comingIn(sending, underWay), underWay, refetch: () => void refetch() };
};
