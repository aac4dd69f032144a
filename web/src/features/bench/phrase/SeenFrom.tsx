import { Box } from '@chakra-ui/react';
import { SEEN, type Seen } from '@odograph/core';
import { WordField, among } from '../../../design/fields.js';
import { type ClipView } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { PHRASE_TEXT as T, SEEN_FROM_TEXT } from './phrase.text.js';

const find = among<Seen>(SEEN.map((value) => ({ value, texts: [T.seen[value], value] })));

/** From where the camera sees whoever acts in this clip: with it sides can be told as they lie in the picture. */
export const SeenFrom = ({
  view,
  onNext,
}: {
  readonly view: ClipView;
  readonly onNext: () => void;
}): React.JSX.Element => {
  const edit = useEdit();
  const { id, seen } = view.clip;
  const keep = (to: Seen | null): void => edit({ kind: 'clip', id, changes: { seen: to } });
  return (
    <>
      <Box as="span" color="inkSoft">
        {SEEN_FROM_TEXT.before}{' '}
      </Box>
      <WordField
        label={SEEN_FROM_TEXT.label}
        placeholder={SEEN_FROM_TEXT.where}
        said={seen && T.seen[seen]}
        find={find}
        opens="up"
        onPick={keep}
        onClear={() => keep(null)}
        onNext={onNext}
      />
    </>
  );
};
