import { Box } from '@chakra-ui/react';
import type { Meant, PhrasePart } from '@odograph/core';
import { AS, LEADS, LINE_TEXT as T, MORE } from './phrase.text.js';

/** How a part begins in the sentence, behind the one before it. */
export const leadOf = (part: PhrasePart, before: PhrasePart | undefined): string => {
  const { meant } = part;
  const isTheirs = meant.part === 'grip' && meant.holder === 'opponent';
  const isMore = before?.meant.part === meant.part && before.attempt === part.attempt && !isTheirs;
  if (isTheirs) return LEADS['their grip'];
  return isMore ? (MORE[meant.part] ?? '') : LEADS[meant.part];
};

/** A part as it is understood: what is asked about is a question with its key; a role that nobody said is set apart. */
export const Understood = ({
  part,
  nth,
  lead,
  say,
}: {
  readonly lead: string;
  /** Where a further attempt of a chain begins: how it follows. */ readonly nth: string;
  readonly part: PhrasePart;
  readonly say: (meant: Meant) => string;
}): React.JSX.Element => {
  const isAsked = part.status === 'asked';
  // as what else it may be read: by what it is, where that is the difference
  const sayOther = (meant: Meant): string =>
    meant.part === part.meant.part && say(meant) !== say(part.meant) ? say(meant) : `${AS[meant.part]}: ${say(meant)}`;
  return (
    <Box as="span" data-part={part.meant.part} data-status={part.status} title={part.because}>
      {nth && (
        <Box as="span" color="inHand" fontWeight="600">
          {nth}{' '}
        </Box>
      )}
      {lead && (
        <Box as="span" color="inkSoft">
          {lead}{' '}
        </Box>
      )}
      <Box
        as="span"
        borderBottomWidth="1.5px"
        borderStyle={isAsked ? 'dashed' : part.because ? 'dotted' : 'solid'}
        borderColor={isAsked ? 'caution' : 'us'}
        fontWeight={part.meant.part === 'entry' ? '600' : '400'}
      >
        {say(part.meant)}
      </Box>
      {isAsked && (
        <Box as="span" color="caution">
          {T.answer(part.others.map(sayOther))}
        </Box>
      )}
      {!isAsked && part.others.length > 0 && (
        <Box as="span" color="inkSoft">
          {' '}
          {T.or(part.others.map(sayOther))}
        </Box>
      )}
    </Box>
  );
};
