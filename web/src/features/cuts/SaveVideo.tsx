import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { Action, Picked, faultText } from '../../design/index.js';
import { failureText } from '../library/index.js';
import { useMakeCutMutation, useUnderWayQuery } from '../server/index.js';
import { CUTS_TEXT as T } from './cuts.text.js';

/** Clips that go into one video at most; the server says the same. */
const MOST = 60;
const ASK_MS = 700;

const FORMATS = ['mp4', 'webm'] as const;
type Format = (typeof FORMATS)[number];

/** Clips out as one video, in their order, cut exactly to the frame. */
export const SaveVideo = ({
  clipIds,
  isSmall = false,
}: {
  readonly clipIds: readonly string[];
  readonly isSmall?: boolean;
}): React.JSX.Element => {
  const [cutId, setCutId] = useState<string | null>(null);
  const [format, setFormat] = useState<Format>('mp4');
  const [makeCut, { error }] = useMakeCutMutation();
  const job = useUnderWayQuery(undefined, { skip: cutId === null, pollingInterval: ASK_MS }).currentData?.jobs.find(
    (j) => j.subjectId === cutId,
  );
  const make = (): void => {
    const id = newId();
    setCutId(id);
    void makeCut({ id, clipIds, format });
  };
  if (job?.state === 'done')
    return (
      <Flex gap="2">
        <Action asChild tone="next">
          <a href={`/api/cuts/${cutId}`} download={`clips.${format}`}>
            {T.take}
          </a>
        </Action>
        <Action onClick={() => setCutId(null)}>{T.over}</Action>
      </Flex>
    );
  if (cutId !== null && !error && job?.state !== 'failed')
    return (
      <Box role="status" color="inkSoft">
        {T.cutting(job?.progress ?? 0)}
      </Box>
    );
  const isTooMany = clipIds.length > MOST;
  const size = isSmall ? ({ fontSize: '14px', paddingBlock: '0' } as const) : {};
  return (
    <>
      {(error ?? job?.why) && (
        <Box role="alert" color="caution">
          {error ? failureText(error) : job?.why && faultText(job.why)}
        </Box>
      )}
      <Flex gap="2" alignItems="center">
        <Action
          {...size}
          {...(isSmall ? { tone: 'quiet' as const } : {})}
          disabled={!clipIds.length || isTooMany}
          title={isTooMany ? T.tooMany(MOST) : undefined}
          onClick={make}
        >
          {T.save(isSmall ? clipIds.length : 0)}
        </Action>
        <Picked
          aria-label={T.format}
          {...size}
          value={format}
          onChange={(event) => setFormat(event.target.value as Format)}
        >
          {FORMATS.map((f) => (
            <option key={f} value={f}>
              {T.formats[f]}
            </option>
          ))}
        </Picked>
      </Flex>
    </>
  );
};
