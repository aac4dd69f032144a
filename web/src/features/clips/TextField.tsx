import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { TEXT_FIELD_TEXT } from './clips.text.js';

const Line = chakra('input', {
  base: {
    fieldSizing: 'content',
    minWidth: '6em',
    background: 'transparent',
    borderBottom: '1.5px dotted',
    borderColor: 'field',
    color: 'inherit',
    font: 'inherit',
    _placeholder: { color: 'inkSoft', opacity: 1 },
    _focusVisible: { outline: 'none', borderColor: 'inHand', borderStyle: 'solid', background: 'inHandSoft' },
  },
});

/** Words to be found in a clip; taken on Enter or when the field is left. */
export const TextField = ({
  text,
  onChange,
}: {
  readonly text: string;
  readonly onChange: (text: string) => void;
}): React.JSX.Element => {
  const [typed, setTyped] = useState(text);
  const take = (): void => {
    if (typed.trim() !== text) onChange(typed.trim());
  };
  return (
    <Line
      aria-label={TEXT_FIELD_TEXT.wordsInIt}
      placeholder={TEXT_FIELD_TEXT.anyWords}
      maxLength={120}
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => event.key === 'Enter' && take()}
    />
  );
};
