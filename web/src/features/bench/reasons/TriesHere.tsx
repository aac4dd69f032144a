import { Box } from '@chakra-ui/react';
import {
  cameWith,
  differencesOf,
  frameStartS,
  timecode,
  type Attempt,
  type Difference,
  type TimeTable,
  type Words,
} from '@odograph/core';
import { Action, Picked } from '../../../design/index.js';
import type { ClipView } from '../../library/index.js';
import { PanelHead } from './PanelHead.js';
import { COMPARED_TEXT, TRIES_TEXT as T } from './reasons.text.js';

const seconds = (table: TimeTable, from: number, to: number): string =>
  `${(frameStartS(table, to) - frameStartS(table, from)).toFixed(1)} s`;

/** How long each of two attempts took, and what lay between them. */
const durations = (a: Attempt, b: Attempt, table: TimeTable): readonly (readonly [string, string, string])[] => {
  const commit = ({ commit: c, start }: Attempt): number => (c ?? start).frame;
  return [
    [T.toCommit, seconds(table, a.start.frame, commit(a)), seconds(table, b.start.frame, commit(b))],
    [T.toEnd, seconds(table, commit(a), a.end.frame), seconds(table, commit(b), b.end.frame)],
  ];
};

const Rows = ({ title, rows }: { readonly title: string; readonly rows: readonly Difference[] }): React.JSX.Element => (
  <>
    <Box as="tr">
      <Box as="th" {...{ colSpan: 3 }} textAlign="left" fontWeight="600" paddingTop="3" paddingBottom="1">
        {title}
      </Box>
    </Box>
    {rows.map((d, i) => (
      <Box as="tr" key={`${d.of} ${i}`} borderTopWidth="1px" verticalAlign="top">
        <Box as="th" textAlign="left" fontWeight="400" color="inkSoft" paddingBlock="1" paddingRight="2">
          {COMPARED_TEXT[d.of]}
        </Box>
        {[d.first, d.second].map((text, k) => (
          <Box as="td" key={k} paddingBlock="1" paddingRight="2" color={text === null ? 'inkSoft' : undefined}>
            {text ?? T.notTold}
          </Box>
        ))}
      </Box>
    ))}
  </>
);

/** The clip in hand beside another one of the footage: what came with the change, what else is different, what is the same. */
export const TriesHere = ({
  view,
  others,
  beside,
  isSeries,
  table,
  words,
  onBeside,
  onJoin,
  onClose,
}: {
  readonly view: ClipView;
  readonly others: readonly ClipView[];
  /** The one it is held against; it stands first, since it came first. */ readonly beside: ClipView | undefined;
  readonly isSeries: boolean;
  readonly table: TimeTable;
  readonly words: Words;
  readonly onBeside: (clipId: string) => void;
  readonly onJoin: (() => void) | undefined;
  readonly onClose: () => void;
}): React.JSX.Element => {
  const code = (v: ClipView): string => timecode(table, v.attempt.start.frame);
  const all = beside ? differencesOf(beside.attempt, view.attempt, words) : [];
  const came = cameWith(all);
  const different = all.filter((d) => d.is !== 'same');
  const changed = different.filter((d) => d.of === 'result' || d.of === 'depth');
  const also = different.filter((d) => !came.includes(d) && !changed.includes(d));
  return (
    <Box flex="1" minHeight="0" overflowY="auto" padding="4" data-testid="tries">
      <PanelHead title={T.title} onClose={onClose} />
      {!beside ? (
        <Box color="inkSoft">{T.none}</Box>
      ) : (
        <>
          <Picked
            aria-label={T.beside}
            width="100%"
            fontSize="15px"
            value={beside.clip.id}
            onChange={(e) => onBeside(e.target.value)}
          >
            {others.map((v) => (
              <option key={v.clip.id} value={v.clip.id}>
                {T.other(code(v), words.name('action', v.attempt.action ?? ''))}
              </option>
            ))}
          </Picked>
          <Box as="table" width="100%" fontSize="14px" lineHeight="1.35" aria-label={T.label} marginTop="2">
            <Box as="thead">
              <Box as="tr">
                <Box as="td" width="24%" />
                <Box as="th" textAlign="left" fontWeight="600" width="38%">
                  {code(beside)}
                </Box>
                <Box as="th" textAlign="left" fontWeight="600" color="inHand">
                  {T.this}
                </Box>
              </Box>
            </Box>
            <Box as="tbody">
              {changed.map((d) => (
                <Box as="tr" key={d.of} borderTopWidth="1px" fontWeight="600">
                  <Box as="th" textAlign="left" fontWeight="400" color="inkSoft" paddingBlock="1">
                    {COMPARED_TEXT[d.of]}
                  </Box>
                  <td>{d.first ?? T.notTold}</td>
                  <td>{d.second ?? T.notTold}</td>
                </Box>
              ))}
              {durations(beside.attempt, view.attempt, table).map(([what, a, b]) => (
                <Box as="tr" key={what} borderTopWidth="1px">
                  <Box as="th" textAlign="left" fontWeight="400" color="inkSoft" paddingBlock="1">
                    {what}
                  </Box>
                  <td>{a}</td>
                  <td>{b}</td>
                </Box>
              ))}
              {came.length > 0 && <Rows title={T.cameWith} rows={came} />}
              {also.length > 0 && <Rows title={T.differs} rows={also} />}
            </Box>
          </Box>
          <Box color="inkSoft" fontSize="14px" marginBlock="2">
            {different.length === 0 && `${T.nothing} `}
            {T.same(all.length - different.length)}
          </Box>
          {onJoin && <Action onClick={onJoin}>{isSeries ? T.part : T.join}</Action>}
        </>
      )}
    </Box>
  );
};
