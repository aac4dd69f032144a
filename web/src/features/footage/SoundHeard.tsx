import { Box, Flex } from '@chakra-ui/react';
import type { MediaFile } from '@odograph/core';
import { v7 as newId } from 'uuid';
import { Picked } from '../../design/index.js';
import { failureText } from '../library/index.js';
import { useChooseTrackMutation } from '../server/index.js';
import { FOOTAGE_TEXT as T } from './footage.text.js';

/** Which sound track of a file is heard, where it has several; for whoever may, a choice. */
export const SoundHeard = ({
  file,
  mayChoose,
}: {
  readonly file: MediaFile;
  readonly mayChoose: boolean;
}): React.JSX.Element | null => {
  const [choose, { error }] = useChooseTrackMutation();
  const heard = file.tracks[file.track];
  if (file.tracks.length < 2 || !heard) return null;
  return (
    <Flex gap="2" alignItems="center" fontSize="14px" color="inkSoft" marginTop="1" data-sound>
      {T.heard}:
      {mayChoose ? (
        <Picked
          aria-label={T.heard}
          fontSize="14px"
          paddingBlock="0"
          value={file.track}
          onChange={(event) =>
            void choose({ fileId: file.id, body: { editId: newId(), track: Number(event.target.value) } })
          }
        >
          {file.tracks.map((track, n) => (
            <option key={n} value={n}>
              {T.track(n, track)}
            </option>
          ))}
        </Picked>
      ) : (
        <Box as="span">{T.track(file.track, heard)}</Box>
      )}
      {error && (
        <Box role="alert" color="caution">
          {failureText(error)}
        </Box>
      )}
    </Flex>
  );
};
