import { Box } from '@chakra-ui/react';
import { timecode, type TimeTable } from '@odograph/core';
import { memo, useEffect, useRef } from 'react';
import { Mono, PickRow, ResultMark, Sentence, useStable } from '../../../design/index.js';
import { type ClipView } from '../../library/index.js';
import { Caps } from '../keys/index.js';
import { ListHead, type HeadProps } from './ListHead.js';
import { LIST_TEXT as T } from './list.text.js';

const Row = memo(function Row({
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
  const row = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (isSelected) row.current?.scrollIntoView({ block: 'nearest' });
  }, [isSelected]);
  return (
    <PickRow ref={row} isPicked={isSelected} onPick={() => onSelect(view.clip.id)} says="current" inset="4">
      <Mono fontSize="13px" color="inkSoft" display="flex" gap="2">
        {timecode(table, view.clip.in.frame)}
        {view.attempt.result && (
          <Box as="span" color="ink">
            <ResultMark result={view.attempt.result} />
          </Box>
        )}
        {view.missing.length > 0 && (
          <Box as="span" fontFamily="heading" fontSize="14px" color="ink">
            draft: {view.missing.map((part) => T.missing[part]).join(', ')} not said
          </Box>
        )}
      </Mono>
      <Box fontSize="15px" lineHeight="1.35">
        <Sentence said={said} subject={view.attempt.subject} />
      </Box>
    </PickRow>
  );
});

/** The clips of the footage on the bench, as sentences, in the order in which things happened. */
export const ClipsHere = (props: HeadProps & { readonly table: TimeTable }): React.JSX.Element => {
  const { desk, table, telling } = props;
  const { clips } = desk.bench;
  const pick = useStable(desk.select);
  return (
    <Box as="section" aria-label="Clips of this footage" height="100%" overflowY="auto" borderLeftWidth="1px">
      <ListHead {...props} />
      {clips.length === 0 ? (
        <Box padding="4" color="inkSoft">
          <Caps text={T.empty} />
        </Box>
      ) : (
        <Box as="ul" listStyleType="none">
          {clips.map((view) => (
            <Row
              key={view.clip.id}
              view={view}
              said={telling.said(view)}
              table={table}
              isSelected={view.clip.id === desk.selected?.clip.id}
              onSelect={pick}
            />
          ))}
        </Box>
      )}
    </Box>
  );
};
