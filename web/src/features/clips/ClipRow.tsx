import { Box, Flex } from '@chakra-ui/react';
import { attemptCautions, defaultHeight, type PlaceId, type Words } from '@odograph/core';
import { Link } from 'react-router';
import { CautionNote, IntervalBand, Mono, ResultMark, Sentence, evidenceText } from '../../design/index.js';
import { timesText, useWords, type ClipView } from '../library/index.js';
import { Still, useTimecode } from '../player/index.js';
import type { MapLine } from '../../workers/map.protocol.js';
import { CLIP_ROW_TEXT } from './clips.text.js';

const WIDTH = 84;
const HEIGHT = 46;

/** What the clip climbs or loses: level, then to where it ended. */
const Climb = ({
  from,
  to,
  subject,
  words,
}: {
  readonly from: PlaceId | undefined;
  readonly to: PlaceId | undefined;
  readonly subject: 'a' | 'b';
  readonly words: Words;
}): React.JSX.Element => {
  const [h1, h2] = [from && defaultHeight(from, words), to && defaultHeight(to, words)];
  const y = (h: number): number => 3 + ((5 - h) / 10) * (HEIGHT - 6);
  const label = h1 === undefined || h2 === undefined ? CLIP_ROW_TEXT.notPlaced : CLIP_ROW_TEXT.heights(h1, h2);
  return (
    <svg width={WIDTH} height={HEIGHT} role="img" aria-label={label}>
      <title>{label}</title>
      <path d={`M0 ${y(0)}H${WIDTH}`} stroke="var(--od-hairline)" />
      {h1 !== undefined && h2 !== undefined && (
        <path
          d={`M4 ${y(h1)}H26L58 ${y(h2)}H80`}
          fill="none"
          stroke={subject === 'a' ? 'var(--od-us)' : 'var(--od-them)'}
          strokeWidth="2.4"
          strokeLinejoin="round"
          strokeLinecap="round"
          {...(subject === 'b' ? { strokeDasharray: '6 4' } : {})}
        />
      )}
    </svg>
  );
};

type Props = {
  readonly view: ClipView;
  readonly line: MapLine | undefined;
  /** Whether the map is there to look the line up in. */
  readonly isComputed: boolean;
};

/** One clip as a row that reads as a sentence, with its first picture, what it climbs, and the evidence of its line. */
export const ClipRow = ({ view, line, isComputed }: Props): React.JSX.Element => {
  const words = useWords();
  const { clip, attempt, footage, file } = view;
  const code = useTimecode(file.id, clip.in.frame);
  const cautions = attemptCautions(attempt, words);
  const times = timesText(view);
  const to = `/break-down/${footage.id}?clip=${clip.id}`;
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns={{ base: '96px minmax(0, 1fr)', lg: `176px minmax(0, 1fr) ${WIDTH}px 220px` }}
      columnGap={{ base: '3', lg: '5' }}
      rowGap="1"
      paddingBlock="3"
      borderBottomWidth="1px"
      alignItems="center"
      data-clip={clip.id}
    >
      <Box asChild alignSelf={{ base: 'start', lg: 'center' }}>
        <Link to={to} tabIndex={-1} aria-hidden>
          <Still fileId={file.id} frame={clip.in.frame} width={176} region={view.angle.region} />
        </Link>
      </Box>
      <Box minWidth="0">
        <Box
          fontSize="16px"
          lineHeight="1.4"
          _hover={{ textDecoration: 'underline', textDecorationColor: 'var(--od-field)', textUnderlineOffset: '3px' }}
        >
          <Link to={to}>
            <Sentence said={view.said} subject={attempt.subject} />
          </Link>
        </Box>
        <Box fontSize="14px" color="inkSoft" marginTop="0.5">
          {footage.title}, {footage.setting} <Mono fontSize="13px">{code}</Mono>
          {times && `, ${times}`}
        </Box>
        <CautionNote cautions={cautions} short />
      </Box>
      <Climb from={view.from} to={view.to} subject={attempt.subject} words={words} />
      <Box fontSize="14px">
        {view.missing.length > 0 ? (
          <Box fontStyle="italic">{CLIP_ROW_TEXT.draftNotOnThe}</Box>
        ) : (
          <>
            <Flex gap="2" alignItems="center">
              {attempt.result && <ResultMark result={attempt.result} />}
              <Box color="inkSoft">{line ? evidenceText(line) : isComputed ? CLIP_ROW_TEXT.notCounted : ''}</Box>
            </Flex>
            {line && <IntervalBand interval={line.interval} />}
          </>
        )}
      </Box>
    </Box>
  );
};
