import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { Action } from '../../design/index.js';
import { WordField, among } from '../../design/fields.js';
import { useWords, type ClipView } from '../library/index.js';
import {
  FACETS,
  MAIN,
  facetChoices,
  facetCounts,
  facetOf,
  without,
  type FacetKey,
  type Filter,
} from '../finding/index.js';
import { TextField } from './TextField.js';
import { FILTER_SENTENCE_TEXT } from './clips.text.js';

type Props = {
  readonly views: readonly ClipView[];
  readonly filter: Filter;
  readonly onChange: (filter: Filter) => void;
};

const soft = (text: string): React.JSX.Element => (
  <Box as="span" color="inkSoft">
    {text}
  </Box>
);

const Part = ({
  facet,
  views,
  filter,
  onChange,
  isFresh,
}: Props & { readonly facet: FacetKey; readonly isFresh: boolean }): React.JSX.Element => {
  const words = useWords();
  const { label, lead, any, textsOf } = facetOf(facet);
  const { counts, find } = useMemo(() => {
    const counted = facetCounts(views, filter, facet, words);
    return { counts: counted, find: among(facetChoices(views, counted, facet, words)) };
  }, [views, filter, facet, words]);
  const chosen = filter[facet];
  return (
    <span>
      {soft(` ${lead} `)}
      <Box as="span" fontWeight={chosen === undefined ? undefined : '600'}>
        <WordField
          label={label}
          name={facet}
          placeholder={any}
          said={chosen === undefined ? null : (textsOf(chosen, words, views)[0] ?? null)}
          find={find}
          isFresh={isFresh}
          onPick={(value) => onChange({ ...filter, [facet]: value })}
          onClear={() => onChange(without(filter, facet))}
          countOf={(value) => counts.get(value) ?? 0}
        />
      </Box>
    </span>
  );
};

/** Which clips are shown, as a sentence: four parts always stand in it, the others are added by saying what to narrow by. */
export const FilterSentence = ({ views, filter, onChange }: Props): React.JSX.Element => {
  const [added, setAdded] = useState<readonly FacetKey[]>([]);
  const isIn = (key: FacetKey): boolean => MAIN.includes(key) || filter[key] !== undefined || added.includes(key);
  const shown = FACETS.filter((f) => isIn(f.key)).map((f) => f.key);
  const left = FACETS.filter((f) => !isIn(f.key)).map((f) => ({
    value: f.key,
    texts: [f.label.toLowerCase(), f.lead],
  }));
  const isFiltered = Object.keys(filter).length > 0;
  return (
    <Box
      as="section"
      role="search"
      aria-label={FILTER_SENTENCE_TEXT.whichClips}
      fontSize="20px"
      lineHeight="1.65"
      marginBottom="4"
    >
      {soft('Clips')}
      {shown.map((facet) => (
        <Part
          key={facet}
          facet={facet}
          views={views}
          filter={filter}
          onChange={onChange}
          isFresh={facet === added.at(-1)}
        />
      ))}
      {soft(' mentioning ')}
      <TextField
        key={filter.text ?? ''}
        text={filter.text ?? ''}
        onChange={(text) => onChange(text ? { ...filter, text } : without(filter, 'text'))}
      />
      {left.length > 0 && (
        <>
          {soft(', and ')}
          <WordField<FacetKey>
            label={FILTER_SENTENCE_TEXT.narrowByLabel}
            placeholder={FILTER_SENTENCE_TEXT.narrowBy}
            said={null}
            find={among(left)}
            onPick={(key) => setAdded([...added, key])}
          />
        </>
      )}
      {isFiltered && (
        <Action
          tone="quiet"
          marginLeft="3"
          onClick={() => {
            setAdded([]);
            onChange({});
          }}
        >
          {FILTER_SENTENCE_TEXT.showAll}
        </Action>
      )}
    </Box>
  );
};
