import { useState } from 'react';
import { PARTS, wayOf, type Desk, type Room } from '../desk/index.js';
import { BOARD_KEYS } from '../keys/index.js';
import { BoardHere } from './BoardHere.js';

/** The body board, above the list: asked for by its key, or while the grips are being typed. */
export const useBoardRoom = (desk: Desk): { readonly onGrips: (isHere: boolean) => void; readonly room: Room } => {
  const { hand, move, selected, mayWrite, isTyping, toPicture } = desk;
  const [isGripping, setGripping] = useState(false);
  const isAsked = wayOf(hand)?.by === 'board';
  const open = (): void => move({ does: 'tell', way: { by: 'board' } });
  return {
    onGrips: setGripping,
    room:
      !selected || !mayWrite
        ? {}
        : {
            keys: { h: open },
            ...(isAsked && !isTyping && { hints: BOARD_KEYS }),
            ...((isAsked || isGripping) && {
              above: (
                <BoardHere
                  desk={desk}
                  view={selected}
                  isAsked={isAsked}
                  onTaken={open}
                  onLeave={() => {
                    move({ does: 'tell', way: PARTS });
                    toPicture();
                  }}
                />
              ),
            }),
          },
  };
};
