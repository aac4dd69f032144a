import { KEY_MOMENTS, type Clip, type Drawing, type ErrorUse, type KeyMoment } from '@odograph/core';
import { useState } from 'react';
import { timesText, useLibrary, type ClipView } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import type { PlayerHandle } from '../../player/index.js';
import { INSTANT_TEXT as T } from './clip.text.js';
import { instantAt } from '../desk/index.js';
import { type KeyTable } from '../keys/index.js';

/** The named instants of a clip in the order in which they mostly come: its own key moments, and start, commit and end of the attempt. */
export const INSTANT_NAMES = [
  'set-up',
  'start',
  'grips on',
  'off balance',
  'commit',
  'control',
  'finish',
  'end',
] as const;
/** Until when the mistake that was said last could have been mended. */
const UNTIL = 'mended until';
const UNTIL_KEY = "'";
export type InstantName = (typeof INSTANT_NAMES)[number] | typeof UNTIL;
export type NamedInstant = {
  readonly name: InstantName;
  readonly key: string;
  readonly frame: number | null;
  /** Nobody said it. */ readonly isAssumed: boolean;
};

export type Instants = {
  readonly rows: readonly NamedInstant[];
  readonly keys: KeyTable;
  readonly problem: string | null;
  readonly goTo: (instant: Pick<NamedInstant, 'frame'>) => void;
  /** Instants by names of their own, in their order. */ readonly own: readonly KeyMoment[];
  /** Frames of the clip on which something is drawn. */ readonly drawn: readonly number[];
  /** How long the attempt took, and what was left on the clock, in words. */ readonly times: string;
  /** Gives the frame that is shown a name; false where the clip doesn't reach it. */ readonly call: (
    name: string,
  ) => boolean;
  readonly remove: (name: string) => void;
};

const isKeyMoment = (name: string): name is (typeof KEY_MOMENTS)[number] => KEY_MOMENTS.some((n) => n === name);

const without = (moments: readonly KeyMoment[], name: string): readonly KeyMoment[] =>
  moments.filter((m) => m.name !== name);

/** Start, commit and end of an attempt, in frames of its camera. */
type Ends = { readonly start: number; readonly commit: number | null; readonly end: number };
const attemptAt = ({ attempt }: ClipView): Ends => ({
  start: attempt.start.frame,
  commit: attempt.commit?.frame ?? null,
  end: attempt.end.frame,
});
const isOwnCamera = ({ clip, attempt }: ClipView): boolean => clip.angleId === attempt.angleId;
/** The mistake that was said last, where the clip shows the attempt as it is told. */
const mistakeIn = (view: ClipView): ErrorUse | undefined =>
  isOwnCamera(view) ? view.attempt.errors.at(-1) : undefined;

const rowsOf = (view: ClipView): readonly NamedInstant[] => {
  const { clip, attempt } = view;
  const mistake = mistakeIn(view);
  const named = INSTANT_NAMES.flatMap((name, i): NamedInstant[] => {
    const key = String(i + 1);
    if (isKeyMoment(name))
      return [{ name, key, frame: clip.keyMoments.find((m) => m.name === name)?.at.frame ?? null, isAssumed: false }];
    const frame = attemptAt(view)[name];
    return isOwnCamera(view) ? [{ name, key, frame, isAssumed: name === 'end' && attempt.endAssumed }] : [];
  });
  return mistake
    ? [...named, { name: UNTIL, key: UNTIL_KEY, frame: mistake.until?.frame ?? null, isAssumed: false }]
    : named;
};

/** Says why an instant cannot lie at a frame; null where it can. */
const against = (view: ClipView, name: InstantName, at: number): string | null => {
  const { clip } = view;
  if (!isWithin(clip, at)) return T.outside(name);
  if (name === UNTIL) return null;
  const { start, commit, end }: Ends = { ...attemptAt(view), ...(isKeyMoment(name) ? {} : { [name]: at }) };
  if (start > end || (commit !== null && (commit < start || commit > end))) return T.order;
  return null;
};

