import { Box, Flex } from '@chakra-ui/react';
import { useRef } from 'react';
import { useBoardRoom } from './board/index.js';
import { useCameraRoom, type Remembered } from './cameras/index.js';
import { useClipRoom } from './clip/index.js';
import { useClockRoom } from './clock/index.js';
import { CourseLine } from './course/index.js';
import { DESK_TEXT as T, together, useDesk, useKeySheetRoom, type OnBench } from './desk/index.js';
import { useDrawRoom } from './drawing/index.js';
import { KeyHints, OwnKeysHere, isWrittenInto, usePictureKeys } from './keys/index.js';
import { useInsetRoom } from './inset/index.js';
import { useLeadRoom } from './lead/index.js';
import { ClipsHere } from './list/index.js';
import { useMarkRoom } from './marks/index.js';
import { usePhraseRoom, useTelling } from './phrase/index.js';
import { PictureHere, usePictureRoom } from './picture/index.js';
import { useReasonsRoom } from './reasons/index.js';
import { useStretchRoom } from './stretches/index.js';
import { useTodoRoom } from './todo/index.js';
import { useViewRoom } from './views/index.js';

/** Room for a sentence of two lines and what stands under it, in pixels. */
const UNDER = '118px';

/** One footage on the bench as one camera saw it: picture, clips, phrase and line, and the keys for all of it. */
export const BenchTable = ({
  bench,
  remembered,
}: {
  readonly bench: OnBench;
  readonly remembered: readonly [Remembered, (next: Remembered) => void];
}): React.JSX.Element => {
  const root = useRef<HTMLDivElement>(null);
  const desk = useDesk(bench, root);
  const { table, handle, isMirrored } = desk;
  const sheet = useKeySheetRoom(desk);
  const picture = usePictureRoom(desk);
  const drawing = useDrawRoom(desk);
  const inset = useInsetRoom(desk);
  const todo = useTodoRoom(desk);
  const lead = useLeadRoom(desk, drawing.isOn);
  const views = useViewRoom(desk);
  const clock = useClockRoom(desk);
  const stretches = useStretchRoom(desk, picture.look);
  const marks = useMarkRoom(desk);
  const clip = useClipRoom(desk);
  const board = useBoardRoom(desk);
  const reasons = useReasonsRoom(desk);
  const telling = useTelling(desk);
  const { fresh, onTaken, lookAt } = clip.cutting;
  const beside = { telling, fresh, onTaken, onSame: lookAt, onGrips: board.onGrips, detail: clip.detail };
  const phrase = usePhraseRoom(desk, beside);
  const camera = useCameraRoom(desk, stretches.spans.msOf, remembered);
  // who comes first where several have the same key, or something to say
  const now = together([
    drawing.room,
    inset.room,
    todo,
    lead.room,
    views,
    clock.room,
    stretches.room,
    marks.room,
    reasons,
    clip.room,
    board.room,
    phrase,
    camera.room,
    sheet.room,
    picture.room,
    clip.resting,
  ]);
  usePictureKeys(now.keys, sheet.own);
  return (
    <OwnKeysHere value={sheet.own}>
      <Flex
        ref={root}
        tabIndex={-1}
        direction="column"
        height="100%"
        minHeight="0"
        outline="none"
        onFocus={(e) => desk.setTyping(isWrittenInto(e.target))}
        onBlur={() => desk.setTyping(false)}
      >
        <Flex flex="1" minHeight="240px">
          <Box flex="1" minWidth="0" position="relative">
            <PictureHere
              bench={bench}
              handle={handle}
              clock={clock.clock}
              overlay={picture.overlay}
              isMirrored={isMirrored}
            >
              {lead.onPicture}
              {drawing.onPicture}
              {inset.onPicture}
            </PictureHere>
          </Box>
          {/* what is told needs room; a narrow window shows the picture, the line and what is in hand */}
          <Flex direction="column" width="400px" flexShrink="0" minHeight="0" display={{ base: 'none', lg: 'flex' }}>
            {now.above}
            {now.instead ??
              (table ? (
                <ClipsHere
                  {...{ desk, table, camera, clock: clock.clock, stretches, marks, telling, links: clip.links }}
                />
              ) : (
                <Box padding="4">{T.loading}</Box>
              ))}
          </Flex>
        </Flex>
        {/* it has its room from the start, and grows over the picture: what is seen doesn't jump while it is told */}
        <Box position="relative" height={UNDER} flexShrink="0">
          <Flex
            direction="column"
            justifyContent="center"
            position="absolute"
            insetX="0"
            bottom="0"
            minHeight="100%"
            background="ground"
            borderTopWidth="1px"
            zIndex="1"
          >
            {now.panel}
          </Flex>
        </Box>
        {table && (
          <CourseLine
            {...{ desk, table, look: picture.look, overlay: picture.overlay, spans: stretches.spans }}
            onStretch={stretches.take}
            links={clip.links}
            marks={marks.marks}
            onMark={marks.takeMark}
            onEdgeMoved={clip.cutting.moveEdge}
          />
        )}
        <KeyHints hints={now.hints} keys={now.keys} own={sheet.own} onAll={sheet.open} />
      </Flex>
    </OwnKeysHere>
  );
};
