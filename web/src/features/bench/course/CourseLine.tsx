import { Box } from '@chakra-ui/react';
import {
  angleClock,
  courseOf,
  fileSeconds,
  footageSeconds,
  frameStartS,
  ptsOf,
  type Link,
  type TimeTable,
} from '@odograph/core';
import type { Look } from '@odograph/core/contract';
import { useCallback, useId, useMemo, useRef, useState, type PointerEvent } from 'react';
import { useSize, useStable } from '../../../design/index.js';
import { type Desk, type Edge, type StretchInHand } from '../desk/index.js';
import { type MarkHere, type Marks } from '../marks/index.js';
import { type Overlay } from '../picture/index.js';
import { type Stretches } from '../stretches/index.js';
import { Axis } from './Axis.js';
import { APART, ClipStretches } from './ClipStretches.js';
import { Course } from './Course.js';
import { Cursor, FrameSlider } from './Cursor.js';
import { Edges } from './Edges.js';
import { lanesOf } from './lanes.js';
import { LinkMarks } from './LinkMarks.js';
import { MarkLoop } from './MarkLoop.js';
import { MarkTicks } from './MarkTicks.js';
import { COURSE, HEIGHT, LEFT, RIGHT, TOP } from './measures.js';
import { Overlays, StretchFeet } from './Overlays.js';
import { Pointed } from './Pointed.js';
import { Sightings } from './Sightings.js';
import { heightAt } from './stretches.js';
import { useScale } from './useScale.js';

type Props = {
  readonly desk: Desk;
  readonly table: TimeTable;
  readonly look: Look | undefined;
  readonly overlay: Overlay;
  readonly spans: Stretches;
  readonly onStretch: (inHand: StretchInHand) => void;
  readonly links: readonly Link[];
  readonly marks: Marks;
  readonly onMark: (mark: MarkHere) => void;
  readonly onEdgeMoved: (edge: Edge, frame: number) => void;
};

/** What of a clip may not be covered by another one: its edges reach a little beyond what happened. */
const SLACK = 0.25;
const middleOf = (from: number, to: number): { readonly from: number; readonly to: number } => ({
  from: from + (to - from) * SLACK,
  to: to - (to - from) * SLACK,
});

/** What the picture can't show yet: it is still being read. */
const notReadyOf = ({ handle: { readyFrames }, bench: { angle } }: Desk) =>
  readyFrames !== null && readyFrames < angle.toFrame
    ? { fromFrame: Math.max(angle.fromFrame, readyFrames), toFrame: angle.toFrame }
    : null;

/** The odograph line of a footage (its keys are those of the picture): the course it took for the first athlete, the clips as stretches of it, the frame in hand across it. */
export const CourseLine = (props: Props): React.JSX.Element => {
  const { desk, table, look, overlay, spans, onStretch, links, marks, onMark, onEdgeMoved } = props;
  const { bench, words, handle, hand, selected, mayWrite } = desk;
  const { player } = handle;
  const [ref, { width }] = useSize({ width: 1280, height: HEIGHT });
  const svg = useRef<SVGSVGElement>(null);
  const clipId = useId();
  const [pointed, setPointed] = useState<{ readonly frame: number; readonly x: number } | null>(null);
  const scale = useScale(desk, table, width, svg);
  const { xOf, xOfS, yOf, frameAtX } = scale;
  const takeMark = useStable(onMark);
  const pick = useStable(desk.select);
  const clock = useMemo(() => angleClock(bench.angle, bench.file), [bench.angle, bench.file]);
  // a camera that stands still against the footage has no course: its clips lie level, at the times of its file
  const isTimed = clock.rate > 0;
  const runs = useMemo(() => (isTimed ? courseOf(bench.timed, 'a', words) : []), [bench.timed, words, isTimed]);
  const secondsOf = useCallback(
    (f: number): number => (isTimed ? footageSeconds(clock, ptsOf(table, f)) : frameStartS(table, f)),
    [clock, table, isTimed],
  );
  const xOfFootage = useCallback(
    (s: number): number => xOfS(isTimed ? fileSeconds(clock, s) : s),
    [xOfS, clock, isTimed],
  );
  const lanes = useMemo(
    () => lanesOf(bench.clips.map((v) => ({ id: v.clip.id, ...middleOf(v.clip.in.frame, v.clip.out.frame) }))),
    [bench.clips],
  );
  const inner = Math.max(0, width - LEFT - RIGHT);
  const onPointer = (event: PointerEvent<SVGRectElement>): void => {
    if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
    const at = frameAtX(event.clientX);
    if (event.buttons === 1) {
      player?.pause();
      player?.seek(at);
    }
    setPointed(event.buttons === 0 && event.pointerType === 'mouse' ? { frame: at, x: xOf(at) } : null);
  };
  return (
    <Box ref={ref} position="relative" height={`${HEIGHT}px`} borderTopWidth="1px" data-testid="line">
      <svg ref={svg} width={width} height={HEIGHT} style={{ display: 'block' }}>
        <Axis who={bench.athletes.a} width={width} yOf={yOf} overlay={overlay} />
        <clipPath id={clipId}>
          <rect x={LEFT - 2} y={0} width={inner + 4} height={HEIGHT} />
        </clipPath>
        <g clipPath={`url(#${clipId})`}>
          <Overlays
            {...{ look, overlay, spans, xOfS, xOf }}
            top={TOP}
            bottom={COURSE + TOP}
            notReady={notReadyOf(desk)}
          />
          {isTimed && <Course runs={runs} xOf={xOfFootage} scale={scale} />}
        </g>
        {isTimed && <LinkMarks bench={bench} links={links} xOfS={xOfFootage} y={COURSE + TOP - 5} />}
        <FrameSlider
          handle={handle}
          table={table}
          range={bench.angle}
          width={inner}
          onPointer={onPointer}
          onLeave={() => setPointed(null)}
        />
        {mayWrite && <StretchFeet spans={spans} bottom={COURSE + TOP} xOf={xOf} onStretch={onStretch} />}
        <ClipStretches
          clips={bench.clips}
          selectedId={selected?.clip.id}
          runs={runs}
          lanes={lanes}
          secondsOf={secondsOf}
          xOf={xOfFootage}
          yOf={yOf}
          onSelect={pick}
        />
        <Sightings marks={marks} table={table} words={words} scale={scale} onMark={onMark} />
        <MarkLoop marks={marks} xOf={xOf} />
        <MarkTicks
          here={marks.here}
          inHandId={marks.inHand?.moment.id}
          table={table}
          xOf={xOf}
          width={width}
          onMark={takeMark}
        />
        {hand.is === 'begun' && (
          <path
            d={`M${xOf(hand.inFrame) + 9} ${TOP}H${xOf(hand.inFrame)}V${COURSE + TOP}H${xOf(hand.inFrame) + 9}`}
            fill="none"
            stroke="var(--od-inHand)"
            strokeWidth="2.5"
          />
        )}
        <Cursor handle={handle} xOf={xOf} />
        {selected && mayWrite && (
          <Edges
            desk={desk}
            table={table}
            selected={selected}
            yOf={(frame) => yOf(heightAt(runs, secondsOf(frame))) + (lanes.get(selected.clip.id) ?? 0) * APART}
            scale={scale}
            onMoved={onEdgeMoved}
          />
        )}
      </svg>
      {pointed && look && (
        <Pointed fileId={bench.file.id} look={look} table={table} frame={pointed.frame} x={pointed.x} width={width} />
      )}
    </Box>
  );
};
