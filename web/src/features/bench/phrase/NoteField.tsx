import { chakra } from '@chakra-ui/react';
import { useRef, useState, type KeyboardEvent } from 'react';
import { PHRASE_TEXT as T } from './phrase.text.js';

const Line = chakra('input', {
  base: {
    fieldSizing: 'content',
    minWidth: '7em',
    maxWidth: '100%',
    background: 'transparent',
    borderBottom: '1.5px dotted',
    borderColor: 'field',
    color: 'inherit',
    font: 'inherit',
    _placeholder: { color: 'inkSoft', opacity: 1 },
    _focusVisible: { outline: 'none', borderColor: 'inHand', borderStyle: 'solid', background: 'inHandSoft' },
  },
});

/** The longest note that is kept; the server says the same. */
const LIMIT = 4000;

type Props = { readonly note: string; readonly onSave: (note: string) => void; readonly onNext: () => void };

/** A cue or a note in the coach's own words; kept when the field is left. */
export const NoteField = ({ note, onSave, onNext }: Props): React.JSX.Element => {
  const [text, setText] = useState(note);
  const kept = useRef(note);
  const save = (): void => {
    if (text === kept.current) return;
    kept.current = text;
    onSave(text);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Enter') {
      save();
      onNext();
    }
    if (event.key === 'Escape' && text !== note) {
      event.stopPropagation();
      setText(note);
    }
  };
  return (
    <Line
      aria-label={T.note}
      placeholder={T.notePlaceholder}
      maxLength={LIMIT}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={save}
      onKeyDown={onKeyDown}
    />
  );
};