const isWithin = (clip: Clip, at: number): boolean => at >= clip.in.frame && at <= clip.out.frame;
/** Where in a clip something is drawn on the picture. */
const drawnIn = (clip: Clip, drawings: readonly Drawing[]): readonly number[] =>
  drawings
    .flatMap((d) => (d.angleId === clip.angleId && isWithin(clip, d.from.frame) ? [d.from.frame] : []))
    .sort((a, b) => a - b);

/** Every frame that has a name or a drawing, in their order. */
const framesOf = (
  rows: readonly NamedInstant[],
  own: readonly KeyMoment[],
  drawn: readonly number[],
): readonly number[] =>
  [...rows.flatMap((row) => row.frame ?? []), ...own.map((m) => m.at.frame), ...drawn].sort((a, b) => a - b);

/** Its instants by names of their own. */
const ownIn = (clip: Clip): readonly KeyMoment[] =>
  clip.keyMoments.filter((m) => !isKeyMoment(m.name)).sort((a, b) => a.at.frame - b.at.frame);

const NONE: Instants = {
  ...{ rows: [], keys: {}, problem: null, own: [], drawn: [], times: '' },
  ...{ goTo: () => undefined, call: () => false, remove: () => undefined },
};

/** The instants of the clip in hand, each set by a digit where the picture stands; once more on the same frame takes it off. E goes to the next one. */
export const useInstants = (
  view: ClipView | undefined,
  { player, table, frame }: Pick<PlayerHandle, 'player' | 'table' | 'frame'>,
): Instants => {
  const edit = useEdit();
  const { drawings } = useLibrary();
  const [problem, setProblem] = useState<{ readonly clipId: string; readonly text: string } | null>(null);
  if (!view || !table) return NONE;
  const { clip, attempt } = view;
  const rows = rowsOf(view);
  const mistake = mistakeIn(view);
  const [own, drawn] = [ownIn(clip), drawnIn(clip, drawings)];
  const keep = (keyMoments: readonly KeyMoment[]): void => edit({ kind: 'clip', id: clip.id, changes: { keyMoments } });
  const call = (name: string): boolean => {
    const at = frame();
    if (!isWithin(clip, at)) return false;
    keep([...without(clip.keyMoments, name), { name, at: instantAt(table, at) }]);
    return true;
  };
  const goTo = ({ frame: at }: Pick<NamedInstant, 'frame'>): void => {
    if (at === null) return;
    player?.pause();
    player?.seek(at);
  };
  const set = ({ name, frame: before, isAssumed }: NamedInstant): void => {
    const at = frame();
    const why = against(view, name, at);
    setProblem(why === null ? null : { clipId: clip.id, text: why });
    if (why !== null) return;
    // what was only assumed is said by its key, on the same frame too
    const isSame = before === at && !isAssumed;
    if (isKeyMoment(name)) {
      const moments = without(clip.keyMoments, name);
      keep(isSame ? moments : [...moments, { name, at: instantAt(table, at) }]);
      return;
    }
    if (name === UNTIL) {
      const until = isSame ? null : instantAt(table, at);
      const errors = attempt.errors.map((e) => (e === mistake ? { ...e, until } : e));
      edit({ kind: 'attempt', id: attempt.id, changes: { errors } });
      return;
    }
    // taken off, the start is where the clip begins and the end where it ends
    const to = !isSame ? at : name === 'commit' ? null : name === 'start' ? clip.in.frame : clip.out.frame;
    edit({
      kind: 'attempt',
      id: attempt.id,
      changes: { [name]: to === null ? null : instantAt(table, to) },
    });
  };
  const toNext = (): void => {
    const there = framesOf(rows, own, drawn);
    const next = there.find((at) => at > frame()) ?? there[0];
    if (next !== undefined) goTo({ frame: next });
  };
  return {
    ...{ rows, goTo, own, drawn, call, times: timesText(view) },
    remove: (name) => keep(without(clip.keyMoments, name)),
    problem: problem?.clipId === clip.id ? problem.text : null,
    keys: { ...Object.fromEntries(rows.map((row) => [row.key, () => set(row)])), e: toNext },
  };
};
