import {
  BARE_DRAWING,
  SHAPE_KINDS,
  sizeSeen,
  type Drawing,
  type DrawingChanges,
  type Instant,
  type Shape,
} from '@odograph/core';
import { useState, type ReactNode } from 'react';
import { v7 as newId } from 'uuid';
import { useDrawnHere } from '../../drawn/index.js';
import { useOwn } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { instantAt, type Desk, type Room } from '../desk/index.js';
import { DRAW_KEYS, type KeyTable } from '../keys/index.js';
import { AT_REST, drawAfter, finished, shapeOf, type DrawHand, type DrawMove } from './drawHand.js';
import { SHAPE_KEYS } from './drawing.text.js';
import { DrawLine } from './DrawLine.js';
import { DrawSurface } from './DrawSurface.js';
import { useHolds } from './useHolds.js';
import { useTrack } from './useTrack.js';

const HOLDS_MS = [0, 1000, 2000, 3000, 5000];
const STEP = 0.01;
const NONE: readonly Drawing[] = [];

/** What is drawn on this footage, and what of it lies on the frame that is shown. */
const useDrawings = ({ bench, handle, table, mayWrite }: Desk) => {
  const edit = useEdit();
  const { all, shown } = useDrawnHere(handle, bench.angle.id);
  const [here] = shown;
  const change = (changes: DrawingChanges, of: Drawing | undefined = here): void => {
    if (of && mayWrite) edit({ kind: 'drawing', id: of.id, changes });
  };
  /** Puts a shape on the drawing that lies here, or begins one on this frame. */
  const add = (shape: Shape): void => {
    if (!table || !mayWrite) return;
    const at: Instant = instantAt(table, handle.frame());
    if (here) change({ shapes: [...here.shapes, shape] });
    else
      edit({
        kind: 'new drawing',
        drawing: {
          ...{ ...BARE_DRAWING, id: newId(), version: 0, footageId: bench.footage.id, angleId: bench.angle.id },
          ...{ from: at, to: at, shapes: [shape] },
        },
      });
  };
  const remove = (): void => {
    if (here && mayWrite) edit({ kind: 'remove', what: 'drawing', id: here.id });
  };
  return { all, shown, here, change, add, remove };
};

