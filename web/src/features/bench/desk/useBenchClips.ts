import { fileTitle, sameTry, timedOf, type Angle, type Footage, type MediaFile, type Timed } from '@odograph/core';
import { useMemo } from 'react';
import { useClipViews, useLibrary, type ClipView } from '../../library/index.js';

/** A camera that filmed the footage: an angle with its file. */
export type Camera = { readonly angle: Angle; readonly file: MediaFile };

/** What a camera is called: its file, and that it is a replay or an inset. */
export const cameraName = ({ angle, file }: Camera): string =>
  `${fileTitle(file.name)}${angle.kind === 'replay' ? ', replay' : ''}${angle.region ? ', inset' : ''}`;

/** One footage on the bench as one camera sees it: the clips cut from that camera in order, the attempts with their instants. */
export type OnBench = Camera & {
  readonly footage: Footage;
  readonly cameras: readonly Camera[];
  readonly athletes: Readonly<Record<'a' | 'b', string>>;
  readonly clips: readonly ClipView[];
  /** Clips of the footage from whatever camera. */
  readonly allClips: readonly ClipView[];
  readonly timed: readonly Timed[];
};

/** The clip of another attempt that looks like the same try as that of a clip. */
export const sameTryOf = (bench: OnBench, view: ClipView): ClipView | undefined => {
  const one = bench.timed.find((t) => t.attempt.id === view.attempt.id);
  const same = one && sameTry(one, bench.timed);
  return same && bench.allClips.find((v) => v.attempt.id === same.attempt.id);
};

/** What lies on the bench, seen by the camera asked for, else by that of the clip asked for, else by the first; undefined where there is no such footage. */
export const useOnBench = (
  footageId: string | undefined,
  asked: { readonly cameraId: string | null; readonly clipId: string | null },
): OnBench | undefined => {
  const { footage: footages, angles, files, attempts, persons } = useLibrary();
  const views = useClipViews();
  const { cameraId, clipId } = asked;
  return useMemo(() => {
    const footage = footages.find((f) => f.id === footageId);
    if (!footage) return undefined;
    const cameras = angles
      .filter((a) => a.footageId === footageId)
      .flatMap((angle): Camera[] => {
        const file = files.find((f) => f.id === angle.fileId);
        return file ? [{ angle, file }] : [];
      });
    // the first is one that filmed live and was logged on; what is added later is lined up with it
    const told = new Set(attempts.map((a) => a.angleId));
    const rank = ({ angle }: Camera): number => (angle.kind === 'live' ? 2 : 0) + (told.has(angle.id) ? 1 : 0);
    cameras.sort((a, b) => rank(b) - rank(a) || (a.angle.id < b.angle.id ? -1 : 1));
    const allClips = views.filter((v) => v.footage.id === footage.id);
    const ofClip = allClips.find((v) => v.clip.id === clipId)?.angle.id;
    const camera =
      cameras.find((c) => c.angle.id === cameraId) ?? cameras.find((c) => c.angle.id === ofClip) ?? cameras[0];
    if (!camera) return undefined;
    const name = (id: string): string => persons.find((p) => p.id === id)?.name ?? 'unknown';
    return {
      ...camera,
      footage,
      cameras,
      athletes: { a: name(footage.athleteA), b: name(footage.athleteB) },
      clips: allClips.filter((v) => v.angle.id === camera.angle.id),
      allClips,
      timed: timedOf({ attempts, angles, files }, footage.id),
    };
  }, [footages, angles, files, attempts, persons, views, footageId, cameraId, clipId]);
};
