import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { Ruled } from '../../../design/index.js';
import { Caps } from '../keys/index.js';

type Props = {
  readonly label: string;
  readonly hint: string;
  /** What is said when the words cannot be used. */
  readonly refusal: string;
  /** Uses the words; false where it cannot. */
  readonly onSaid: (text: string) => boolean;
  readonly onLeave: () => void;
};

/** One line in the place of the phrase, asked for by a key: words, then Enter; Esc goes back to the picture. */
export const AskLine = ({ label, hint, refusal, onSaid, onLeave }: Props): React.JSX.Element => {
  const [text, setText] = useState('');
  const [isRefused, setRefused] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  // it was asked for by a key: the hand goes there
  useEffect(() => field.current?.focus(), []);
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') onLeave();
    if (event.key !== 'Enter') return;
    if (onSaid(text)) onLeave();
    else setRefused(true);
  };
  return (
    <Flex alignItems="center" gap="4" paddingInline="4" fontSize="19px">
      <Box as="label" display="flex" alignItems="center" gap="3" whiteSpace="nowrap">
        {label}
        <Ruled
          width="260px"
          fontSize="19px"
          ref={field}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setRefused(false);
          }}
          onKeyDown={onKeyDown}
          onBlur={onLeave}
        />
      </Box>
      <Box fontSize="15px" color={isRefused ? 'caution' : 'inkSoft'} role={isRefused ? 'alert' : undefined}>
        {isRefused ? <Caps text={refusal} /> : hint}
      </Box>
    </Flex>
  );
};
