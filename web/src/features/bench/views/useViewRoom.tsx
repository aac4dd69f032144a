import { Box, Flex } from '@chakra-ui/react';
import {
  VIEW_KINDS,
  VIEW_WORDS,
  frameCount,
  timecode,
  withViewFrom,
  withViewTo,
  type TimeTable,
  type ViewStretch,
} from '@odograph/core';
import { v7 as newId } from 'uuid';
import { Action, Bare, Mono } from '../../../design/index.js';
import { useEdit } from '../../replica/index.js';
import { instantAt, type Desk, type Room } from '../desk/index.js';
import { VIEW_KEYS } from '../keys/index.js';
import { VIEWS_TEXT as T } from './views.text.js';

/** What is said of the clip in hand, each with the way to take it off. */
const Said = ({
  views,
  table,
  onRemove,
}: {
  readonly views: readonly ViewStretch[];
  readonly table: TimeTable;
  readonly onRemove: (view: ViewStretch) => void;
}): React.JSX.Element => (
  <Flex gap="4" wrap="wrap" color="inkSoft" fontSize="15px" marginTop="2">
    {views.map((view) => {
      const code = (frame: number): string => timecode(table, Math.min(frame, frameCount(table) - 1));
      const what = T.stretch(VIEW_WORDS[view.kind], code(view.in.frame), code(view.out.frame));
      return (
        <Box key={view.id} data-testid="view-stretch">
          {what}{' '}
          <Bare type="button" aria-label={T.remove(what)} onClick={() => onRemove(view)}>
            ×
          </Bare>
        </Box>
      );
    })}
  </Flex>
);

/** How well the clip in hand shows what happens, from the frame that is shown on: asked by a key, answered by a digit. */
export const useViewRoom = ({ handle, table, hand, move, mayWrite, selected, toPicture }: Desk): Room => {
  const edit = useEdit();
  const clip = selected?.clip;
  if (!mayWrite || !clip || !table) return {};
  const leave = (): void => {
    move({ does: 'answer' });
    toPicture();
  };
  const keep = (views: readonly ViewStretch[]): void => edit({ kind: 'clip', id: clip.id, changes: { views } });
  const now = instantAt(table, handle.frame());
  const say = (kind: ViewStretch['kind']): void => {
    keep(withViewFrom(clip, kind, instantAt(table, handle.frame()), newId()));
    leave();
  };
  const end = (): void => {
    keep(withViewTo(clip.views, instantAt(table, handle.frame())));
    leave();
  };
  const keys = {
    ...Object.fromEntries(VIEW_KINDS.map((kind, i) => [String(i + 1), () => say(kind)] as const)),
    '0': end,
    Escape: leave,
  };
  const isAsked = hand.is === 'question' && hand.asks === 'view';
  return {
    keys: { '%': () => move({ does: 'ask', asks: 'view' }), ...(isAsked ? keys : {}) },
    ...(isAsked && {
      hints: VIEW_KEYS,
      panel: (
        <Box as="section" aria-label={T.label} paddingInline="4" paddingBlock="2">
          <Flex gap="1.5" alignItems="center" wrap="wrap">
            <Box marginRight="2">{T.from(timecode(table, now.frame))}</Box>
            {VIEW_KINDS.map((kind, i) => (
              <Action key={kind} fontSize="16px" paddingBlock="1" onClick={() => say(kind)}>
                <Mono fontSize="12px">{i + 1}</Mono>
                {VIEW_WORDS[kind]}
              </Action>
            ))}
            <Action tone="quiet" fontSize="16px" paddingBlock="1" onClick={end}>
              <Mono fontSize="12px">0</Mono>
              {T.end}
            </Action>
          </Flex>
          <Said
            views={clip.views}
            table={table}
            onRemove={(view) => keep(clip.views.filter((v) => v.id !== view.id))}
          />
        </Box>
      ),
    }),
  };
};
