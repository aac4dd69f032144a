import { Box, Flex } from '@chakra-ui/react';
import { PickFile } from '../../../design/index.js';
import { failureText } from '../../library/index.js';
import { useCaptionsQuery, useGiveCaptionsMutation } from '../../server/index.js';
import { OVERLAY_TEXT as T } from '../picture/index.js';

/** How many captions the file has, and the way to give it some. */
export const CaptionsHere = ({ fileId }: { readonly fileId: string }): React.JSX.Element => {
  const { data } = useCaptionsQuery(fileId);
  const [give, { error }] = useGiveCaptionsMutation();
  const count = data?.captions.length ?? 0;
  return (
    <Box fontSize="14px" color="inkSoft" marginTop="1" data-testid="captions-here">
      <Flex gap="2" alignItems="baseline">
        <span>
          {T.captions}: {count === 0 ? T.none : T.count(count)}
        </span>
        <PickFile accept=".vtt,.srt,text/vtt" testId="captions-file" onText={(text) => void give({ fileId, text })}>
          {T.give}
        </PickFile>
      </Flex>
      {error && (
        <Box role="alert" color="caution">
          {failureText(error)}
        </Box>
      )}
    </Box>
  );
};
