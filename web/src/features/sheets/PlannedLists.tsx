import { Box, Flex } from '@chakra-ui/react';
import {
  PLAN_LINES_LIMIT,
  placeName,
  readGraphml,
  readPlace,
  unseenOf,
  type GraphFault,
  type Plan,
  type PlannedLine,
} from '@odograph/core';
import { useMemo, useState } from 'react';
import { v7 as newId } from 'uuid';
import { Action, PickFile, Subheading } from '../../design/index.js';
import type { MapLine } from '../../workers/map.protocol.js';
import { useLibrary, useMayWrite, useWords } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { PutOnList } from './PutOnList.js';
import { NEXT_TEXT, PLAN_TEXT as T } from './sheets.text.js';

const AT_ONCE = 10;

const Line = ({ line: { from, action, to } }: { readonly line: PlannedLine }): React.JSX.Element => {
  const words = useWords();
  const at = readPlace(from);
  return (
    <Flex as="li" borderTopWidth="1px" paddingBlock="2" alignItems="baseline" gap="4" wrap="wrap">
      <Box flex="1" minWidth="280px">
        <strong>{NEXT_TEXT.entryFrom(words.name('action', action), placeName(from, words))}</strong>{' '}
        <Box as="span" color="inkSoft">
          {T.to(placeName(to, words))}
        </Box>
      </Box>
      {at?.kind === 'state' && (
        <PutOnList asked={{ state: { position: at.position, role: at.role }, action, reaction: null, theirs: null }} />
      )}
    </Flex>
  );
};

const OnePlan = ({ plan, seen }: { readonly plan: Plan; readonly seen: readonly MapLine[] }): React.JSX.Element => {
  const edit = useEdit();
  const mayWrite = useMayWrite();
  const [most, setMost] = useState(AT_ONCE);
  const unseen = useMemo(() => unseenOf([plan], seen), [plan, seen]);
  return (
    <Box data-testid="plan" marginTop="4">
      <Flex alignItems="baseline" gap="4" wrap="wrap">
        <Subheading fontSize="21px">{plan.name}</Subheading>
        <Box color="inkSoft">{T.seen(plan.lines.length - unseen.length, plan.lines.length)}</Box>
        {mayWrite && (
          <Action tone="quiet" onClick={() => edit({ kind: 'remove', what: 'plan', id: plan.id })}>
            {T.remove}
          </Action>
        )}
      </Flex>
      <Box as="ul" listStyleType="none" marginTop="1">
        {unseen.slice(0, most).map((line) => (
          <Line key={`${line.from} ${line.action} ${line.bait} ${line.to}`} line={line} />
        ))}
      </Box>
      {unseen.length > most && (
        <Action tone="quiet" onClick={() => setMost(most + AT_ONCE)}>
          {T.more(unseen.length - most)}
        </Action>
      )}
    </Box>
  );
};

type Told = { readonly fault: GraphFault } | { readonly lines: number; readonly unknown: readonly string[] };

const useTakeIn = (): { readonly told: Told | undefined; readonly takeIn: (text: string, name: string) => void } => {
  const words = useWords();
  const edit = useEdit();
  const [told, setTold] = useState<Told>();
  const takeIn = (text: string, name: string): void => {
    const read = readGraphml(text, words);
    if ('code' in read) return setTold({ fault: read });
    const title = name.replace(/\.(graphml|xml)$/i, '').slice(0, 100) || T.title;
    const parts = Math.ceil(read.lines.length / PLAN_LINES_LIMIT);
    for (let part = 0; part < parts; part++)
      edit({
        kind: 'new plan',
        plan: {
          ...{ id: newId(), version: 0, name: parts > 1 ? T.part(title, part + 1, parts) : title },
          lines: read.lines.slice(part * PLAN_LINES_LIMIT, (part + 1) * PLAN_LINES_LIMIT),
        },
      });
    setTold({ lines: read.lines.length, unknown: read.unknown });
  };
  return { told, takeIn };
};

const Said = ({ told }: { readonly told: Told }): React.JSX.Element => {
  if ('fault' in told)
    return <Box role="alert">{told.fault.code === 'not-xml' ? T.notXml(told.fault.line) : T.noLines}</Box>;
  return (
    <>
      <Box role="status">{T.takenIn(told.lines)}</Box>
      {told.unknown.length > 0 && <Box role="alert">{T.unknown(told.unknown)}</Box>}
    </>
  );
};

/** What is planned and was never seen here: maps that were taken in from elsewhere. */
export const PlannedLists = ({ seen }: { readonly seen: readonly MapLine[] }): React.JSX.Element | null => {
  const { plans } = useLibrary();
  const mayWrite = useMayWrite();
  const { told, takeIn } = useTakeIn();
  if (!plans.length && !mayWrite) return null;
  return (
    <Box as="section" aria-label={T.title} marginTop="7">
      <Flex alignItems="baseline" gap="4" wrap="wrap">
        <Subheading>{T.title}</Subheading>
        {mayWrite && (
          <PickFile accept=".graphml,.xml" testId="plan-picker" onText={takeIn}>
            {T.pick}
          </PickFile>
        )}
      </Flex>
      <Box color="inkSoft" maxWidth="760px">
        {T.lead}
      </Box>
      {told && <Said told={told} />}
      {plans.map((plan) => (
        <OnePlan key={plan.id} plan={plan} seen={seen} />
      ))}
    </Box>
  );
};
