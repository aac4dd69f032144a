import { timecode } from '@odograph/core';
import { EMPTY, PARTS, type Desk, type Room } from '../desk/index.js';
import { MARK_KEYS, MARK_LINE_KEYS, type KeyTable } from '../keys/index.js';
import { MarkLine } from './MarkLine.js';
import { MARK_TEXT as T } from './marks.text.js';
import { useMarks, type MarkHere, type Marks } from './useMarks.js';
import { useRound, type Round } from './useRound.js';

export type MarkRoom = Round & { readonly marks: Marks; readonly room: Room };

const textOf = ({ moment, frame }: MarkHere, { here }: Marks, { table }: Desk): string => {
  const code = table ? timecode(table, frame) : '';
  const at = here.findIndex((m) => m.moment.id === moment.id);
  return moment.state === null ? T.at(code, at + 1, here.length) : T.sighting(code);
};

/** Keys while a mark is in hand. */
const markingKeys = ({ handle: { player, frame }, line, select }: Desk, marks: Marks): KeyTable => {
  const nudge = (by: 1 | -1): void => {
    const to = marks.nudge(by);
    player?.pause();
    if (to !== undefined) player?.seek(to);
  };
  return {
    Home: () => player?.seek(marks.inHand?.frame ?? frame()),
    ',': () => nudge(-1),
    '.': () => nudge(1),
    '-': () => marks.setLoop(-1),
    '+': () => marks.setLoop(1),
    i: () => marks.setEdge('in'),
    o: () => marks.setEdge('out'),
    p: () => line.current?.focus(),
    '/': () => line.current?.focus(),
    Delete: marks.forget,
    Escape: () => select(),
  };
};

/** Marks: dropped, gone through, put right, told. */
export const useMarkRoom = (desk: Desk): MarkRoom => {
  const { bench, table, hand, move, mayWrite, isTyping, toPicture } = desk;
  const marks = useMarks(desk);
  const round = useRound(desk, marks);
  const { inHand } = marks;
  return {
    ...{ marks, ...round },
    room: {
      keys: mayWrite
        ? {
            d: marks.drop,
            ...(marks.here.length ? { j: round.toNext } : {}),
            ...(inHand ? markingKeys(desk, marks) : {}),
          }
        : {},
      ...(hand.is === 'mark' &&
        inHand &&
        table &&
        mayWrite && {
          hints: isTyping ? MARK_LINE_KEYS : MARK_KEYS,
          panel: (
            <MarkLine
              bench={bench}
              table={table}
              mark={inHand}
              marks={marks}
              line={desk.line}
              text={textOf(inHand, marks, desk)}
              onMade={(clipId) => {
                // what goes round goes on: the loop round the mark is the clip
                move({ does: 'take', held: { is: 'clip', clipId, way: PARTS } });
                toPicture();
              }}
              onSighted={() => {
                move({ does: 'take', held: EMPTY });
                toPicture();
              }}
              onLeave={toPicture}
            />
          ),
        }),
    },
  };
};
