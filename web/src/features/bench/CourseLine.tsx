import { Box } from '@chakra-ui/react';
import {
  angleClock,
  courseOf,
  footageSeconds,
  frameAtS,
  frameCount,
  frameStartS,
  timecode,
  type TimeTable,
} from '@odograph/core';
import { useId, useMemo, useRef, type PointerEvent } from 'react';
import { useSize } from '../../design/index.js';
import { useWords, type ClipView } from '../library/index.js';
import { EdgeHandle, type Edge } from './EdgeHandle.js';
import { bracketLanes } from './bracketLanes.js';
import type { OnBench } from './useBenchClips.js';

const HEIGHT = 140;
const TOP = 8;
const COURSE = 84;
const LANES_Y = 100;
const LANE = 13;
const LEFT = 78;
const RIGHT = 16;

type Props = {
  readonly bench: OnBench;
  readonly table: TimeTable;
  readonly frame: number;
  readonly inMark: number | null;
  readonly selected: ClipView | undefined;
  readonly onSeek: (frame: number) => void;
  readonly onSelect: (clipId: string) => void;
  /** An edge is being moved: the picture follows. */
  readonly onEdgeMoving: (edge: Edge, frame: number) => void;
  readonly onEdgeMoved: (edge: Edge, frame: number) => void;
  readonly mayMove: boolean;
};

