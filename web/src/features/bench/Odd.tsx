import { Box } from '@chakra-ui/react';
import { RESULT_WORDS, contradictionsIn, type Contradiction, type Words } from '@odograph/core';
import type { ClipView } from '../library/index.js';
import { ODD_TEXT as T } from './bench.text.js';

const oddText = (odd: Contradiction, words: Words, names: Readonly<Record<'subject' | 'opponent', string>>): string => {
  switch (odd.kind) {
    case 'two places':
      return T.twoPlaces(names[odd.holder], odd.side, odd.limb);
    case 'too many':
      return T.tooMany(names[odd.holder], odd.limb, odd.count);
    case 'cloth in no-gi':
      return T.noGi(words.name('target', odd.target));
    case 'not held':
      return T.notHeld(words.name('position', odd.position), words.name('target', odd.target), odd.both);
    case 'result':
      return T.result(RESULT_WORDS[odd.follows]);
  }
};

/** What does not go together in what is said; nothing of it is changed. */
export const Odd = ({ view, words }: { readonly view: ClipView; readonly words: Words }): React.JSX.Element | null => {
  const { attempt, footage, athletes } = view;
  const odd = contradictionsIn(attempt, footage, words);
  if (!odd.length) return null;
  const other = attempt.subject === 'a' ? 'b' : 'a';
  const names = { subject: athletes[attempt.subject], opponent: athletes[other] };
  return (
    <Box fontSize="15px" color="inkSoft" role="status" data-testid="odd">
      {T.lead} {odd.map((o) => oddText(o, words, names)).join('; ')}.
    </Box>
  );
};
