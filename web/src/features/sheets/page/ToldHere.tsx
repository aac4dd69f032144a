import { Box } from '@chakra-ui/react';
import {
  STRENGTHS,
  clashesIn,
  depthWord,
  depthsIn,
  errorsIn,
  factsIn,
  principlesAt,
  readPlace,
  reasonsIn,
  sayFact,
  triesOf,
  type PlaceId,
  type SheetSource,
  type Words,
} from '@odograph/core';
import { useMemo } from 'react';
import { Subheading } from '../../../design/index.js';
import { useLibrary, usePersonName, useWords } from '../../library/index.js';
import { errorRow, reasonRow, tryRow } from './detailRows.js';
import { ENTRY_PAGE_TEXT, HOLD_PAGE_TEXT as H, TOLD_TEXT as T } from './page.text.js';
import { Rows } from './Rows.js';
import { sum, type SheetRow } from './rows.js';

/** What was told of the attempts from a place: what goes with working, how far they came, why they didn't work, whose mistakes, and which try it was. */
export const toldRows = (source: SheetSource, place: PlaceId, words: Words) => {
  const cases = source.cases.filter((c) => c.whose === 'own' && c.from === place && !c.isHeld);
  const tries = triesOf(cases);
  return {
    facts: factsIn(cases)
      .filter(({ table }) => sum(table.with) > 0)
      .map(({ fact, table, attemptIds }): SheetRow => ({
        key: `fact ${fact.fact} ${fact.value} ${fact.whose} ${fact.side} ${fact.when}`,
        name: sayFact(fact, words),
        count: `${H.withIt(table.with.worked, sum(table.with))}, ${H.without(table.without.worked, sum(table.without))}`,
        more: sum(table.without) > 0 ? H.p(table.p) : undefined,
        attemptIds,
      })),
    depths: depthsIn(cases).map((d): SheetRow => {
      const word = words.action(d.action);
      return {
        key: `depth ${d.action}`,
        name: words.name('action', d.action),
        count: '',
        more: d.rungs
          .flatMap(({ reached }, rung) => (reached && word ? [T.furthest(depthWord(word, rung), reached, d.said)] : []))
          .join(' · '),
        attemptIds: d.attemptIds,
      };
    }),
    reasons: reasonsIn(cases).map((r) => reasonRow(r, words)),
    errors: errorsIn(cases).map((e) => errorRow(e, words)),
    tries: tries.length > 1 ? tries.map(tryRow) : [],
  };
};

/** What is held to be so at a place, by how far it binds, so that a habit never looks like what has to be so. */
const HeldHere = ({ place }: { readonly place: PlaceId }): React.JSX.Element | null => {
  const { principles } = useLibrary();
  const words = useWords();
  const nameOf = usePersonName();
  const state = readPlace(place);
  const clashes = useMemo(() => clashesIn(principles, words), [principles, words]);
  const held = state?.kind === 'state' ? principlesAt(principles, state, words) : [];
  if (!held.length) return null;
  return (
    <Box as="section">
      <Subheading>{T.principles}</Subheading>
      {STRENGTHS.map((strength) => {
        const some = held.filter((p) => p.strength === strength);
        if (!some.length) return null;
        return (
          <Box key={strength} marginTop="1">
            <Box color="inkSoft" fontSize="14px">
              {T.strengths[strength]}
            </Box>
            {some.map((p) => (
              <Box
                key={p.id}
                fontWeight={strength === 'required' ? '600' : '400'}
                fontStyle={strength === 'habit' ? 'italic' : 'normal'}
                paddingBlock="0.5"
              >
                {p.sentence} {p.habitOf !== null && T.whose(nameOf(p.habitOf))}
                {clashes
                  .filter((c) => c.one === p || c.other === p)
                  .map((c) => {
                    const other = c.one === p ? c.other : c.one;
                    return (
                      <Box key={other.id} color="caution" fontSize="14px" fontWeight="400" fontStyle="normal">
                        {T.clash(other.sentence)}
                      </Box>
                    );
                  })}
              </Box>
            ))}
          </Box>
        );
      })}
    </Box>
  );
};

export const ToldHere = ({
  place,
  rows,
  picked,
  onPick,
}: {
  readonly place: PlaceId;
  readonly rows: ReturnType<typeof toldRows>;
  readonly picked: string | undefined;
  readonly onPick: (row: SheetRow) => void;
}): React.JSX.Element => {
  const hand = { picked, onPick };
  return (
    <>
      <HeldHere place={place} />
      <Rows title={T.facts} lead={T.factsLead} rows={rows.facts} {...hand} />
      <Rows title={T.depth} rows={rows.depths} {...hand} />
      <Rows title={ENTRY_PAGE_TEXT.reasons} rows={rows.reasons} {...hand} />
      <Rows title={ENTRY_PAGE_TEXT.errors} rows={rows.errors} {...hand} />
      <Rows title={ENTRY_PAGE_TEXT.tries} rows={rows.tries} {...hand} />
    </>
  );
};
