import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { Action } from '../../design/index.js';
import { failureText, useMakeCutMutation, useUnderWayQuery, type ClipView } from '../library/index.js';
import { CLIPS_TEXT as T } from './clips.text.js';

/** Clips that go into one video at most; the server says the same. */
const MOST = 60;
const ASK_MS = 700;

/** Clips out as one video, those that are shown in their order, cut exactly to the frame. */
export const SaveVideo = ({ shown }: { readonly shown: readonly ClipView[] }): React.JSX.Element => {
  const [cutId, setCutId] = useState<string | null>(null);
  const [makeCut, { error }] = useMakeCutMutation();
  const job = useUnderWayQuery(undefined, { skip: cutId === null, pollingInterval: ASK_MS }).currentData?.jobs.find(
    (j) => j.subjectId === cutId,
  );
  const make = (): void => {
    const id = newId();
    setCutId(id);
    void makeCut({ id, clipIds: shown.map((v) => v.clip.id), format: 'mp4' });
  };
  if (job?.state === 'done')
    return (
      <Flex gap="2">
        <Action asChild tone="next">
          <a href={`/api/cuts/${cutId}`} download="clips.mp4">
            {T.takeVideo}
          </a>
        </Action>
        <Action onClick={() => setCutId(null)}>{T.videoOver}</Action>
      </Flex>
    );
  if (cutId !== null && !error && job?.state !== 'failed')
    return (
      <Box role="status" color="inkSoft">
        {T.cutting(job?.progress ?? 0)}
      </Box>
    );
  const isTooMany = shown.length > MOST;
  return (
    <>
      {(error ?? job?.why) && (
        <Box role="alert" color="caution">
          {error ? failureText(error) : job?.why}
        </Box>
      )}
      <Action disabled={!shown.length || isTooMany} title={isTooMany ? T.tooMany(MOST) : undefined} onClick={make}>
        {T.saveVideo}
      </Action>
    </>
  );
};
