import { type Edge } from '../desk/index.js';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { EDGE_HANDLE_TEXT } from './course.text.js';

type Props = {
  readonly edge: Edge;
  readonly frame: number;
  readonly xOf: (frame: number) => number;
  readonly y: number;
  readonly text: string;
  readonly limits: readonly [least: number, most: number];
  readonly frameAtX: (clientX: number) => number;
  /** It is in hand. */ readonly isDragged: boolean;
  readonly onDrag: (is: boolean) => void;
  readonly onMoving: (frame: number) => void;
  readonly onMoved: (frame: number) => void;
};

/** An edge of the clip in hand: dragged with the pointer, moved by the arrow keys when it has the focus. */
export const EdgeHandle = ({
  edge,
  frame,
  xOf,
  y,
  text,
  limits,
  frameAtX,
  isDragged,
  onDrag,
  onMoving,
  onMoved,
}: Props): React.JSX.Element => {
  const [to, setDraggedTo] = useState<number | null>(null);
  // given up by key, it is dragged no more
  const draggedTo = isDragged ? to : null;
  const x = xOf(draggedTo ?? frame);
  const within = (f: number): number => Math.min(limits[1], Math.max(limits[0], f));
  const onMove = (event: PointerEvent<SVGGElement>): void => {
    if (draggedTo === null) return;
    const next = within(frameAtX(event.clientX));
    if (next === draggedTo) return;
    setDraggedTo(next);
    onMoving(next);
  };
  const letGo = (): void => {
    setDraggedTo(null);
    if (isDragged) onDrag(false);
  };
  const onUp = (): void => {
    if (draggedTo !== null && draggedTo !== frame) onMoved(draggedTo);
    letGo();
  };
  const onKey = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const next = within(frame + by * (event.shiftKey ? 10 : 1));
    if (next === frame) return;
    onMoving(next);
    onMoved(next);
  };
  return (
    <g
      tabIndex={0}
      role="slider"
      aria-label={edge === 'in' ? EDGE_HANDLE_TEXT.in : EDGE_HANDLE_TEXT.out}
      aria-valuemin={limits[0]}
      aria-valuemax={limits[1]}
      aria-valuenow={frame}
      aria-valuetext={text}
      data-testid={`edge-${edge}`}
      style={{ cursor: 'ew-resize', touchAction: 'none' }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setDraggedTo(frame);
        onDrag(true);
      }}
      onPointerMove={onMove}
      onPointerUp={onUp}
      onPointerCancel={letGo}
      onKeyDown={onKey}
    >
      {draggedTo !== null && <path d={`M${xOf(frame)} ${y}H${x}`} stroke="var(--od-inHand)" strokeWidth="3" />}
      <rect x={x - 8} y={y - 15} width="16" height="30" fill="transparent" />
      <rect x={edge === 'in' ? x - 5 : x} y={y - 11} width="5" height="22" fill="var(--od-inHand)" />
    </g>
  );
};
