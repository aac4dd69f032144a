import { Box, Flex } from '@chakra-ui/react';
import type { AmendmentItem } from '@odograph/core/contract';
import { Action, Subheading } from '../../design/index.js';
import {
  failureText,
  fieldName,
  useClipViews,
  useMayWrite,
  useWords,
  valueText,
  type ClipView,
} from '../library/index.js';
import { useAmendmentsQuery } from './amendments.api.js';
import { Case } from './Case.js';
import { DOUBTS_TEXT as T } from './doubts.text.js';

const Row = ({ item, view }: { readonly item: AmendmentItem; readonly view: ClipView }): React.JSX.Element => {
  const words = useWords(view.footage.id);
  const text = (value: unknown): string =>
    item.field === 'subject' ? view.athletes[value as 'a' | 'b'] : valueText(item.field, value, words);
  return (
    <Flex as="li" borderTopWidth="1px" paddingBlock="4" gap="6" wrap="wrap" data-testid="amended">
      <Box as="ul" listStyleType="none">
        <Case view={view} frame={view.attempt.start.frame} />
      </Box>
      <Box flex="1" minWidth="260px" fontSize="18px">
        <Box color="inkSoft">{fieldName(item.field)}</Box>
        <Box>
          <Box as="del" color="inkSoft">
            {text(item.before)}
          </Box>{' '}
          →{' '}
          <Box as="ins" textDecoration="none" fontWeight="600">
            {text(item.after)}
          </Box>
        </Box>
        <Box fontSize="15px" color="inkSoft" marginTop="1">
          {T.by(item.by, item.at)} {item.by === item.saidBy ? T.own(item.saidAt) : T.saidBy(item.saidBy, item.saidAt)}
        </Box>
      </Box>
    </Flex>
  );
};

/** What was said and then said otherwise: by whom, when, and from what. */
export const Amended = (): React.JSX.Element | null => {
  const mayWrite = useMayWrite();
  const { data, error, refetch } = useAmendmentsQuery(undefined, { skip: !mayWrite });
  const views = useClipViews();
  if (error)
    return (
      <Box role="alert" marginTop="6">
        {failureText(error)}{' '}
        <Action tone="quiet" onClick={() => void refetch()}>
          {T.again}
        </Action>
      </Box>
    );
  const shown = (data ?? []).flatMap((item) => {
    const view = views.find((v) => v.attempt.id === item.attemptId && v.clip.angleId === v.attempt.angleId);
    return view ? [{ item, view }] : [];
  });
  if (!shown.length) return null;
  return (
    <Box as="section" aria-label={T.amended} marginTop="8">
      <Subheading marginBottom="1">{T.amended}</Subheading>
      <Box color="inkSoft" marginBottom="4">
        {T.amendedLead}
      </Box>
      <Box as="ul" listStyleType="none">
        {shown.map(({ item, view }) => (
          <Row key={`${item.editId} ${item.attemptId} ${item.field}`} item={item} view={view} />
        ))}
      </Box>
    </Box>
  );
};
