import { Box, Flex } from '@chakra-ui/react';
import { SHAPE_KINDS, timecode, type Drawing, type Shape, type ShapeKind, type TimeTable } from '@odograph/core';
import { useEffect, useRef } from 'react';
import { Action, Choice, Ruled } from '../../../design/index.js';
import { SHAPE_TEXT } from '../../drawn/index.js';
import type { DrawHand } from './drawHand.js';
import { DRAWING_TEXT as T, SHAPE_KEYS } from './drawing.text.js';

type Props = {
  readonly hand: DrawHand;
  readonly names: Readonly<Record<'a' | 'b', string>>;
  readonly table: TimeTable;
  readonly here: Drawing | undefined;
  readonly others: readonly Drawing[];
  readonly picked: Shape | undefined;
  readonly isRecording: boolean;
  readonly onUse: (kind: ShapeKind) => void;
  readonly onText: (text: string) => void;
  readonly onTextDone: () => void;
  readonly onHold: () => void;
  readonly onRecord: () => void;
  readonly onRemove: () => void;
  readonly onGoTo: (drawing: Drawing) => void;
};

/** Words for the shape that is picked; they have the hand while it's new. */
const Words = ({
  shape,
  onText,
  onDone,
}: {
  readonly shape: Shape;
  readonly onText: (text: string) => void;
  readonly onDone: () => void;
}): React.JSX.Element => {
  const field = useRef<HTMLInputElement>(null);
  const isFresh = shape.kind === 'label' && shape.text === '';
  useEffect(() => {
    if (isFresh) field.current?.focus();
  }, [isFresh]);
  return (
    <Box as="label" display="flex" gap="2" alignItems="baseline">
      {T.words}
      <Ruled
        ref={field}
        width="200px"
        maxLength={80}
        defaultValue={shape.text}
        onBlur={(e) => e.currentTarget.value !== shape.text && onText(e.currentTarget.value)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter' && e.key !== 'Escape') return;
          e.preventDefault();
          e.currentTarget.blur();
          onDone();
        }}
      />
    </Box>
  );
};

/** What is drawn with, what comes next, and what of this footage is drawn on already. */
export const DrawLine = (props: Props): React.JSX.Element => {
  const { hand, names, table, here, others, picked } = props;
  const whose = hand.whose === null ? T.nobody : names[hand.whose];
  return (
    <Box paddingInline="4" paddingBlock="2" role="group" aria-label={T.drawing}>
      <Flex alignItems="center" gap="4" wrap="wrap">
        <Choice
          label={T.tools}
          name="tool"
          value={hand.kind}
          isTight
          options={SHAPE_KINDS.map((kind) => [kind, T.tool(SHAPE_TEXT[kind], SHAPE_KEYS[kind])])}
          onChange={props.onUse}
        />
        {picked ? (
          <Words key={picked.id} shape={picked} onText={props.onText} onDone={props.onTextDone} />
        ) : (
          <Box color="inkSoft">{T.next(hand.kind, hand.points.length)}</Box>
        )}
        <Box color={hand.whose === 'a' ? 'us' : hand.whose === 'b' ? 'them' : 'inkSoft'}>{whose}</Box>
        <Box role="status" className="sr-only">
          {T.cross(hand.cross.x, hand.cross.y)}
        </Box>
      </Flex>
      <Flex alignItems="center" gap="4" wrap="wrap" marginTop="2" fontSize="15px">
        {here ? (
          <>
            <Box>
              {T.here}: {T.shapes(here.shapes.length)},{' '}
              {T.frames(timecode(table, here.from.frame), timecode(table, here.to.frame))}
              {here.track.length > 0 && `, ${T.hasTrack}`}
            </Box>
            <Action tone="quiet" aria-label={T.holdLabel} onClick={props.onHold}>
              {T.hold(here.holdMs)}
            </Action>
            <Action tone="quiet" aria-pressed={props.isRecording} onClick={props.onRecord}>
              {props.isRecording ? T.recording : T.record}
            </Action>
            <Action tone="quiet" onClick={props.onRemove}>
              {T.remove}
            </Action>
          </>
        ) : (
          <Box color="inkSoft">{T.none}</Box>
        )}
        {others.length > 0 && (
          <Flex gap="2" alignItems="baseline">
            <Box color="inkSoft">{T.elsewhere}:</Box>
            {others.map((d) => {
              const code = timecode(table, d.from.frame);
              return (
                <Action key={d.id} tone="quiet" aria-label={T.goTo(code)} onClick={() => props.onGoTo(d)}>
                  {code}
                </Action>
              );
            })}
          </Flex>
        )}
      </Flex>
    </Box>
  );
};
