import { Box, Textarea } from '@chakra-ui/react';
import { useState } from 'react';
import { Labelled } from '../../design/index.js';

/** A text that is kept when the hand leaves it. What comes from elsewhere meanwhile shows while nobody types. */
export const KeptText = ({
  label,
  placeholder,
  value,
  limit,
  onKeep,
}: {
  readonly label: string;
  readonly placeholder: string;
  readonly value: string;
  readonly limit: number;
  readonly onKeep: (text: string) => void;
}): React.JSX.Element => {
  const [typed, setTyped] = useState<string | null>(null);
  const leave = (): void => {
    const text = typed?.trim();
    if (text !== undefined && text !== value) onKeep(text);
    setTyped(null);
  };
  return (
    <Box marginTop="3">
      <Labelled label={label}>
        <Textarea
          rows={1}
          autoresize
          placeholder={placeholder}
          maxLength={limit}
          value={typed ?? value}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={leave}
          background="transparent"
          border="none"
          borderBottomWidth="1.5px"
          borderColor="field"
          borderRadius="0"
          padding="0"
          paddingBlock="1"
          minHeight="0"
          fontSize="16px"
          _placeholder={{ color: 'inkSoft' }}
          _focusVisible={{ outline: 'none', borderColor: 'inHand', boxShadow: '0 1.5px 0 var(--od-inHand)' }}
        />
      </Labelled>
    </Box>
  );
};
