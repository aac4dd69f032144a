import { SPAN_KINDS, frameCount, timecode } from '@odograph/core';
import type { Look } from '@odograph/core/contract';
import { useEffect, useState } from 'react';
import { useLibrary } from '../../library/index.js';
import { BenchHint, EMPTY, type Desk, type Room, type StretchInHand } from '../desk/index.js';
import { stretchHints } from '../keys/index.js';
import { StretchLine } from './StretchLine.js';
import { STRETCH_TEXT as T } from './stretches.text.js';
import { useOtherFootage } from './useOtherFootage.js';
import { useStretches, type Stretches } from './useStretches.js';

export type StretchRoom = {
  readonly spans: Stretches;
  readonly take: (stretch: StretchInHand) => void;
  readonly onLulls: () => void;
  readonly room: Room;
};

const textOf = ({ table }: Desk, { span }: StretchInHand, spans: Stretches): string => {
  const frames = spans.framesOf(span);
  return frames && table
    ? `${timecode(table, frames.inFrame)} – ${timecode(table, Math.min(frameCount(table) - 1, frames.outFrame))}`
    : '';
};

/** Stretches of the footage: how one comes into the hand, what is said of it, and how they are played. */
export const useStretchRoom = (desk: Desk, look: Look | undefined): StretchRoom => {
  const { bench, handle, hand, move, mayWrite, select } = desk;
  const { player, frame } = handle;
  const { footage } = useLibrary();
  const [isNone, setNone] = useState(false);
  const spans = useStretches(desk, look);
  const other = useOtherFootage(bench, spans);
  useEffect(() => player?.skip(spans.skips, spans.fast), [player, spans.skips, spans.fast]);
  const kinds = SPAN_KINDS.filter((kind) => kind !== 'logged throughout' || bench.footage.logged === 'picked');
  const leave = (): void => move({ does: 'take', held: EMPTY });
  const inHand = hand.is === 'stretch' ? hand.stretch : undefined;
  /** The stretch where the picture stands, or from where a clip was to begin up to there. */
  const onHere = (): void => {
    const stretch = spans.at(frame(), hand.is === 'begun' ? hand.inFrame : null);
    select();
    setNone(!stretch);
    if (stretch) move({ does: 'take', held: { is: 'stretch', stretch } });
  };
  const inHandKeys = inHand && {
    ...Object.fromEntries(kinds.map((kind, i) => [String(i + 1), () => other.say(kind)])),
    Delete: spans.forget,
    Escape: leave,
  };
  const nothing = isNone ? T.noSpan : spans.isLooking && spans.asked === 0 ? T.noLulls : undefined;
  return {
    spans,
    take: (stretch) => {
      select();
      move({ does: 'take', held: { is: 'stretch', stretch } });
      player?.seek(spans.framesOf(stretch.span)?.inFrame ?? frame());
    },
    onLulls: () => {
      select();
      spans.look(spans.msOf(frame()));
    },
    room: {
      keys: { ';': spans.nextInLulls, ...(mayWrite ? { x: onHere, ...inHandKeys } : {}) },
      ...(inHand && {
        hints: stretchHints(kinds.length),
        panel: (
          <StretchLine
            inHand={inHand}
            text={textOf(desk, inHand, spans)}
            kinds={kinds}
            more={spans.isLooking && !inHand.stands ? spans.asked : undefined}
            others={footage.filter((f) => f.id !== bench.footage.id)}
            onSay={other.say}
            onForget={spans.forget}
            onPass={spans.pass}
            onOther={other.show}
            problem={other.problem}
            onLeave={leave}
          />
        ),
      }),
      ...(hand.is === 'nothing' && nothing !== undefined && { panel: <BenchHint text={nothing} /> }),
    },
  };
};
