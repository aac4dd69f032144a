import { angleClock, clockAgainst, frameStartS, type Envelope, type TimeTable } from '@odograph/core';
import { useState } from 'react';
import { align } from '../../../workers/align.client.js';
import { useTables } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { type Camera, type OnBench } from '../desk/index.js';

/** How finding it from the sound went. */
export type Found =
  | { readonly state: 'not asked' | 'listening' | 'no sound' | 'not listened to' | 'no match' }
  | { readonly state: 'found'; readonly confidence: number };

export type LineUp = {
  /** The camera whose clock is that of the footage; undefined while it is the one in hand. */
  readonly first: Camera | undefined;
  readonly found: Found;
  /** Moves the camera in hand by so many of its frames; later is positive. */
  readonly nudge: (frames: number) => void;
  readonly listen: () => void;
};

const envelopeOf = async (fileId: string, table: TimeTable): Promise<Envelope | undefined> => {
  const answer = await fetch(`/api/files/${fileId}/sound`);
  if (!answer.ok) return undefined;
  return { fromS: frameStartS(table, 0), levels: new Uint8Array(await answer.arrayBuffer()) };
};

/** Lines up the camera in hand with the first one of the footage: by hand, a frame at a time, or from what both have heard. */
export const useLineUp = (bench: OnBench, table: TimeTable | undefined, frame: () => number): LineUp => {
  const [found, setFound] = useState<Found>({ state: 'not asked' });
  const edit = useEdit();
  const askTables = useTables();
  const first = bench.cameras[0]!.angle.id === bench.angle.id ? undefined : bench.cameras[0]!;
  const set = (change: { readonly offsetMs: number; readonly rate?: number }): void =>
    edit({ kind: 'angle', id: bench.angle.id, changes: change });

  const nudge = (frames: number): void => {
    if (!first || !table) return;
    const at = frame();
    const lasts = frameStartS(table, at + 1) - frameStartS(table, at);
    set({ offsetMs: bench.angle.offsetMs + frames * lasts * bench.angle.rate * 1000 });
    setFound({ state: 'not asked' });
  };
  const listening = async (): Promise<void> => {
    if (!first || !table) return;
    if (!first.file.hasSound || !bench.file.hasSound) {
      setFound({ state: 'no sound' });
      return;
    }
    setFound({ state: 'listening' });
    const there = (await askTables([first.angle.id])).get(first.angle.id);
    const [a, b] = [there && (await envelopeOf(first.file.id, there)), await envelopeOf(bench.file.id, table)];
    if (!a || !b) {
      setFound({ state: 'not listened to' });
      return;
    }
    const match = await align(a, b);
    if (!match) {
      setFound({ state: 'no match' });
      return;
    }
    set(clockAgainst(angleClock(first.angle, first.file), match, angleClock(bench.angle, bench.file)));
    setFound({ state: 'found', confidence: match.confidence });
  };
  return { first, found, nudge, listen: () => void listening().catch(() => setFound({ state: 'not listened to' })) };
};
