import { Box } from '@chakra-ui/react';
import { timecode, type Link, type TimeTable } from '@odograph/core';
import { memo, useEffect, useMemo, useRef, type KeyboardEvent } from 'react';
import { Mono, ResultMark, Sentence, useStable } from '../../../design/index.js';
import { type ClipView } from '../../library/index.js';
import { Caps } from '../keys/index.js';
import { exchanges } from './exchanges.js';
import { ListHead, type HeadProps } from './ListHead.js';
import { LIST_TEXT as T, CLIPS_HERE_TEXT } from './list.text.js';

/** A clip as a sentence of the running text; drawn anew only where its words have changed. The one in hand is larger. */
const Told = memo(function Told({
  view,
  said,
  table,
  isSelected,
  onSelect,
}: {
  readonly view: ClipView;
  readonly said: ClipView['said'];
  readonly table: TimeTable;
  readonly isSelected: boolean;
  readonly onSelect: (clipId: string) => void;
}): React.JSX.Element {
  const place = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    if (isSelected) place.current?.scrollIntoView({ block: 'nearest' });
  }, [isSelected]);
  const pick = (): void => onSelect(view.clip.id);
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    pick();
  };
  return (
    <Box as="li" role="listitem" display="inline" {...(isSelected ? { fontSize: '18px', lineHeight: '1.4' } : {})}>
      <Box
        as="span"
        ref={place}
        role="button"
        tabIndex={0}
        aria-current={isSelected}
        cursor="pointer"
        scrollMarginBlock="12px"
        boxDecorationBreak="clone"
        {...(isSelected
          ? {
              background: 'inHandSoft',
              paddingInline: '4px',
              paddingBlock: '2px',
              borderRadius: '2px',
            }
          : { _hover: { background: 'raised' } })}
        onClick={pick}
        onKeyDown={onKeyDown}
      >
        <Mono fontSize="11.5px" color="inkSoft" marginRight="1">
          {timecode(table, view.clip.in.frame)}
        </Mono>
        {view.attempt.result && (
          <Box as="span" marginRight="1">
            <ResultMark result={view.attempt.result} />
          </Box>
        )}
        <Sentence said={said} subject={view.attempt.subject} />
        {view.missing.length > 0 && (
          <Box as="span" fontFamily="heading" fontSize="14px" color="inkSoft">
            {CLIPS_HERE_TEXT.draftNotSaid(view.missing.map((part) => T.missing[part]).join(', '))}
          </Box>
        )}
        {'. '}
      </Box>
    </Box>
  );
});

/** The match on the bench as running text, in the order in which things happened: a paragraph for each exchange, a sentence for each clip. */
export const ClipsHere = (
  props: HeadProps & { readonly table: TimeTable; readonly links: readonly Link[] },
): React.JSX.Element => {
  const { desk, table, telling, links } = props;
  const { clips } = desk.bench;
  const pick = useStable(desk.select);
  const paragraphs = useMemo(() => exchanges(clips, links), [clips, links]);
  return (
    <Box as="section" aria-label={T.label} height="100%" overflowY="auto" borderLeftWidth="1px">
      <ListHead {...props} />
      {clips.length === 0 && (
        <Box padding="4" color="inkSoft">
          <Caps text={T.empty} />
        </Box>
      )}
      {paragraphs.map((paragraph) => (
        <Box
          as="ol"
          key={paragraph[0]!.clip.id}
          listStyleType="none"
          paddingInline="4"
          paddingTop="3"
          fontSize="15px"
          lineHeight="1.5"
          data-testid="exchange"
        >
          {paragraph.map((view) => (
            <Told
              key={view.clip.id}
              view={view}
              said={telling.said(view)}
              table={table}
              isSelected={view.clip.id === desk.selected?.clip.id}
              onSelect={pick}
            />
          ))}
        </Box>
      ))}
      <Box height="4" />
    </Box>
  );
};
