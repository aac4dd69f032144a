import type { Caption } from '@odograph/core';
import type { Look, Prepared } from '@odograph/core/contract';
import { useCaptionsQuery, useSoundQuery } from '../../server/index.js';
import { useOwn } from '../../library/index.js';

/** What can lie behind the course, on its axis of time; one at a time. */
export const OVERLAYS = ['activity', 'sound', 'cuts', 'captions', 'nothing'] as const;
export type OverlayKind = (typeof OVERLAYS)[number];

export type Overlay = {
  readonly kind: OverlayKind;
  readonly next: () => void;
  /** Levels of sound, a hundred a second; undefined while they are not asked for or not here. */ readonly sound:
    Uint8Array | undefined;
  readonly captions: readonly Caption[];
};

const NO_CAPTIONS: readonly Caption[] = [];

/** The overlay that is chosen, by one person on this browser, among those that the file has something for. */
export const useOverlay = (fileId: string, look: Look | undefined, prepared: Prepared | undefined): Overlay => {
  const [chosen, choose] = useOwn<OverlayKind>('odograph.overlay', 'activity');
  const { data: given } = useCaptionsQuery(fileId);
  const captions = given?.captions ?? NO_CAPTIONS;
  const has: Readonly<Record<OverlayKind, boolean>> = {
    activity: look !== undefined,
    sound: prepared?.sound === true,
    cuts: (look?.cuts.length ?? 0) > 0,
    captions: captions.length > 0,
    nothing: true,
  };
  const kind = has[chosen] ? chosen : has.activity ? 'activity' : 'nothing';
  const { data: sound } = useSoundQuery(fileId, { skip: kind !== 'sound' });
  const next = (): void => {
    const from = OVERLAYS.indexOf(kind);
    const order = [...OVERLAYS.slice(from + 1), ...OVERLAYS.slice(0, from + 1)];
    choose(order.find((k) => has[k])!);
  };
  return { kind, next, sound, captions };
};
