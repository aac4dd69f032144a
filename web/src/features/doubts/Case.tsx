import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import { Sentence } from '../../design/index.js';
import { type ClipView } from '../library/index.js';
import { Still, useTimecode } from '../player/index.js';
import { DOUBTS_TEXT as T } from './doubts.text.js';

/** A frame of a clip, with what is said of it; it opens on the bench. */
export const Case = ({ view, frame }: { readonly view: ClipView; readonly frame: number }): React.JSX.Element => {
  const code = useTimecode(view.file.id, frame);
  return (
    <Box as="li" width="224px">
      <Link
        to={`/break-down/${view.footage.id}?clip=${view.clip.id}&frame=${frame}`}
        aria-label={`${T.look}: ${view.footage.title}, ${code}`}
      >
        <Still fileId={view.file.id} frame={frame} width={224} region={view.angle.region} />
        <Box fontSize="14px" color="inkSoft" marginTop="1">
          {view.footage.title}, {code}
        </Box>
      </Link>
      <Box fontSize="14px" lineHeight="1.35">
        <Sentence said={view.said} subject={view.attempt.subject} />
      </Box>
    </Box>
  );
};
