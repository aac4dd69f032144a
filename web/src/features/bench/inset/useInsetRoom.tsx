import { Box } from '@chakra-ui/react';
import { movedRegion, regionBetween, sizedRegion, type PictureSize, type Point, type Region } from '@odograph/core';
import { useRef, useState, type PointerEvent } from 'react';
import { useSearchParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { OverPicture, placeIn } from '../../drawn/index.js';
import { failureText } from '../../library/index.js';
import { useNewAngleMutation } from '../../server/index.js';
import { BenchHint, type Desk, type Room } from '../desk/index.js';
import { INSET_KEYS } from '../keys/index.js';
import { INSET_TEXT as T } from './inset.text.js';

/** Where an inset mostly is: the upper right corner. */
const USUAL: Region = { left: 0.7, top: 0, right: 1, bottom: 0.3 };
/** By so much of the picture an arrow moves it. */
const STEP = 0.01;

/** The box that is laid round the inset, everything else darker; a drag lays it anew. */
const InsetSurface = ({
  region,
  size,
  isMirrored,
  onRegion,
}: {
  readonly region: Region;
  readonly size: PictureSize;
  readonly isMirrored: boolean;
  readonly onRegion: (region: Region) => void;
}): React.JSX.Element => {
  const svg = useRef<SVGSVGElement>(null);
  const from = useRef<Point | null>(null);
  const { width, height } = size;
  const placeOf = (event: PointerEvent): Point | undefined => placeIn(svg.current, event, size, isMirrored);
  const lay = (event: PointerEvent): void => {
    const to = placeOf(event);
    const laid = from.current && to && regionBetween(from.current, to);
    if (laid) onRegion(laid);
  };
  const box = {
    x: (isMirrored ? 1 - region.right : region.left) * width,
    y: region.top * height,
    width: (region.right - region.left) * width,
    height: (region.bottom - region.top) * height,
  };
  const around = `M0 0H${width}V${height}H0ZM${box.x} ${box.y}v${box.height}h${box.width}v${-box.height}Z`;
  return (
    <OverPicture
      ref={svg}
      size={size}
      role="img"
      aria-label={T.surface}
      data-testid="inset"
      style={{ cursor: 'crosshair', touchAction: 'none' }}
      onPointerDown={(event) => {
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = placeOf(event) ?? null;
      }}
      onPointerMove={(event) => from.current && lay(event)}
      onPointerUp={(event) => {
        lay(event);
        from.current = null;
      }}
    >
      <path d={around} fill="rgba(12, 14, 12, 0.6)" />
      <rect {...box} fill="none" stroke="#fff8e6" strokeWidth={2} vectorEffect="non-scaling-stroke" />
    </OverPicture>
  );
};

/** A second camera in a corner of the picture, marked once: from then on it is a camera like any other, with the same frames. */
export const useInsetRoom = (desk: Desk): { readonly room: Room; readonly onPicture: React.ReactNode } => {
  const { bench, hand, move, mayWrite, isMirrored, selected, toPicture } = desk;
  const [region, setRegion] = useState(USUAL);
  const [newAngle, { error }] = useNewAngleMutation();
  const [, setSearch] = useSearchParams();
  const { angle, file, footage } = bench;
  // an inset has none of its own
  if (!mayWrite || angle.region) return { room: {}, onPicture: null };
  const isAsked = hand.is === 'question' && hand.asks === 'inset';
  const leave = (): void => {
    move({ does: 'answer' });
    toPicture();
  };
  const keep = async (): Promise<void> => {
    const id = newId();
    const { fromFrame, toFrame, offsetMs, rate, kind } = angle;
    const body = { editId: newId(), id, fileId: file.id, fromFrame, toFrame, offsetMs, rate, kind, region };
    const made = await newAngle({ footageId: footage.id, body });
    if (made.error) return;
    leave();
    // the attempt in hand is still in hand there, to be cut from it as well
    const of = selected ? { of: selected.attempt.id } : {};
    setSearch({ camera: id, frame: String(desk.handle.frame()), ...of }, { replace: true });
  };
  // turned over, its right is where the picture's left is
  const right = isMirrored ? -STEP : STEP;
  const ways = { ArrowLeft: [-right, 0], ArrowRight: [right, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] } as const;
  const arrows = Object.fromEntries(
    Object.entries(ways).flatMap(([key, [x, y]]) => [
      [key, () => setRegion((r) => movedRegion(r, { x, y }))],
      [`shift+${key}`, () => setRegion((r) => sizedRegion(r, { x, y }))],
    ]),
  );
  return {
    room: isAsked
      ? {
          keys: { ...arrows, Enter: () => void keep(), Escape: leave },
          hints: INSET_KEYS,
          panel: (
            <>
              <BenchHint text={T.hint} />
              {error && (
                <Box role="alert" color="caution" paddingInline="4">
                  {failureText(error)}
                </Box>
              )}
            </>
          ),
        }
      : { keys: { _: () => move({ does: 'ask', asks: 'inset' }) } },
    onPicture: isAsked && <InsetSurface region={region} size={file} isMirrored={isMirrored} onRegion={setRegion} />,
  };
};
