import { Box } from '@chakra-ui/react';
import { Bare } from '../../../design/index.js';
import { WordField, type Found } from '../../../design/fields.js';
import { SEVERAL_FIELD_TEXT } from './phrase.text.js';

type Props<T> = {
  readonly label: string;
  readonly placeholder: string;
  readonly said: readonly { readonly key: string; readonly text: string }[];
  readonly joint: string;
  readonly find: (typed: string) => readonly Found<T>[];
  readonly onAdd: (value: T) => void;
  readonly onRemove: (key: string) => void;
  /** What Backspace takes back, where that is not the last one whole. */ readonly onBack?: () => void;
  readonly onNext: () => void;
  readonly onLine?: (typed: string) => void;
  readonly onDoubt?: (text: string) => void;
};

/** Something that was said; a click takes it back. */
export const TakenBack = ({
  text,
  onClick,
}: {
  readonly text: string;
  readonly onClick: () => void;
}): React.JSX.Element => (
  <Bare
    borderBottom="1.5px dotted"
    borderColor="field"
    _hover={{ textDecoration: 'line-through', color: 'inkSoft' }}
    type="button"
    tabIndex={-1}
    aria-label={SEVERAL_FIELD_TEXT.takeBackOne(text)}
    title={SEVERAL_FIELD_TEXT.takeBack}
    onClick={onClick}
  >
    {text}
  </Bare>
);

/** A part of the phrase that may be said several times: what was said, and an open field behind it. Backspace takes back the last. */
export const SeveralField = <T,>({
  label,
  placeholder,
  said,
  joint,
  find,
  onAdd,
  onRemove,
  onBack,
  onNext,
  onLine,
  onDoubt,
}: Props<T>): React.JSX.Element => {
  const last = said.at(-1);
  return (
    <>
      {said.map(({ key, text }, i) => (
        <span key={key}>
          {i > 0 && (
            <Box as="span" color="inkSoft">
              {joint}
            </Box>
          )}
          <TakenBack text={text} onClick={() => onRemove(key)} />
        </span>
      ))}
      {last && ' '}
      <WordField
        label={label}
        placeholder={placeholder}
        said={null}
        find={find}
        several
        opens="up"
        onPick={onAdd}
        onNext={onNext}
        onLine={onLine}
        onDoubt={onDoubt}
        {...(last ? { onClear: onBack ?? (() => onRemove(last.key)) } : {})}
      />
    </>
  );
};
