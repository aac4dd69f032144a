import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { Labelled } from '../../design/index.js';

/** As many lines as the text needs. */
const Lines = chakra('textarea', {
  base: {
    display: 'block',
    width: '100%',
    fieldSizing: 'content',
    resize: 'none',
    background: 'transparent',
    color: 'ink',
    fontSize: '16px',
    borderBottomWidth: '1.5px',
    borderColor: 'field',
    borderRadius: '0',
    paddingBlock: '1',
    _placeholder: { color: 'inkSoft', opacity: 1 },
    _focusVisible: { outline: 'none', borderColor: 'inHand', boxShadow: '0 1.5px 0 var(--od-inHand)' },
  },
});

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
        <Lines
          rows={1}
          placeholder={placeholder}
          maxLength={limit}
          value={typed ?? value}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={leave}
        />
      </Labelled>
    </Box>
  );
};