/** Drawing on the picture: what lies on the frame is always seen while drawings are on; asked for by its key, points are set by pointer, touch or keys. */
export const useDrawRoom = (
  desk: Desk,
): { readonly room: Room; readonly onPicture: ReactNode; /** Drawings are shown. */ readonly isOn: boolean } => {
  const { bench, handle, table, hand, move, mayWrite, isMirrored, toPicture } = desk;
  const { player } = handle;
  const drawings = useDrawings(desk);
  const { all, change } = drawings;
  const [isOn, setOn] = useOwn('drawings', true);
  const [draw, setDraw] = useState(AT_REST);
  const isDrawing = mayWrite && hand.is === 'question' && hand.asks === 'draw';
  const track = useTrack(table, handle.frame);
  const here = track.of ?? drawings.here;
  useHolds(handle, all, isOn && !isDrawing);
  const shapes = here?.shapes ?? [];
  const picked = shapes.find((s) => s.id === draw.pickedId);
  const onMove = (...moves: readonly DrawMove[]): void => {
    const next = moves.reduce<DrawHand>(drawAfter, draw);
    const done = finished(next);
    if (!done) {
      setDraw(next);
      return;
    }
    const shape = shapeOf(next, done, shapes, newId());
    drawings.add(shape);
    setDraw({ ...next, points: [], pickedId: shape.kind === 'label' ? shape.id : null });
  };
  const setShapes = (changed: readonly Shape[]): void => change({ shapes: changed });
  /** Takes off the shape that is picked, or the last one; with nothing left the drawing goes. */
  const rubOut = (): void => {
    const gone = picked ?? shapes.at(-1);
    const left = shapes.filter((s) => s !== gone);
    if (left.length || here?.track.length) setShapes(left);
    else drawings.remove();
  };
  const next = (): void => {
    const at = shapes.findIndex((s) => s.id === draw.pickedId);
    onMove({ does: 'pick', id: shapes[at + 1]?.id ?? null });
  };
  const leave = (): void => {
    if (draw.points.length || draw.pickedId !== null) setDraw({ ...draw, points: [], pickedId: null });
    else {
      move({ does: 'answer' });
      toPicture();
    }
  };
  const hold = (): void => {
    const at = HOLDS_MS.indexOf(here?.holdMs ?? 0);
    change({ holdMs: HOLDS_MS[(at + 1) % HOLDS_MS.length]! });
  };
  /** Begins to keep the pointer's way and plays; ended, the drawing goes on up to the frame that is shown. */
  const record = (): void => {
    if (!here || !table) return;
    if (!track.of) {
      track.start(here);
      player?.seek(here.from.frame);
      player?.play();
      return;
    }
    player?.pause();
    change({ track: track.stop(), to: instantAt(table, Math.max(handle.frame(), here.to.frame)) }, here);
  };
  const begin = (): void => {
    player?.pause();
    setOn(true);
    move({ does: 'ask', asks: 'draw' });
  };
  const nudge = (dx: number, dy: number) => (): void => onMove({ does: 'nudge', dx: isMirrored ? -dx : dx, dy });
  const drawKeys: KeyTable = {
    ...Object.fromEntries(SHAPE_KINDS.map((kind) => [SHAPE_KEYS[kind], () => onMove({ does: 'use', kind })] as const)),
    ArrowLeft: nudge(-STEP, 0),
    ArrowRight: nudge(STEP, 0),
    ArrowUp: nudge(0, -STEP),
    ArrowDown: nudge(0, STEP),
    'shift+ArrowLeft': nudge(-5 * STEP, 0),
    'shift+ArrowRight': nudge(5 * STEP, 0),
    'shift+ArrowUp': nudge(0, -5 * STEP),
    'shift+ArrowDown': nudge(0, 5 * STEP),
    Enter: () => onMove({ does: 'set' }),
    Backspace: () => onMove({ does: 'take back' }),
    Delete: rubOut,
    e: next,
    w: () => onMove({ does: 'say whose' }),
    h: hold,
    p: record,
    ',': () => player?.step(-1),
    '.': () => player?.step(1),
    i: () => table && here && change({ from: instantAt(table, Math.min(handle.frame(), here.to.frame)) }),
    o: () => table && here && change({ to: instantAt(table, Math.max(handle.frame(), here.from.frame)) }),
    Escape: leave,
  };
  const recordKeys: KeyTable = { p: record, Escape: record };
  const lying = track.of ? [track.of] : drawings.shown;
  const seen = isOn || isDrawing ? lying : NONE;
  return {
    isOn,
    onPicture: (seen.length > 0 || isDrawing) && (
      <DrawSurface
        drawings={seen}
        size={sizeSeen(bench.angle, bench.file)}
        isMirrored={isMirrored}
        hand={isDrawing && !track.of ? draw : null}
        onMove={onMove}
        onPointer={track.onPointer}
        handle={handle}
      />
    ),
    room: {
      keys: {
        ...(mayWrite ? { '#': begin } : {}),
        '*': () => setOn(!isOn),
        ...(isDrawing ? (track.of ? recordKeys : drawKeys) : {}),
      },
      ...(isDrawing &&
        table && {
          hints: DRAW_KEYS,
          panel: (
            <DrawLine
              {...{ table, here, picked }}
              hand={draw}
              names={bench.athletes}
              others={all.filter((d) => d !== here)}
              isRecording={track.of !== undefined}
              onUse={(kind) => onMove({ does: 'use', kind })}
              onText={(text) => setShapes(shapes.map((s) => (s === picked ? { ...s, text: text.trim() } : s)))}
              onTextDone={() => onMove({ does: 'pick', id: null })}
              onHold={hold}
              onRecord={record}
              onRemove={drawings.remove}
              onGoTo={(d) => player?.seek(d.from.frame)}
            />
          ),
        }),
    },
  };
};
