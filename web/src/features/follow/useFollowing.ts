import type { Following, LeadView, Wheel } from '@odograph/core/contract';
import { useCallback, useEffect, useState } from 'react';
import { v7 as newId } from 'uuid';

const NAME = 'odograph-window';
/** The id of this window, as long as it is open. */
const windowId = (): string => {
  const id = sessionStorage.getItem(NAME) ?? newId();
  sessionStorage.setItem(NAME, id);
  return id;
};

const post = (path: string, body: object): Promise<Response> =>
  fetch(`/api/follow/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

export type Follow = {
  /** Undefined until the server has said it. */ readonly now: Following | undefined;
  readonly isLead: boolean;
  readonly isAsking: boolean;
  /** The line to the server is down. */ readonly isLost: boolean;
  readonly wheel: (does: Wheel['does'], to?: string) => void;
  readonly say: (view: LeadView) => Promise<unknown>;
};

/** Who leads and what they see, as the server tells it; `isOn`: only then is it listened to. */
export const useFollowing = (isOn: boolean): Follow => {
  const [clientId] = useState(windowId);
  const [now, setNow] = useState<Following>();
  const [isLost, setLost] = useState(false);
  useEffect(() => {
    if (!isOn) return undefined;
    const source = new EventSource(`/api/follow/stream?client=${clientId}`);
    source.onmessage = ({ data }: MessageEvent<string>) => {
      setLost(false);
      setNow(JSON.parse(data) as Following);
    };
    source.onopen = () => setLost(false);
    source.onerror = () => setLost(true);
    return () => {
      source.close();
      setNow(undefined);
    };
  }, [isOn, clientId]);
  const wheel = useCallback(
    (does: Wheel['does'], to: string | null = null) => void post('wheel', { clientId, does, to }),
    [clientId],
  );
  const say = useCallback((view: LeadView) => post('view', { clientId, view }), [clientId]);
  return {
    now,
    isLead: now?.lead?.clientId === clientId,
    isAsking: now?.asking.some((f) => f.clientId === clientId) ?? false,
    isLost,
    wheel,
    say,
  };
};
