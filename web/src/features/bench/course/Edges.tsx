import { timecode, type TimeTable } from '@odograph/core';
import type { ClipView } from '../../library/index.js';
import { PARTS, wayOf, type Desk, type Edge } from '../desk/index.js';
import { EdgeHandle } from './EdgeHandle.js';
import type { Scale } from './useScale.js';

/** Both edges of the clip in hand; the picture follows the one that is moved. */
export const Edges = ({
  desk: { bench, hand, move, handle },
  table,
  selected: { clip },
  yOf,
  scale,
  onMoved,
}: {
  readonly desk: Desk;
  readonly table: TimeTable;
  readonly selected: ClipView;
  /** How high the line is at a frame. */ readonly yOf: (frame: number) => number;
  readonly scale: Scale;
  readonly onMoved: (edge: Edge, frame: number) => void;
}): React.JSX.Element => {
  const { fromFrame, toFrame } = bench.angle;
  const way = wayOf(hand);
  const { player } = handle;
  return (
    <>
      {(['in', 'out'] as const).map((edge) => (
        <EdgeHandle
          key={edge}
          edge={edge}
          frame={clip[edge].frame}
          xOf={scale.xOf}
          y={yOf(clip[edge].frame)}
          text={timecode(table, Math.min(toFrame - 1, clip[edge].frame))}
          frameAtX={scale.frameAtX}
          limits={edge === 'in' ? [fromFrame, clip.out.frame - 1] : [clip.in.frame + 1, toFrame]}
          isDragged={way?.by === 'edge' && way.edge === edge}
          onDrag={(is) => move({ does: 'tell', way: is ? { by: 'edge', edge } : PARTS })}
          onMoving={(to) => {
            player?.pause();
            player?.seek(edge === 'in' ? to : to - 1);
          }}
          onMoved={(to) => onMoved(edge, to)}
        />
      ))}
    </>
  );
};
