import type { Attempt, Clip, Evidence, Instant, ViewKind, ViewStretch } from '../attempts/index.js';
import { evidenceOf } from './evidence.js';

/** How well a stretch shows what happens, in words. */
export const VIEW_WORDS: Readonly<Record<ViewKind, string>> = {
  clear: 'clear',
  referee: 'blocked by the referee',
  bodies: 'blocked by bodies',
  overlay: 'covered by something in the picture',
  edge: 'cut off by the edge of the picture',
  fast: 'too fast to see',
  side: 'from the wrong side',
  black: 'black',
};

const inOrder = (views: readonly ViewStretch[]): readonly ViewStretch[] =>
  [...views].sort((a, b) => a.in.frame - b.in.frame || (a.id < b.id ? -1 : 1));
/** Stretches of which the one at an instant ends there; one that begins there goes. */
const cutBack = (views: readonly ViewStretch[], from: Instant): readonly ViewStretch[] =>
  views.flatMap((v) => {
    if (v.in.frame === from.frame) return [];
    return v.in.frame < from.frame && from.frame < v.out.frame ? [{ ...v, out: from }] : [v];
  });

/** The stretches of a clip with one that begins at an instant: it ends where the next begins, or with the clip, and takes what another one said from there on. */
export const withViewFrom = (
  { views, out }: Pick<Clip, 'views' | 'out'>,
  kind: ViewKind,
  from: Instant,
  id: string,
): readonly ViewStretch[] => {
  const next = inOrder(views).find((v) => v.in.frame > from.frame);
  const to = next && next.in.frame < out.frame ? next.in : out;
  if (to.frame <= from.frame) return views;
  return inOrder([...cutBack(views, from), { id, in: from, out: to, kind }]);
};

/** The stretches of a clip, of which the one at an instant ends there; what follows it is not said any more. */
export const withViewTo = (views: readonly ViewStretch[], to: Instant): readonly ViewStretch[] =>
  views.map((v) => (v.in.frame < to.frame && to.frame < v.out.frame ? { ...v, out: to } : v));

/** What cannot be so among stretches: the place of one that ends before it begins, or begins within another; undefined where all can be. */
export const viewFault = (
  views: readonly ViewStretch[],
): { readonly at: number; readonly is: 'empty' | 'overlaps' } | undefined => {
  for (const [at, v] of views.entries()) {
    if (v.out.frame <= v.in.frame) return { at, is: 'empty' };
    if (
      views.some(
        (other) =>
          other !== v &&
          other.in.frame <= v.in.frame &&
          v.in.frame < other.out.frame &&
          (other.in.frame < v.in.frame || other.id < v.id),
      )
    )
      return { at, is: 'overlaps' };
  }
  return undefined;
};

/** How well a clip shows a frame of its file; null where nobody said. */
export const viewAt = ({ views }: Pick<Clip, 'views'>, frame: number): ViewKind | null =>
  views.find((v) => v.in.frame <= frame && frame < v.out.frame)?.kind ?? null;

/** A detail whose proof lies where nothing can be seen well. */
export type UnclearProof = {
  readonly attemptId: string;
  readonly part: Evidence['part'];
  readonly kind: ViewKind;
  readonly clipId: string;
  readonly frame: number;
};

/** The first stretch that is not clear, where all of a clip lies in such. */
const allUnclear = ({ views, in: from, out }: Pick<Clip, 'views' | 'in' | 'out'>): ViewStretch | undefined => {
  let at = from.frame;
  const unclear = inOrder(views).filter((v) => v.kind !== 'clear');
  for (const v of unclear) {
    if (v.in.frame > at) return undefined;
    at = Math.max(at, v.out.frame);
  }
  return at >= out.frame ? unclear[0] : undefined;
};

/** Proofs that lie in a stretch of a clip that is not clear: a frame in such, or a clip that is nowhere clear. */
export const unclearProofs = (attempts: readonly Attempt[], clips: readonly Clip[]): readonly UnclearProof[] =>
  attempts.flatMap((attempt) =>
    evidenceOf(attempt).flatMap(({ part, proof }): UnclearProof[] => {
      if (!proof) return [];
      const of = { attemptId: attempt.id, part };
      if (proof.kind === 'clip') {
        const clip = clips.find((c) => c.id === proof.clipId);
        const found = clip && allUnclear(clip);
        return found ? [{ ...of, kind: found.kind, clipId: clip.id, frame: clip.in.frame }] : [];
      }
      for (const clip of clips) {
        const kind = clip.angleId === proof.angleId ? viewAt(clip, proof.frame) : null;
        if (kind !== null && kind !== 'clear') return [{ ...of, kind, clipId: clip.id, frame: proof.frame }];
      }
      return [];
    }),
  );
