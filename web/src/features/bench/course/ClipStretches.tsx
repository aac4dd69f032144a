import type { CourseRun } from '@odograph/core';
import { memo } from 'react';
import type { ClipView } from '../../library/index.js';
import { heightAt, stretchOf } from './stretches.js';

type Props = {
  readonly clips: readonly ClipView[];
  readonly selectedId: string | undefined;
  readonly runs: readonly CourseRun[];
  readonly lanes: ReadonlyMap<string, number>;
  /** The time of a frame, in seconds of the footage, and where a time and a height lie. */
  readonly secondsOf: (frame: number) => number;
  readonly xOf: (footageS: number) => number;
  readonly yOf: (height: number) => number;
  readonly onSelect: (clipId: string) => void;
};

/** So far apart do stretches lie that cover the same time. */
export const APART = 6;

/** The clips as stretches of the line, in the stroke of whoever acts; those that overlap lie under each other. Drawn anew only where one of them has changed. */
export const ClipStretches = memo(function ClipStretches(props: Props) {
  const { clips, selectedId, runs, lanes, secondsOf, xOf, yOf, onSelect } = props;
  return clips.map((view) => {
    const isSelected = view.clip.id === selectedId;
    const down = (lanes.get(view.clip.id) ?? 0) * APART;
    const d = stretchOf(runs, secondsOf(view.clip.in.frame), secondsOf(view.clip.out.frame))
      .map((p, i) => `${i ? 'L' : 'M'}${xOf(p.atS).toFixed(1)} ${(yOf(p.height) + down).toFixed(1)}`)
      .join('');
    const [x, y] = [xOf(secondsOf(view.clip.in.frame)), yOf(heightAt(runs, secondsOf(view.clip.in.frame))) + down];
    const color = view.attempt.subject === 'a' ? 'var(--od-us)' : 'var(--od-them)';
    const dash = view.missing.length ? '2 4' : view.attempt.subject === 'b' ? '9 5' : undefined;
    return (
      <g key={view.clip.id} fill="none" strokeLinejoin="round" data-clip={view.clip.id}>
        {isSelected && <path d={d} stroke="var(--od-inHandSoft)" strokeWidth="17" />}
        <path
          d={d}
          stroke={isSelected ? 'var(--od-inHand)' : color}
          strokeWidth={isSelected ? 6 : 4.5}
          strokeDasharray={dash}
        />
        {/* where one begins, also where the one before goes on into it */}
        <path d={`M${x} ${y - 6}V${y + 6}`} stroke={isSelected ? 'none' : color} strokeWidth="1.6" />
        <path
          d={d}
          stroke="transparent"
          strokeWidth="16"
          pointerEvents="stroke"
          style={{ cursor: 'pointer' }}
          onClick={() => onSelect(view.clip.id)}
        />
      </g>
    );
  });
});
