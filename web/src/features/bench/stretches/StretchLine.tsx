import { Box, Flex } from '@chakra-ui/react';
import type { Footage, FootageSpan } from '@odograph/core';
import { Action, Mono, Picked } from '../../../design/index.js';
import { KIND_TEXT, STRETCH_TEXT as T } from './stretches.text.js';
import { type StretchInHand } from '../desk/index.js';

type Props = {
  readonly inHand: StretchInHand;
  readonly text: string;
  readonly kinds: readonly FootageSpan['kind'][];
  /** How many more lulls there are; undefined where this is none. */
  readonly more: number | undefined;
  readonly others: readonly Footage[];
  readonly onSay: (kind: FootageSpan['kind']) => void;
  readonly onForget: () => void;
  readonly onPass: () => void;
  /** The stretch shows other footage: one that is there, by its id, or a new one. */
  readonly onOther: (footageId: string | null) => void;
  readonly onLeave: () => void;
  /** Why what was said could not be done. */
  readonly problem: string | undefined;
};

const NEW = 'new';

/** What a stretch of the footage is, said in one line in the place of the phrase. */
export const StretchLine = ({
  inHand,
  text,
  kinds,
  more,
  others,
  onSay,
  onForget,
  onPass,
  onOther,
  onLeave,
  problem,
}: Props): React.JSX.Element => {
  const { stands } = inHand;
  return (
    <Flex
      as="section"
      aria-label={T.span}
      alignItems="center"
      gap="3"
      paddingInline="4"
      fontSize="17px"
      data-testid="span"
    >
      <Box whiteSpace="nowrap">
        <Mono fontSize="15px">{text}</Mono>
        <Box as="span" color="inkSoft" marginLeft="2">
          {stands ? T.spanIs : more === undefined ? T.spanWhat : T.spanCalm}
        </Box>
      </Box>
      <Flex gap="1.5" wrap="wrap">
        {kinds.map((kind, i) => (
          <Action
            key={kind}
            tone={stands?.kind === kind ? 'next' : 'plain'}
            aria-pressed={stands?.kind === kind}
            fontSize="16px"
            paddingBlock="1"
            onClick={() => onSay(kind)}
          >
            <Mono fontSize="12px">{i + 1}</Mono>
            {KIND_TEXT[kind]}
          </Action>
        ))}
      </Flex>
      {stands?.kind === 'other footage' && (
        <Picked
          aria-label={T.whichFootage}
          width="170px"
          value=""
          onChange={(event) => onOther(event.target.value === NEW ? null : event.target.value)}
        >
          <option value="">{T.whichFootage} …</option>
          <option value={NEW}>{T.newFootage}</option>
          {others.map((f) => (
            <option key={f.id} value={f.id}>
              {f.title}
            </option>
          ))}
        </Picked>
      )}
      <Box flex="1" role={problem ? 'alert' : undefined} color="caution" fontSize="15px">
        {problem}
      </Box>
      {stands && (
        <Action tone="quiet" fontSize="16px" onClick={onForget}>
          {T.spanForget}
        </Action>
      )}
      {more !== undefined && !stands && (
        <Action tone="quiet" fontSize="16px" onClick={onPass}>
          {T.spanPass(more)}
        </Action>
      )}
      <Action tone="quiet" fontSize="16px" onClick={onLeave}>
        {T.leave}
      </Action>
    </Flex>
  );
};
