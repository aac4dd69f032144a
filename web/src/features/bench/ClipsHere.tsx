import { Box } from '@chakra-ui/react';
import { timecode, type TimeTable } from '@odograph/core';
import { memo, useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { Choice, Heading, Mono, PickRow, ResultMark, Sentence } from '../../design/index.js';
import { SaveVideo } from '../cuts/index.js';
import { failureText, type ClipView } from '../library/index.js';
import { useRemoveAngleMutation } from '../server/index.js';
import { BENCH_TEXT as T, SIDES_TEXT as S } from './bench.text.js';
import { Caps } from './Caps.js';
import { CaptionsHere } from './CaptionsHere.js';
import { ClockHere } from './ClockHere.js';
import { MarksHere } from './MarksHere.js';
import type { Marks } from './useMarks.js';
import { LineUpPanel } from './LineUpPanel.js';
import { cameraName, type OnBench } from './useBenchClips.js';
import type { MatchClock } from './useClock.js';
import { useStable } from './useStable.js';
import { SidesHere } from './SidesHere.js';
import type { SideTelling } from './useTelling.js';
import { SpansHere } from './SpansHere.js';
import type { LineUp } from './useLineUp.js';
import type { SameInstant } from './useSameInstant.js';
import type { Spans } from './useSpans.js';

type Props = {
  readonly bench: OnBench;
  readonly table: TimeTable;
  readonly selectedId: string | undefined;
  readonly onSelect: (clipId: string) => void;
  readonly onCamera: (angleId: string) => void;
  /** How the camera in hand is lined up; nothing for somebody who only watches. */
  readonly lineUp: LineUp | undefined;
  readonly clock: MatchClock | undefined;
  readonly same: SameInstant;
  readonly spans: Spans;
  readonly onLulls: () => void;
  /** Marks that wait; nothing for somebody who only watches. */
  readonly marks: Marks | undefined;
  readonly onMark: () => void;
  readonly telling: SideTelling;
  /** How much of the picture lies in this browser, 0 … 1; null where it is not kept. */ readonly kept: number | null;
};

const Row = memo(function Row({
  view,
  said,
  table,
  isSelected,
  onSelect,
}: {
  readonly view: ClipView;
  readonly said: ClipView['said'];
  readonly table: TimeTable;
  readonly isSelected: boolean;
  readonly onSelect: (clipId: string) => void;
}): React.JSX.Element {
  const row = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (isSelected) row.current?.scrollIntoView({ block: 'nearest' });
  }, [isSelected]);
  return (
    <PickRow ref={row} isPicked={isSelected} onPick={() => onSelect(view.clip.id)} says="current" inset="4">
      <Mono fontSize="13px" color="inkSoft" display="flex" gap="2">
        {timecode(table, view.clip.in.frame)}
        {view.attempt.result && (
          <Box as="span" color="ink">
            <ResultMark result={view.attempt.result} />
          </Box>
        )}
        {view.missing.length > 0 && (
          <Box as="span" fontFamily="heading" fontSize="14px" color="ink">
            draft: {view.missing.map((part) => T.missing[part]).join(', ')} not said
          </Box>
        )}
      </Mono>
      <Box fontSize="15px" lineHeight="1.35">
        <Sentence said={said} subject={view.attempt.subject} />
      </Box>
    </PickRow>
  );
});

/** The clips of the footage on the bench, as sentences, in the order in which things happened. */
export const ClipsHere = ({
  bench,
  table,
  selectedId,
  onSelect,
  onCamera,
  lineUp,
  clock,
  same,
  spans,
  onLulls,
  marks,
  onMark,
  kept,
  telling,
}: Props): React.JSX.Element => {
  const pick = useStable(onSelect);
  const [removeAngle, { error: refusal }] = useRemoveAngleMutation();
  const takeOff = (): void => {
    const { id, version } = bench.angle;
    // without it the bench goes to the first camera by itself
    void removeAngle({ id, body: { editId: newId(), baseVersion: version } });
  };
  const doubts = [...new Set(bench.clips.map((v) => v.attempt))].reduce((n, a) => n + a.doubts.length, 0);
  const drafts = bench.clips.filter((v) => v.missing.length > 0).length;
  const proposed = bench.clips.filter((v) => v.attempt.proposed.length > 0).length;
  return (
    <Box as="section" aria-label="Clips of this footage" height="100%" overflowY="auto" borderLeftWidth="1px">
      <Box paddingInline="4" paddingTop="3" paddingBottom="2.5" borderBottomWidth="1px">
        <Heading fontSize="22px">{bench.footage.title}</Heading>
        <Box fontSize="14px" marginTop="1">
          <Box as="span" color="us" fontWeight="600">
            {bench.athletes.a}
          </Box>
          <Box as="span" color="inkSoft">{` in ${bench.footage.kitA || 'kit not said'}`}</Box>
          <br />
          <Box as="span" color="them" fontWeight="600">
            {bench.athletes.b}
          </Box>
          <Box as="span" color="inkSoft">{` in ${bench.footage.kitB || 'kit not said'}`}</Box>
        </Box>
        {bench.cameras.length > 1 && (
          <Box marginTop="2">
            <Choice
              label={T.camera}
              name="camera"
              value={bench.angle.id}
              options={bench.cameras.map((c) => [c.angle.id, cameraName(c)] as const)}
              onChange={onCamera}
              isTight
            />
            {lineUp && (
              <LineUpPanel
                angle={bench.angle}
                lineUp={lineUp}
                same={same}
                onTakeOff={bench.clips.length === 0 ? takeOff : undefined}
              />
            )}
          </Box>
        )}
        {refusal && (
          <Box role="alert" color="caution" fontSize="14px">
            {failureText(refusal)}
          </Box>
        )}
        {kept !== null && (
          <Box fontSize="14px" color="inkSoft" marginTop="1" data-testid="kept">
            {T.kept(kept)}
          </Box>
        )}
        {clock && <ClockHere clock={clock} />}
        <SpansHere spans={spans} mayWrite={lineUp !== undefined} onLook={onLulls} />
        <Box as="details" fontSize="14px" marginTop="1">
          <Box as="summary" color="inkSoft" cursor="pointer">
            {S.summary}
          </Box>
          <SidesHere bench={bench} telling={telling} mayWrite={lineUp !== undefined} />
          {lineUp && <CaptionsHere fileId={bench.file.id} />}
        </Box>
        {marks && <MarksHere marks={marks} onNext={onMark} />}
        <Box fontSize="14px" color="inkSoft" marginTop="1" data-testid="clip-count">
          {T.count(bench.clips.length, drafts)}
          {proposed > 0 && T.proposed(proposed)}
          {doubts > 0 && (
            <>
              {', '}
              <Link to="/doubts">{T.doubts(doubts)}</Link>
            </>
          )}
        </Box>
        {lineUp && selectedId !== undefined && (
          <Box marginTop="1" fontSize="14px">
            <SaveVideo key={selectedId} clipIds={[selectedId]} isSmall />
          </Box>
        )}
      </Box>
      {bench.clips.length === 0 ? (
        <Box padding="4" color="inkSoft">
          <Caps text={T.empty} />
        </Box>
      ) : (
        <Box as="ul" listStyleType="none">
          {bench.clips.map((view) => (
            <Row
              key={view.clip.id}
              view={view}
              said={telling.said(view)}
              table={table}
              isSelected={view.clip.id === selectedId}
              onSelect={pick}
            />
          ))}
        </Box>
      )}
    </Box>
  );
};
