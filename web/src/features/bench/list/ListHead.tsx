import { Box, Flex } from '@chakra-ui/react';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { Action, Choice, Heading } from '../../../design/index.js';
import { SaveVideo } from '../../cuts/index.js';
import { failureText, useOwn } from '../../library/index.js';
import { useRemoveAngleMutation } from '../../server/index.js';
import { LineUpPanel, type CameraRoom } from '../cameras/index.js';
import { ClockHere, type MatchClock } from '../clock/index.js';
import { cameraName, type Desk, type OnBench } from '../desk/index.js';
import { MarksHere, type MarkRoom } from '../marks/index.js';
import type { SideTelling } from '../phrase/index.js';
import { StretchesHere, type StretchRoom } from '../stretches/index.js';
import { CaptionsHere } from './CaptionsHere.js';
import { LIST_TEXT as T } from './list.text.js';
import { SidesHere } from './SidesHere.js';

export type HeadProps = {
  readonly desk: Desk;
  readonly camera: CameraRoom;
  readonly clock: MatchClock;
  readonly stretches: StretchRoom;
  readonly marks: MarkRoom;
  readonly telling: SideTelling;
};

/** Who wears what. */
const Kits = ({ bench: { athletes, footage } }: { readonly bench: OnBench }): React.JSX.Element => (
  <>
    {(
      [
        ['us', athletes.a, footage.kitA],
        ['them', athletes.b, footage.kitB],
      ] as const
    ).map(([color, name, kit], i) => (
      <span key={color}>
        {i > 0 && ', '}
        <Box as="span" color={color} fontWeight="600">
          {name}
        </Box>
        {T.wears(kit)}
      </span>
    ))}
  </>
);

/** What matters now, in one line: who is who as long as nothing is told, then what there is and what waits. */
const InShort = ({ desk: { bench, mayWrite }, marks }: HeadProps): React.JSX.Element => {
  const { clips } = bench;
  if (!clips.length) return <Kits bench={bench} />;
  const doubts = [...new Set(clips.map((v) => v.attempt))].reduce((n, a) => n + a.doubts.length, 0);
  const drafts = clips.filter((v) => v.missing.length > 0).length;
  const proposed = clips.filter((v) => v.attempt.proposed.length > 0).length;
  const waiting = marks.marks.here.length;
  return (
    <>
      <span data-testid="clip-count">
        {T.count(clips.length, drafts)}
        {proposed > 0 && T.proposed(proposed)}
        {doubts > 0 && (
          <>
            {', '}
            <Link to="/doubts">{T.doubts(doubts)}</Link>
          </>
        )}
      </span>
      {mayWrite && waiting > 0 && (
        <>
          {'; '}
          <Action tone="quiet" fontSize="14px" paddingBlock="0" onClick={marks.toNext}>
            {T.marks(waiting)}
          </Action>
        </>
      )}
    </>
  );
};

/** Which camera is in hand, and how it is lined up. */
const CamerasHere = ({ desk: { bench, mayWrite }, camera }: HeadProps): React.JSX.Element => {
  const [removeAngle, { error: refusal }] = useRemoveAngleMutation();
  const takeOff = (): void => {
    const { id, version } = bench.angle;
    // without it the bench goes to the first camera by itself
    void removeAngle({ id, body: { editId: newId(), baseVersion: version } });
  };
  return (
    <Box marginTop="2">
      <Choice
        label={T.camera}
        name="camera"
        value={bench.angle.id}
        options={bench.cameras.map((c) => [c.angle.id, cameraName(c)] as const)}
        onChange={camera.cameras.show}
        isTight
      />
      {mayWrite && (
        <LineUpPanel
          angle={bench.angle}
          lineUp={camera.lineUp}
          same={camera.same}
          onTakeOff={bench.clips.length === 0 ? takeOff : undefined}
        />
      )}
      {refusal && (
        <Box role="alert" color="caution" fontSize="14px">
          {failureText(refusal)}
        </Box>
      )}
    </Box>
  );
};

/** All there is to know and to set of the footage on the bench. */
const About = ({ desk, clock, stretches, marks, telling }: HeadProps): React.JSX.Element => {
  const { bench, handle, mayWrite, selected } = desk;
  return (
    <Box fontSize="14px" data-testid="about">
      {bench.clips.length > 0 && (
        <Box marginTop="1">
          <Kits bench={bench} />
        </Box>
      )}
      {handle.kept !== null && (
        <Box color="inkSoft" marginTop="1" data-testid="kept">
          {T.kept(handle.kept)}
        </Box>
      )}
      {mayWrite && !clock.contradictions.length && <ClockHere clock={clock} />}
      <StretchesHere spans={stretches.spans} mayWrite={mayWrite} onLook={stretches.onLulls} />
      {mayWrite && <MarksHere marks={marks.marks} onNext={marks.toNext} />}
      <SidesHere bench={bench} telling={telling} mayWrite={mayWrite} />
      {mayWrite && <CaptionsHere fileId={bench.file.id} />}
      {mayWrite && selected && (
        <Box marginTop="1">
          <SaveVideo key={selected.clip.id} clipIds={[selected.clip.id]} isSmall />
        </Box>
      )}
    </Box>
  );
};

/** What stands above the clips: the title, what matters now, and the rest when it is asked for. */
export const ListHead = (props: HeadProps): React.JSX.Element => {
  const { bench } = props.desk;
  const [isOpen, setOpen] = useOwn<boolean>('odograph.about', false);
  return (
    <Box paddingInline="4" paddingTop="3" paddingBottom="2.5" borderBottomWidth="1px">
      <Heading fontSize="22px" lineClamp="2" title={bench.footage.title}>
        {bench.footage.title}
      </Heading>
      <Flex fontSize="14px" marginTop="1" gap="3" alignItems="baseline" justifyContent="space-between">
        <Box color="inkSoft">
          <InShort {...props} />
        </Box>
        <Action
          tone="quiet"
          fontSize="14px"
          paddingBlock="0"
          flexShrink="0"
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? T.less : T.more}
        </Action>
      </Flex>
      {bench.cameras.length > 1 && <CamerasHere {...props} />}
      {props.desk.mayWrite && props.clock.contradictions.length > 0 && <ClockHere clock={props.clock} />}
      {isOpen && <About {...props} />}
    </Box>
  );
};