/** The odograph line of a footage (its keys are those of the picture): the course it took for the first athlete, the clips as brackets under it, the frame in hand across it. */
export const CourseLine = ({
  bench,
  table,
  frame,
  inMark,
  selected,
  onSeek,
  onSelect,
  onEdgeMoving,
  onEdgeMoved,
  mayMove,
}: Props): React.JSX.Element => {
  const words = useWords();
  const [ref, { width }] = useSize({ width: 1280, height: HEIGHT });
  const svg = useRef<SVGSVGElement>(null);
  const clipId = useId();
  const startS = frameStartS(table, 0),
    endS = frameStartS(table, frameCount(table));
  const scale = (width - LEFT - RIGHT) / (endS - startS);
  const xOfS = (atS: number): number => LEFT + (atS - startS) * scale;
  const xOf = (f: number): number => xOfS(frameStartS(table, f));
  const yOf = (height: number): number => TOP + ((5 - height) / 10) * COURSE;
  const frameAtX = (clientX: number): number => {
    const box = svg.current!.getBoundingClientRect();
    return frameAtS(table, startS + (clientX - box.left - LEFT) / scale);
  };
  const clock = angleClock(bench.angle, bench.file);
  const zeroS = footageSeconds(clock, table.ticks[0]!);
  const runs = useMemo(() => courseOf(bench.timed, 'a', words), [bench.timed, words]);
  const lanes = useMemo(
    () => bracketLanes(bench.clips.map((v) => ({ id: v.clip.id, from: v.clip.in.frame, to: v.clip.out.frame }))),
    [bench.clips],
  );
  const subjects = useMemo(() => new Map(bench.clips.map((v) => [v.attempt.id, v.attempt.subject])), [bench.clips]);
  const fileS = (footageS: number): number => footageS - zeroS + startS;
  const onPointer = (event: PointerEvent<SVGRectElement>): void => {
    if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
    if (event.buttons === 1) onSeek(frameAtX(event.clientX));
  };
  return (
    <Box ref={ref} position="relative" height={`${HEIGHT}px`} borderTopWidth="1px" data-testid="line">
      <svg ref={svg} width={width} height={HEIGHT} style={{ display: 'block' }}>
        {[5, 2.5, 0, -2.5, -5].map((h) => (
          <path
            key={h}
            d={`M${LEFT} ${yOf(h)}H${width - RIGHT}`}
            stroke="var(--od-hairline)"
            strokeWidth={h === 0 ? 1.5 : 0.7}
          />
        ))}
        <g fill="var(--od-inkSoft)" fontFamily="'Barlow Condensed', sans-serif" fontSize="14">
          <text x="12" y={yOf(5) + 11}>
            better ↑
          </text>
          <text x="12" y={yOf(0) + 5} fill="var(--od-us)" fontWeight="600">
            {bench.athletes.a.split(' ')[0]}
          </text>
          <text x="12" y={yOf(-5) - 1}>
            worse ↓
          </text>
        </g>
        <clipPath id={clipId}>
          <rect x={LEFT - 2} y={0} width={Math.max(0, width - LEFT - RIGHT) + 4} height={HEIGHT} />
        </clipPath>
        <g clipPath={`url(#${clipId})`}>
          {runs.flatMap((run, r) =>
            run.points.slice(1).map((to, i) => {
              const from = run.points[i]!;
              const acts = subjects.get(to.attemptId) === 'b' ? 'b' : 'a';
              return (
                <path
                  key={`${r} ${i}`}
                  d={`M${xOfS(fileS(from.atS))} ${yOf(from.height)}L${xOfS(fileS(to.atS))} ${yOf(to.height)}`}
                  stroke={acts === 'a' ? 'var(--od-us)' : 'var(--od-them)'}
                  strokeWidth="2.6"
                  strokeLinecap="round"
                  {...(acts === 'b' ? { strokeDasharray: '7 5' } : {})}
                />
              );
            }),
          )}
        </g>
        <rect
          x={LEFT}
          y={0}
          width={Math.max(0, width - LEFT - RIGHT)}
          height={LANES_Y - 4}
          fill="transparent"
          tabIndex={0}
          role="slider"
          aria-label="Frame"
          aria-valuemin={0}
          aria-valuemax={frameCount(table) - 1}
          aria-valuenow={frame}
          aria-valuetext={timecode(table, frame)}
          style={{ cursor: 'col-resize', touchAction: 'none' }}
          onPointerDown={onPointer}
          onPointerMove={onPointer}
        />
        {bench.clips.map((view) => {
          const isSelected = view.clip.id === selected?.clip.id;
          const y = LANES_Y + (lanes.get(view.clip.id) ?? 0) * LANE;
          const [x1, x2] = [xOf(view.clip.in.frame), xOf(view.clip.out.frame)];
          const colour = isSelected
            ? 'var(--od-inHand)'
            : view.attempt.subject === 'a'
              ? 'var(--od-us)'
              : 'var(--od-them)';
          return (
            <g key={view.clip.id} onClick={() => onSelect(view.clip.id)} style={{ cursor: 'pointer' }}>
              <rect
                x={x1}
                y={y - 3}
                width={Math.max(2, x2 - x1)}
                height={LANE}
                fill={isSelected ? 'var(--od-inHandSoft)' : 'transparent'}
              />
              <path
                d={`M${x1} ${y + 8}V${y}H${x2}V${y + 8}`}
                fill="none"
                stroke={colour}
                strokeWidth={isSelected ? 3 : 1.6}
                {...(view.missing.length
                  ? { strokeDasharray: '2 3' }
                  : view.attempt.subject === 'b'
                    ? { strokeDasharray: '7 4' }
                    : {})}
              />
            </g>
          );
        })}
        {inMark !== null && (
          <path
            d={`M${xOf(inMark) + 9} ${TOP}H${xOf(inMark)}V${LANES_Y + 12}H${xOf(inMark) + 9}`}
            fill="none"
            stroke="var(--od-inHand)"
            strokeWidth="2.5"
          />
        )}
        <g stroke="var(--od-ink)" pointerEvents="none">
          <path d={`M${xOf(frame)} 0V${HEIGHT}`} strokeWidth="1.3" />
          <path d={`M${xOf(frame) - 5} 0H${xOf(frame) + 5}L${xOf(frame)} 7Z`} fill="var(--od-ink)" />
        </g>
        {selected &&
          mayMove &&
          (['in', 'out'] as const).map((edge) => (
            <EdgeHandle
              key={edge}
              edge={edge}
              frame={selected.clip[edge].frame}
              xOf={xOf}
              y={LANES_Y + (lanes.get(selected.clip.id) ?? 0) * LANE}
              text={timecode(table, Math.min(frameCount(table) - 1, selected.clip[edge].frame))}
              frameAtX={frameAtX}
              limits={
                edge === 'in' ? [0, selected.clip.out.frame - 1] : [selected.clip.in.frame + 1, frameCount(table)]
              }
              onMoving={(f) => onEdgeMoving(edge, f)}
              onMoved={(f) => onEdgeMoved(edge, f)}
            />
          ))}
      </svg>
    </Box>
  );
};
