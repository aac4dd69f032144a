import { Box, Flex } from '@chakra-ui/react';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Action, Heading, WordField, among } from '../../design/index.js';
import { useClipViews, useWords } from '../library/index.js';
import { useMapPicture } from '../map/index.js';
import { ClipRow } from './ClipRow.js';
import { FACETS, facetChoices, facetCounts, matches, textsOf, type Facet, type Filter } from './filter.js';

const LEAD: Record<Facet, string> = { from: 'from', entry: 'by', grip: 'holding', finish: 'ending in' };
const ANY: Record<Facet, string> = { from: 'any position', entry: 'any entry', grip: 'any grip', finish: 'anywhere' };
const LABEL: Record<Facet, string> = { from: 'Position', entry: 'Entry', grip: 'Grip', finish: 'Finish' };

/** All clips as sentences; what is shown is a sentence too, kept in the address. */
export const ClipList = (): React.JSX.Element => {
  const words = useWords();
  const views = useClipViews();
  const picture = useMapPicture();
  const [search, setSearch] = useSearchParams();
  const filter = useMemo<Filter>(
    () => Object.fromEntries(FACETS.flatMap((f) => (search.get(f) ? [[f, search.get(f)!]] : []))),
    [search],
  );
  const shown = useMemo(() => views.filter((v) => matches(v, filter, words)), [views, filter, words]);
  const fields = useMemo(
    () =>
      FACETS.map((facet) => {
        const counts = facetCounts(views, filter, facet, words);
        return { facet, counts, find: among(facetChoices(counts, facet, words)) };
      }),
    [views, filter, words],
  );
  const lineOf = useMemo(
    () => new Map((picture?.lines ?? []).flatMap((line) => line.attemptIds.map((id) => [id, line] as const))),
    [picture],
  );
  const set = (facet: Facet, value: string | undefined): void =>
    setSearch(
      Object.fromEntries(
        Object.entries({ ...filter, [facet]: value }).filter((e): e is [string, string] => e[1] !== undefined),
      ),
      { replace: true },
    );
  const isFiltered = Object.keys(filter).length > 0;
  return (
    <Box paddingInline="8" paddingBlock="6" maxWidth="1280px">
      <Flex alignItems="baseline" gap="4" marginBottom="4">
        <Heading>Clips</Heading>
        <Box color="inkSoft" role="status" data-testid="clips-shown">
          {isFiltered ? `${shown.length} of ${views.length}` : views.length}
        </Box>
      </Flex>
      <Box as="section" role="search" aria-label="Which clips" fontSize="20px" lineHeight="1.6" marginBottom="4">
        <Box as="span" color="inkSoft">
          Clips
        </Box>
        {fields.map(({ facet, counts, find }) => (
          <span key={facet}>
            <Box as="span" color="inkSoft">{` ${LEAD[facet]} `}</Box>
            <Box as="span" fontWeight={filter[facet] ? '600' : undefined}>
              <WordField
                label={LABEL[facet]}
                name={facet}
                placeholder={ANY[facet]}
                said={filter[facet] === undefined ? null : (textsOf(facet, filter[facet], words)[0] ?? null)}
                find={find}
                onPick={(value) => set(facet, value)}
                onClear={() => set(facet, undefined)}
                countOf={(value) => counts.get(value) ?? 0}
              />
            </Box>
          </span>
        ))}
        {isFiltered && (
          <Action tone="quiet" marginLeft="4" onClick={() => setSearch({}, { replace: true })}>
            Show all
          </Action>
        )}
      </Box>
      {views.length === 0 ? (
        <Box maxWidth="560px">
          <Box marginBottom="4">
            No clips yet. A clip is a look at one attempt: stop footage where it begins, mark in and out, and say what
            it is.
          </Box>
          <Action asChild tone="next">
            <Link to="/footage">Go to the footage</Link>
          </Action>
        </Box>
      ) : shown.length === 0 ? (
        <Box>No clip is all of this at once. Clear a part of the sentence (backspace in it) to see more.</Box>
      ) : (
        <Box as="ul" listStyleType="none" borderTopWidth="1px">
          {shown.map((view) => (
            <ClipRow key={view.clip.id} view={view} line={lineOf.get(view.attempt.id)} isComputed={picture !== null} />
          ))}
        </Box>
      )}
    </Box>
  );
};
