import { Box } from '@chakra-ui/react';
import {
  angleClock,
  courseOf,
  fileSeconds,
  frameAtS,
  frameStartS,
  placeName,
  sightingHeight,
  stateId,
  timecode,
  type Link,
  type TimeTable,
} from '@odograph/core';
import type { Look } from '@odograph/core/contract';
import { useCallback, useId, useMemo, useRef, useState, type PointerEvent } from 'react';
import { useSize } from '../../design/index.js';
import { useWords, type ClipView } from '../library/index.js';
import { usePlayerState, type PlayerHandle } from '../player/index.js';
import { EdgeHandle, type Edge } from './EdgeHandle.js';
import { Overlays, SpanFeet } from './Overlays.js';
import { Pointed } from './Pointed.js';
import { useStable } from './useStable.js';
import { ClipBrackets } from './ClipBrackets.js';
import { LinkMarks } from './LinkMarks.js';
import { bracketLanes } from './bracketLanes.js';
import type { OnBench } from './useBenchClips.js';
import { MarkTicks } from './MarkTicks.js';
import type { MarkHere, Marks } from './useMarks.js';
import type { Overlay } from './useOverlay.js';
import { MARK_TEXT as M, OVERLAY_TEXT as O } from './bench.text.js';
import { Caps } from './Caps.js';
import type { SpanInHand, Spans } from './useSpans.js';

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
  readonly handle: PlayerHandle;
  readonly inMark: number | null;
  readonly selected: ClipView | undefined;
  readonly look: Look | undefined;
  readonly overlay: Overlay;
  readonly spans: Spans;
  readonly onSeek: (frame: number) => void;
  readonly onSelect: (clipId: string) => void;
  readonly onSpan: (inHand: SpanInHand) => void;
  readonly links: readonly Link[];
  readonly marks: Marks;
  readonly onMark: (mark: MarkHere) => void;
  /** An edge is being moved: the picture follows. */
  readonly onEdgeMoving: (edge: Edge, frame: number) => void;
  readonly onEdgeMoved: (edge: Edge, frame: number) => void;
  readonly mayMove: boolean;
};

/** What is pointed at to go to a frame; said aloud, it is a slider. */
const FrameSlider = ({
  handle,
  table,
  range,
  width,
  onPointer,
  onLeave,
}: {
  readonly handle: PlayerHandle;
  readonly table: TimeTable;
  readonly range: { readonly fromFrame: number; readonly toFrame: number };
  readonly width: number;
  readonly onPointer: (event: PointerEvent<SVGRectElement>) => void;
  readonly onLeave: () => void;
}): React.JSX.Element => {
  const frame = usePlayerState(handle, (state) => state.frame);
  return (
    <rect
      x={LEFT}
      y={0}
      width={width}
      height={LANES_Y - 4}
      fill="transparent"
      tabIndex={0}
      role="slider"
      aria-label="Frame"
      aria-valuemin={range.fromFrame}
      aria-valuemax={range.toFrame - 1}
      aria-valuenow={frame}
      aria-valuetext={timecode(table, frame)}
      style={{ cursor: 'col-resize', touchAction: 'none' }}
      onPointerDown={onPointer}
      onPointerMove={onPointer}
      onPointerLeave={onLeave}
    />
  );
};

/** The frame in hand, across the line. */
const Cursor = ({
  handle,
  xOf,
}: {
  readonly handle: PlayerHandle;
  readonly xOf: (frame: number) => number;
}): React.JSX.Element => {
  const x = xOf(usePlayerState(handle, (state) => state.frame));
  return (
    <g stroke="var(--od-ink)" pointerEvents="none">
      <path d={`M${x} 0V${HEIGHT}`} strokeWidth="1.3" />
      <path d={`M${x - 5} 0H${x + 5}L${x} 7Z`} fill="var(--od-ink)" />
    </g>
  );
};

