import { Box } from '@chakra-ui/react';
import type { SaidPart } from '@odograph/core';

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
      const before =
        i === 0
          ? ''
          : part.part === 'from' || part.part === 'grips'
            ? ' '
            : part.part === 'entry' || part.part === 'result'
              ? ', '
              : '; ';
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
