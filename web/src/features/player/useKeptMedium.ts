import { useEffect, useState } from 'react';
import { fetchMedium, forgetMedium, keptMedium, mayStillBeShown } from './keptMedia.js';

export type KeptMedium = {
  /** An address in this browser, once all of it is here. */ readonly url: string | undefined;
  /** The share that has come, 0 … 1. */ readonly share: number;
  /** Whether it is kept here already is not known yet. */ readonly isLooking: boolean;
};

const NOT_HERE: KeptMedium = { url: undefined, share: 0, isLooking: false };

/** A medium of the server as it lies in this browser: kept from an earlier time, or fetched now while it is played from the server. Without an address nothing is done. */
export const useKeptMedium = (address: string | undefined): KeptMedium => {
  const [kept, setKept] = useState<KeptMedium & { readonly of: string | undefined }>({ ...NOT_HERE, of: undefined });
  useEffect(() => {
    if (address === undefined) return undefined;
    const ending = new AbortController();
    let url: string | undefined;
    const here = (bytes: Blob): void => {
      if (ending.signal.aborted) return;
      url = URL.createObjectURL(bytes);
      setKept({ of: address, url, share: 1, isLooking: false });
    };
    const bring = async (): Promise<void> => {
      const known = await keptMedium(address);
      // whoever is on it may have changed their mind since it was kept
      if (known && !(await mayStillBeShown(address, known.size, ending.signal))) await forgetMedium(address);
      else if (known) {
        here(known);
        return;
      }
      setKept({ ...NOT_HERE, of: address });
      const fetched = await fetchMedium(address, ending.signal, (share) =>
        setKept({ of: address, url: undefined, share, isLooking: false }),
      );
      if (fetched) here(fetched);
    };
    void bring();
    return () => {
      ending.abort();
      if (url !== undefined) URL.revokeObjectURL(url);
    };
  }, [address]);
  return kept.of === address ? kept : { ...NOT_HERE, isLooking: address !== undefined };
};