/** The odograph line of a footage (its keys are those of the picture): the course it took for the first athlete, the clips as brackets under it, the frame in hand across it. */
export const CourseLine = ({
  bench,
  table,
  handle,
  inMark,
  selected,
  look,
  overlay,
  spans,
  onSeek,
  onSelect,
  onSpan,
  links,
  marks,
  onMark,
  onEdgeMoving,
  onEdgeMoved,
  mayMove,
}: Props): React.JSX.Element => {
  const words = useWords();
  const [ref, { width }] = useSize({ width: 1280, height: HEIGHT });
  const svg = useRef<SVGSVGElement>(null);
  const clipId = useId();
  const [pointed, setPointed] = useState<{ readonly frame: number; readonly x: number } | null>(null);
  const { fromFrame, toFrame } = bench.angle;
  const startS = frameStartS(table, fromFrame),
    endS = frameStartS(table, toFrame);
  const scale = (width - LEFT - RIGHT) / (endS - startS);
  const xOfS = useCallback((atS: number): number => LEFT + (atS - startS) * scale, [startS, scale]);
  const xOf = useCallback((f: number): number => xOfS(frameStartS(table, f)), [xOfS, table]);
  const takeMark = useStable(onMark);
  const pick = useStable(onSelect);
  const yOf = (height: number): number => TOP + ((5 - height) / 10) * COURSE;
  const frameAtX = (clientX: number): number => {
    const box = svg.current!.getBoundingClientRect();
    const frame = frameAtS(table, startS + (clientX - box.left - LEFT) / scale);
    return Math.min(toFrame - 1, Math.max(fromFrame, frame));
  };
  const clock = angleClock(bench.angle, bench.file);
  const runs = useMemo(() => courseOf(bench.timed, 'a', words), [bench.timed, words]);
  const lanes = useMemo(
    () => bracketLanes(bench.clips.map((v) => ({ id: v.clip.id, from: v.clip.in.frame, to: v.clip.out.frame }))),
    [bench.clips],
  );
  const subjects = useMemo(() => new Map(bench.clips.map((v) => [v.attempt.id, v.attempt.subject])), [bench.clips]);
  const fileS = (footageS: number): number => fileSeconds(clock, footageS);
  const onPointer = (event: PointerEvent<SVGRectElement>): void => {
    if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
    const at = frameAtX(event.clientX);
    if (event.buttons === 1) onSeek(at);
    setPointed(event.buttons === 0 && event.pointerType === 'mouse' ? { frame: at, x: xOf(at) } : null);
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
          <text
            x="12"
            y={HEIGHT - 12}
            role="button"
            aria-label={O.next(overlay.kind)}
            style={{ cursor: 'pointer' }}
            onClick={overlay.next}
            data-testid="overlay"
          >
            <Caps text={O.over(overlay.kind)} />
          </text>
        </g>
        <clipPath id={clipId}>
          <rect x={LEFT - 2} y={0} width={Math.max(0, width - LEFT - RIGHT) + 4} height={HEIGHT} />
        </clipPath>
        <g clipPath={`url(#${clipId})`}>
          <Overlays
            look={look}
            overlay={overlay}
            spans={spans}
            top={TOP}
            bottom={COURSE + TOP}
            xOfS={xOfS}
            xOf={xOf}
            notReady={
              handle.readyFrames !== null && handle.readyFrames < bench.angle.toFrame
                ? { fromFrame: Math.max(bench.angle.fromFrame, handle.readyFrames), toFrame: bench.angle.toFrame }
                : null
            }
          />
          {clock.rate > 0 &&
            runs.flatMap((run, r) =>
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
        {clock.rate > 0 && <LinkMarks bench={bench} links={links} xOfS={(s) => xOfS(fileS(s))} y={COURSE + TOP - 5} />}
        <FrameSlider
          handle={handle}
          table={table}
          range={bench.angle}
          width={Math.max(0, width - LEFT - RIGHT)}
          onPointer={onPointer}
          onLeave={() => setPointed(null)}
        />
        {mayMove && <SpanFeet spans={spans} bottom={COURSE + TOP} xOf={xOf} onSpan={onSpan} />}
        {marks.sightings.map((mark) => {
          const height = sightingHeight(mark.moment, 'a', words);
          if (height === undefined) return null;
          const [x, y] = [xOf(mark.frame), yOf(height)];
          return (
            <g
              key={mark.moment.id}
              role="button"
              aria-label={M.sighted(placeName(stateId(mark.moment.state), words), timecode(table, mark.frame))}
              data-testid="sighting"
              style={{ cursor: 'pointer' }}
              onClick={() => onMark(mark)}
            >
              <rect x={x - 8} y={y - 8} width={16} height={16} fill="transparent" />
              <circle cx={x} cy={y} r={4} fill="var(--od-ground)" stroke="var(--od-ink)" strokeWidth="1.6" />
            </g>
          );
        })}
        <MarkTicks
          here={marks.here}
          inHandId={marks.inHand?.moment.id}
          table={table}
          xOf={xOf}
          width={width}
          onMark={takeMark}
        />
        <ClipBrackets
          clips={bench.clips}
          selectedId={selected?.clip.id}
          lanes={lanes}
          xOf={xOf}
          top={LANES_Y}
          lane={LANE}
          onSelect={pick}
        />
        {inMark !== null && (
          <path
            d={`M${xOf(inMark) + 9} ${TOP}H${xOf(inMark)}V${LANES_Y + 12}H${xOf(inMark) + 9}`}
            fill="none"
            stroke="var(--od-inHand)"
            strokeWidth="2.5"
          />
        )}
        <Cursor handle={handle} xOf={xOf} />
        {selected &&
          mayMove &&
          (['in', 'out'] as const).map((edge) => (
            <EdgeHandle
              key={edge}
              edge={edge}
              frame={selected.clip[edge].frame}
              xOf={xOf}
              y={LANES_Y + (lanes.get(selected.clip.id) ?? 0) * LANE}
              text={timecode(table, Math.min(toFrame - 1, selected.clip[edge].frame))}
              frameAtX={frameAtX}
              limits={edge === 'in' ? [fromFrame, selected.clip.out.frame - 1] : [selected.clip.in.frame + 1, toFrame]}
              onMoving={(f) => onEdgeMoving(edge, f)}
              onMoved={(f) => onEdgeMoved(edge, f)}
            />
          ))}
      </svg>
      {pointed && look && (
        <Pointed fileId={bench.file.id} look={look} table={table} frame={pointed.frame} x={pointed.x} width={width} />
      )}
    </Box>
  );
};
