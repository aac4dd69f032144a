import { Box } from '@chakra-ui/react';
import {
  RESULT_WORDS,
  contradictionsIn,
  mirrorContradiction,
  sayControl,
  sidesAgainst,
  type Contradiction,
  type Words,
} from '@odograph/core';
import type { ClipView } from '../../library/index.js';
import { ODD_TEXT as T } from './phrase.text.js';

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
    case 'lead':
      return T.leadSide(words.name('position', odd.position), odd.before, odd.now);
    case 'side':
      return T.side(sayControl(odd.before, words), sayControl(odd.now, words));
    case 'result':
      return T.result(RESULT_WORDS[odd.follows]);
  }
};

/** Sides of the attempt before are held against these only where it is told from the same camera and ended not long before. */
const NEAR_S = 10;
const isNear = (before: ClipView, now: ClipView): boolean =>
  before.angle.id === now.angle.id &&
  ((now.attempt.start.pts - before.attempt.end.pts) * now.file.timeBaseNum) / now.file.timeBaseDen <= NEAR_S;

/** What does not go together in what is said; nothing of it is changed. */
export const Odd = ({
  view,
  before,
  words,
  isMirrored,
}: {
  readonly view: ClipView;
  readonly before: ClipView | undefined;
  readonly words: Words;
  readonly isMirrored: boolean;
}): React.JSX.Element | null => {
  const { attempt, footage, athletes } = view;
  const isLinked = before !== undefined && !attempt.isCut && isNear(before, view);
  const found = [
    ...contradictionsIn(attempt, footage, words),
    ...(isLinked ? sidesAgainst(before.attempt, attempt) : []),
  ];
  const odd = isMirrored ? found.map(mirrorContradiction) : found;
  if (!odd.length) return null;
  const other = attempt.subject === 'a' ? 'b' : 'a';
  const names = { subject: athletes[attempt.subject], opponent: athletes[other] };
  return (
    <Box fontSize="15px" color="inkSoft" role="status" data-testid="odd">
      {T.lead} {odd.map((o) => oddText(o, words, names)).join('; ')}.
    </Box>
  );
};
