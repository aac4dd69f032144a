import { Box } from '@chakra-ui/react';
import type { BinItem } from '@odograph/core/contract';
import { useEffect } from 'react';
import { useSelector } from 'react-redux';
import { Action, Heading, dayText } from '../../design/index.js';
import { failureText } from '../library/index.js';
import { selectPending, useEdit } from '../replica/index.js';
import { useBinQuery } from './bin.api.js';
import { BIN_TEXT as T, KIND_TEXT } from './bin.text.js';

const DAY_MS = 86_400_000;

/** What lies in the bin, and the way back. */
export const Bin = (): React.JSX.Element => {
  const { data, error, refetch, fulfilledTimeStamp } = useBinQuery();
  const edit = useEdit();
  const pending = useSelector(selectPending);
  const isQuiet = pending.length === 0;
  useEffect(() => {
    if (isQuiet) void refetch();
  }, [isQuiet, refetch]);
  const onTheWay = new Set(pending.flatMap((e) => (e.kind === 'restore' ? [e.id] : [])));
  const items = data?.filter((item) => !onTheWay.has(item.id));
  const daysLeft = (item: BinItem): number =>
    Math.ceil((new Date(item.goesAt).getTime() - (fulfilledTimeStamp ?? 0)) / DAY_MS);
  return (
    <Box maxWidth="860px">
      <Heading marginBottom="2">{T.title}</Heading>
      <Box color="inkSoft" marginBottom="4">
        {T.lead}
      </Box>
      {error && <Box role="alert">{failureText(error)}</Box>}
      {items?.length === 0 ? (
        <Box>{T.empty}</Box>
      ) : (
        <Box as="ul" listStyleType="none" borderTopWidth="1px">
          {items?.map((item) => (
            <Box
              as="li"
              key={item.id}
              data-binned={item.kind}
              borderBottomWidth="1px"
              paddingBlock="2.5"
              display="grid"
              gridTemplateColumns="80px 1fr 130px auto"
              gap="5"
              alignItems="baseline"
            >
              <Box fontFamily="heading" fontSize="16px" color="inkSoft">
                {KIND_TEXT[item.kind]}
              </Box>
              <Box>
                {item.name}
                <Box color="inkSoft" fontSize="14px">
                  {T.removed(item.removedBy, dayText(item.removedAt))}
                </Box>
              </Box>
              <Box color="inkSoft" fontSize="14px">
                {T.goes(daysLeft(item))}
              </Box>
              <Action onClick={() => edit({ kind: 'restore', what: item.kind, id: item.id })}>{T.back}</Action>
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
};
