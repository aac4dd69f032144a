import { Box } from '@chakra-ui/react';
import type { Principle } from '@odograph/core';
import { useMemo, useState } from 'react';
import { WordField, type Found } from '../../design/fields.js';
import { Action } from '../../design/index.js';
import { useClipViews, type ClipView } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { PRINCIPLES_TEXT as T } from './principles.text.js';

const MOST_FOUND = 8;
const sentenceOf = (view: ClipView): string =>
  [...view.said.map((part) => [part.lead, part.text].filter(Boolean).join(' ')), view.footage.title].join(', ');

/** Puts any clip for or against a principle, also one that it doesn't apply to by itself: found by the words of its sentence. */
export const PutClip = ({ principle }: { readonly principle: Principle }): React.JSX.Element => {
  const views = useClipViews();
  const edit = useEdit();
  const [picked, setPicked] = useState<ClipView | null>(null);
  const find = useMemo(() => {
    const put = new Set([...principle.clipsFor, ...principle.clipsAgainst]);
    return (typed: string): readonly Found<ClipView>[] => {
      const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
      const found: Found<ClipView>[] = [];
      for (const view of words.length ? views : []) {
        if (found.length === MOST_FOUND) break;
        const sentence = sentenceOf(view);
        const isIt = words.every((word) => sentence.toLowerCase().includes(word));
        if (isIt && !put.has(view.clip.id)) found.push({ value: view, name: sentence, via: sentence });
      }
      return found;
    };
  }, [views, principle]);
  const put = (field: 'clipsFor' | 'clipsAgainst'): void => {
    if (!picked) return;
    edit({ kind: 'principle', id: principle.id, changes: { [field]: [...principle[field], picked.clip.id] } });
    setPicked(null);
  };
  return (
    <Box marginTop="4" fontSize="17px" display="flex" gap="3" alignItems="baseline" flexWrap="wrap">
      <Box as="span" color="inkSoft">
        {T.another}
      </Box>
      <WordField
        label={`${T.another}: ${principle.sentence}`}
        placeholder={T.findClip}
        said={picked && sentenceOf(picked)}
        find={find}
        onPick={setPicked}
        onClear={() => setPicked(null)}
      />
      {picked && (
        <>
          <Action onClick={() => put('clipsFor')}>{T.speaksFor}</Action>
          <Action onClick={() => put('clipsAgainst')}>{T.speaksAgainst}</Action>
        </>
      )}
    </Box>
  );
};
