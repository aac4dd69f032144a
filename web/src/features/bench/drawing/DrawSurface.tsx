import { atPixels, distanceTo, type Drawing, type PictureSize, type Point } from '@odograph/core';
import { useRef, useState, type PointerEvent } from 'react';
import { Drawn, DrawnShapes, OverPicture, drawnSaid, placeIn } from '../../drawn/index.js';
import type { PlayerHandle } from '../../player/index.js';
import { shapeOf, type DrawHand, type DrawMove } from './drawHand.js';
import { DRAWING_TEXT as T } from './drawing.text.js';

/** So near a shape the pointer picks it, in parts of the picture's height. */
const NEAR = 1 / 40;

type Props = {
  readonly drawings: readonly Drawing[];
  readonly size: PictureSize;
  readonly isMirrored: boolean;
  /** The hand that draws; null while nobody does. */ readonly hand: DrawHand | null;
  readonly onMove: (...moves: readonly DrawMove[]) => void;
  /** Where the pointer is, while its way is kept. */ readonly onPointer: ((at: Point) => void) | null;
  readonly handle: PlayerHandle;
};

/** What is drawn on the frame that is shown, and, while somebody draws, where points are set; it lies on the picture as the picture lies in its box. */
export const DrawSurface = ({
  drawings,
  size,
  isMirrored,
  hand,
  onMove,
  onPointer,
  handle,
}: Props): React.JSX.Element => {
  const svg = useRef<SVGSVGElement>(null);
  // where the pointer is, known here alone: the bench isn't drawn anew with each of its moves; a key takes the cross back
  const [hover, setHover] = useState<{ readonly at: Point; readonly cross: Point } | null>(null);
  const shapes = drawings.flatMap((d) => d.shapes);
  const placeOf = (event: PointerEvent): Point | undefined => placeIn(svg.current, event, size, isMirrored);
  const onDown = (event: PointerEvent): void => {
    const at = placeOf(event);
    if (!at || event.button !== 0) return;
    event.preventDefault();
    const pixels = atPixels(at, size, isMirrored);
    const near =
      event.ctrlKey || event.metaKey
        ? shapes.find((s) => distanceTo(s, pixels, size, isMirrored) < size.height * NEAR)
        : undefined;
    if (near) onMove({ does: 'pick', id: near.id });
    else onMove({ does: 'point', at }, { does: 'set' });
  };
  const at = hover?.cross === hand?.cross ? hover?.at : hand?.cross;
  const cross = hand && at && atPixels(at, size, isMirrored);
  const unit = size.height / 30;
  const begun = hand?.points.length ? shapeOf(hand, [...hand.points, at!], shapes, 'begun') : undefined;
  return (
    <OverPicture
      ref={svg}
      size={size}
      data-testid="drawn"
      style={{
        pointerEvents: hand || onPointer ? 'auto' : 'none',
        touchAction: hand ? 'none' : 'auto',
        cursor: hand ? 'crosshair' : 'default',
      }}
      role="img"
      aria-label={hand ? T.surface : drawnSaid(drawings, size)}
      onPointerDown={hand ? onDown : undefined}
      onPointerMove={(event) => {
        const at = placeOf(event);
        if (!at) return;
        if (hand) setHover({ at, cross: hand.cross });
        onPointer?.(at);
      }}
    >
      <DrawnShapes
        {...{ drawings, handle, size, isMirrored }}
        pickedId={hand?.pickedId ?? null}
        hasPointer={!onPointer}
      />
      {begun && <Drawn shape={begun} size={size} isMirrored={isMirrored} />}
      {cross && (
        <path
          data-testid="cross"
          d={`M${cross.x - unit} ${cross.y}H${cross.x + unit}M${cross.x} ${cross.y - unit}V${cross.y + unit}`}
          stroke="#fff8e6"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      )}
    </OverPicture>
  );
};
