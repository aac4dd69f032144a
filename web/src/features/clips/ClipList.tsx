import { Box, Flex } from '@chakra-ui/react';
import { lineId } from '@odograph/core';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Action, Choice, Heading, PickFile } from '../../design/index.js';
import { SaveVideo } from '../cuts/index.js';
import { ORDERS, clipsIn, matches, ordered, readFilter, type Filter, type Order } from '../finding/index.js';
import {
  NOTHING_FOR_STUDENTS,
  useClipViews,
  useLibrary,
  useMayWrite,
  useWords,
  type ClipView,
} from '../library/index.js';
import type { MapLine } from '../../workers/map.protocol.js';
import { useMapPicture } from '../map/index.js';
import { ClipRow } from './ClipRow.js';
import { CLIPS_TEXT as T, CLIP_LIST_TEXT } from './clips.text.js';
import { Collections } from './Collections.js';
import { FilterSentence } from './FilterSentence.js';
import { ReadList } from './ReadList.js';
import { SaveList } from './SaveList.js';

const ORDER_NAMES = ORDERS.map((order) => [order, order] as const);

/** The line that a clip's attempt stands on, in the view that is counted. */
const lineOf = ({ from, to, attempt }: ClipView, lines: ReadonlyMap<string, MapLine>): MapLine | undefined =>
  from && to && attempt.action ? lines.get(lineId(from, attempt.action, attempt.intent === 'bait', to)) : undefined;

/** Rows that are drawn at first, and with every wish for more. */
const AT_ONCE = 100;

/** All clips as sentences; what is shown is a sentence too, kept in the address. */
export const ClipList = (): React.JSX.Element => {
  const words = useWords();
  const views = useClipViews();
  const mayWrite = useMayWrite();
  const [most, setMost] = useState(AT_ONCE);
  const [list, setList] = useState<string | null>(null);
  const picture = useMapPicture();
  const [search, setSearch] = useSearchParams();
  const filter = useMemo(() => readFilter((key) => search.get(key)), [search]);
  const order = ORDERS.find((o) => o === search.get('order')) ?? 'as it happened';
  const lines = useMemo(() => new Map((picture?.lines ?? []).map((line) => [line.id, line])), [picture]);
  const { collections } = useLibrary();
  const collection = collections.find((c) => c.id === search.get('collection'));
  const within = useMemo(() => (collection ? clipsIn(collection, views, words) : views), [collection, views, words]);
  const shown = useMemo(() => {
    const seenOf = (v: ClipView): number => lineOf(v, lines)?.attempts ?? 0;
    return ordered(
      within.filter((v) => matches(v, filter, words)),
      order,
      seenOf,
    );
  }, [within, filter, words, order, lines]);
  const go = (next: Filter, by: Order, in_ = collection?.id): void =>
    setSearch(
      { ...next, ...(by === 'as it happened' ? {} : { order: by }), ...(in_ && { collection: in_ }) },
      { replace: true },
    );
  const isFiltered = collection !== undefined || Object.keys(filter).length > 0;
  return (
    <Box paddingInline={{ base: '4', md: '8' }} paddingBlock="6" maxWidth="1280px">
      <Flex alignItems="baseline" wrap="wrap" columnGap="4" rowGap="2" marginBottom="4">
        <Heading>{CLIP_LIST_TEXT.clips}</Heading>
        <Box color="inkSoft" role="status" data-testid="clips-shown">
          {isFiltered ? CLIP_LIST_TEXT.of(shown.length, views.length) : views.length}
        </Box>
        <Box flex="1" />
        {mayWrite && <SaveVideo clipIds={shown.map((v) => v.clip.id)} />}
        <SaveList shown={shown} />
        {mayWrite && (
          <PickFile accept=".csv,text/csv" testId="clips-picker" onText={setList}>
            {T.read}
          </PickFile>
        )}
        <Choice
          label={CLIP_LIST_TEXT.inTheOrder}
          name="order"
          value={order}
          options={ORDER_NAMES}
          onChange={(by) => go(filter, by)}
        />
      </Flex>
      {list !== null && <ReadList key={list} text={list} onDone={() => setList(null)} />}
      {views.length > 0 && (
        <Collections
          collection={collection}
          filter={filter}
          clipIds={shown.map((v) => v.clip.id)}
          onPick={(id) => go(id && id !== collection?.id ? {} : filter, order, id ?? '')}
        />
      )}
      <FilterSentence views={within} filter={filter} onChange={(next) => go(next, order)} />
      {views.length === 0 ? (
        <Box maxWidth="560px">
          <Box marginBottom="4">{mayWrite ? T.empty : NOTHING_FOR_STUDENTS}</Box>
          <Action asChild tone="next">
            <Link to="/footage">{T.toFootage}</Link>
          </Action>
        </Box>
      ) : shown.length === 0 ? (
        <Box>{T.noneLeft}</Box>
      ) : (
        <Box as="ul" listStyleType="none" borderTopWidth="1px">
          {shown.slice(0, most).map((view) => (
            <ClipRow key={view.clip.id} view={view} line={lineOf(view, lines)} isComputed={picture !== null} />
          ))}
        </Box>
      )}
      {shown.length > most && (
        <Box marginTop="5">
          <Action onClick={() => setMost(most + AT_ONCE)}>{T.more(shown.length - most)}</Action>
        </Box>
      )}
    </Box>
  );
};
