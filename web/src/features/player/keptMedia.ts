import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** What is kept of pictures in this browser, by their address on the server. */
interface Media extends DBSchema {
  readonly media: {
    readonly key: string;
    readonly value: { readonly address: string; readonly bytes: Blob; readonly usedAt: number };
    readonly indexes: { readonly usedAt: number };
  };
}

const NAME = 'odograph-media';
/** Parts in which a medium is fetched: a lost connection costs at most one of them. */
const PART_BYTES = 8 * 1024 * 1024;
const RETRY_MS = 2000;
/** So much of the room that the browser gives is used at most. */
const SHARE = 0.5;

const open = (): Promise<IDBPDatabase<Media>> =>
  openDB<Media>(NAME, 1, {
    upgrade: (database) => {
      database.createObjectStore('media', { keyPath: 'address' }).createIndex('usedAt', 'usedAt');
    },
  });

/** The medium of an address, if it is kept here; undefined also where the browser keeps nothing. */
export const keptMedium = async (address: string): Promise<Blob | undefined> => {
  try {
    const database = await open();
    const found = await database.get('media', address);
    if (found) await database.put('media', { ...found, usedAt: Date.now() });
    database.close();
    return found?.bytes;
  } catch {
    return undefined;
  }
};

/** Makes room for so many bytes: what was not used for longest goes first. False where it cannot be. */
const makeRoom = async (database: IDBPDatabase<Media>, bytes: number): Promise<boolean> => {
  const { quota = 0, usage = 0 } = await navigator.storage.estimate();
  let free = quota * SHARE - usage;
  for (
    let cursor = await database.transaction('media', 'readwrite').store.index('usedAt').openCursor();
    cursor && free < bytes;
  ) {
    free += cursor.value.bytes.size;
    await cursor.delete();
    cursor = await cursor.continue();
  }
  return free >= bytes;
};

const keep = async (address: string, bytes: Blob): Promise<void> => {
  try {
    const database = await open();
    if (await makeRoom(database, bytes.size)) await database.put('media', { address, bytes, usedAt: Date.now() });
    database.close();
  } catch {
    // it is played from memory as long as the page is open
  }
};

/** Whether the server still shows a medium to whoever asks, and it is as long as it was. Asked until there is an answer: before, it is not shown. */
export const mayStillBeShown = async (address: string, sizeBytes: number, signal: AbortSignal): Promise<boolean> => {
  while (!signal.aborted) {
    const answer = await fetch(address, { method: 'HEAD', signal }).catch(() => undefined);
    if (answer && answer.status < 500)
      return answer.ok && Number(answer.headers.get('content-length') ?? sizeBytes) === sizeBytes;
    await pause(RETRY_MS, signal);
  }
  return true;
};

/** A medium that is kept goes. */
export const forgetMedium = async (address: string): Promise<void> => {
  try {
    const database = await open();
    await database.delete('media', address);
    database.close();
  } catch {
    // nothing was kept
  }
};

/** Everything that is kept goes, for whoever leaves a browser that others use too. */
export const forgetMedia = async (): Promise<void> => {
  try {
    const database = await open();
    await database.clear('media');
    database.close();
  } catch {
    // nothing was kept
  }
};

const pause = (ms: number, signal: AbortSignal): Promise<void> =>
  new Promise((resolve) => {
    const timer = setTimeout(resolve, ms);
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      resolve();
    });
  });

/**
 * Fetches a medium whole, in parts, and keeps it in the browser; a part that does not come is asked for again. `told` hears the share that is here, 0 … 1. Undefined where
 * it was given up, or where the server has no such medium.
 */
export const fetchMedium = async (
  address: string,
  signal: AbortSignal,
  told: (share: number) => void,
): Promise<Blob | undefined> => {
  const parts: Blob[] = [];
  let [at, size, kind] = [0, Number.POSITIVE_INFINITY, 'video/mp4'];
  while (at < size && !signal.aborted) {
    try {
      const range = `bytes=${at}-${at + PART_BYTES - 1}`;
      const answer = await fetch(address, { headers: { range }, signal });
      if (answer.status !== 206 && answer.status !== 200) {
        if (answer.status < 500) return undefined;
        throw new Error(String(answer.status));
      }
      const part = await answer.blob();
      kind = answer.headers.get('content-type') ?? kind;
      size =
        answer.status === 200 ? part.size : Number(answer.headers.get('content-range')?.split('/')[1] ?? part.size);
      parts.push(part);
      at = answer.status === 200 ? size : at + part.size;
      told(at / size);
    } catch {
      await pause(RETRY_MS, signal);
    }
  }
  if (signal.aborted) return undefined;
  const whole = new Blob(parts, { type: kind });
  await keep(address, whole);
  return whole;
};
