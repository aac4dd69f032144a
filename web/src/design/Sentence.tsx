import { Box } from '@chakra-ui/react';
import type { SaidPart } from '@odograph/core';

/** What stands before a part, where that is no semicolon. */
const BEFORE: Partial<Record<SaidPart['part'], string>> = {
  from: ' ',
  facts: ', ',
  grips: ' ',
  theirGrips: ' ',
  entry: ', ',
  result: ', ',
};

/** An attempt read back as one sentence; parts that were not said stand out, and those that only follow are dotted. */
export const Sentence = ({
  said,
  subject,
}: {
  readonly said: readonly SaidPart[];
  readonly subject: 'a' | 'b';
}): React.JSX.Element => (
  <span>
    {said.map((part, i) => {
      const before = i === 0 ? '' : (BEFORE[part.part] ?? '; ');
      return (
        <span key={part.part}>
          {before}
          {part.lead && <Box as="span" color="inkSoft">{`${part.lead} `}</Box>}
          <Box
            as="span"
            {...(part.part === 'who' ? { color: subject === 'a' ? 'us' : 'them', fontWeight: '600' } : {})}
            {...(part.part === 'entry' ? { fontWeight: '600' } : {})}
            {...(part.missing ? { color: 'inkSoft', fontStyle: 'italic' } : {})}
            {...(part.proposed ? { borderBottom: '1.5px dotted', borderColor: 'field', 'data-proposed': true } : {})}
          >
            {part.text}
          </Box>
        </span>
      );
    })}
  </span>
);
