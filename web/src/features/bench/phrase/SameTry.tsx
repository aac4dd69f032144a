import { Flex } from '@chakra-ui/react';
import { Action } from '../../../design/index.js';
import type { ClipView } from '../../library/index.js';
import { useTimecode } from '../../player/index.js';
import { SAME_TEXT as T } from './phrase.text.js';

/** Two attempts of one side with one entry at one time: perhaps one try, looked at twice. */
export const SameTry = ({
  other,
  onSame,
}: {
  readonly other: ClipView;
  readonly onSame: () => void;
}): React.JSX.Element => (
  <Flex gap="3" alignItems="baseline" fontSize="15px" color="inkSoft" role="status">
    {T.looksLike(useTimecode(other.file.id, other.clip.in.frame))}
    <Action tone="quiet" fontSize="15px" paddingBlock="0" onClick={onSame}>
      {T.itIs}
    </Action>
  </Flex>
);
