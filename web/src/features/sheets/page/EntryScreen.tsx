import { Flex } from '@chakra-ui/react';
import { depthWord, entriesOf, entrySheet, holdKey, placeName, type EntrySheet, type Words } from '@odograph/core';
import { useMemo } from 'react';
import { IntervalBand } from '../../../design/index.js';
import { useWords } from '../../library/index.js';
import { answersLink } from '../../map/index.js';
import { TimesList } from '../MoreHere.js';
import { sayHold } from '../sayMet.js';
import { errorRow, reasonRow, tryRow } from './detailRows.js';
import { ENTRY_PAGE_TEXT as T, PAGE_TEXT } from './page.text.js';
import { Rows } from './Rows.js';
import { sheetOf, wentRow, type SheetRow } from './rows.js';
import { Parts, SheetPage, useSheetOf } from './SheetPage.js';

/** The lines of the parts of a sheet, in the order in which they stand. */
const partsOf = (sheet: EntrySheet, words: Words) => {
  const ladder = words.action(sheet.action);
  const { depth } = sheet;
  return {
    from: sheet.from.map((f) => {
      const place = placeName(f.place, words);
      return {
        ...wentRow(`from ${f.place} ${f.bait}`, f.bait ? PAGE_TEXT.baitFrom(place) : place, f),
        sheet: answersLink(f.place),
      };
    }),
    met: sheet.met.map((m): SheetRow => ({
      key: `met ${m.isAction} ${m.what}`,
      name: words.name(m.isAction ? 'action' : 'reaction', m.what),
      count: T.met1(m.met, m.overcome, m.stopped),
      more: m.answers.length
        ? T.answered(m.answers.map((a) => words.name('action', a.action)).join(', '))
        : m.stopped
          ? T.noAnswer
          : undefined,
      attemptIds: m.attemptIds,
      sheet: m.isAction ? sheetOf('entry', m.what) : sheetOf('reaction', m.what),
    })),
    ways: sheet.ways.map((w): SheetRow => ({
      key: `way ${w.from} ${w.to}`,
      name: T.way(placeName(w.from, words), placeName(w.to, words)),
      count: PAGE_TEXT.times(w.n),
      attemptIds: w.attemptIds,
      line: { from: w.from, action: sheet.action, to: w.to },
    })),
    holds: sheet.holds.map((h) => ({
      ...wentRow(`hold ${holdKey(h.hold)}`, sayHold(h.hold, words), h),
      sheet: sheetOf('hold', holdKey(h.hold)),
    })),
    depth: depth
      ? depth.rungs.map(({ reached, stalled }, rung): SheetRow => ({
          key: `depth ${rung}`,
          name: ladder ? depthWord(ladder, rung) : String(rung),
          count: T.reached(reached, depth.said),
          more: T.stalled(stalled),
          attemptIds: depth.attemptIds,
        }))
      : [],
    errors: sheet.errors.map((e) => errorRow(e, words)),
    reasons: sheet.reasons.map((r) => reasonRow(r, words)),
    tries: sheet.tries.length > 1 ? sheet.tries.map(tryRow) : [],
  };
};

/** What is known of an entry, wherever it starts, on one page. */
export const EntryScreen = (): React.JSX.Element => {
  const of = useSheetOf();
  const words = useWords();
  const { source, found, asked, rowKey, go } = of;
  const entries = useMemo(() => (source ? entriesOf(source.cases) : []), [source]);
  const action = asked ?? entries[0]?.action;
  const sheet = useMemo(
    () => (source && action !== undefined ? entrySheet(action, source, found) : undefined),
    [source, action, found],
  );
  const parts = useMemo(() => sheet && partsOf(sheet, words), [sheet, words]);
  const hand = {
    picked: rowKey,
    onPick: (row: SheetRow): void => go(action, row.key === rowKey ? undefined : row.key),
  };
  return (
    <SheetPage
      sheet={of}
      title={action === undefined ? T.title : words.name('action', action)}
      which={T.which}
      value={action}
      options={entries.map((e) => [e.action, words.name('action', e.action)])}
      nothing={T.nothing}
      rows={parts ? Object.values(parts).flat() : []}
    >
      {sheet && parts && (
        <>
          <Flex gap="3" rowGap="2" alignItems="center" marginBottom="4" wrap="wrap">
            {T.all(PAGE_TEXT.went(sheet.all.worked, sheet.all.n, sheet.all.seen))}
            {sheet.all.interval && <IntervalBand interval={sheet.all.interval} width={96} />}
          </Flex>
          <Parts>
            <Rows title={T.from} nothing={T.nothing} rows={parts.from} {...hand} />
            <Rows title={T.met} nothing={T.noneMet} rows={parts.met} {...hand} />
            <Rows title={T.to} rows={parts.ways} {...hand} />
            <Rows title={T.holds} rows={parts.holds} {...hand} />
            <Rows title={T.depth} rows={parts.depth} {...hand} />
            <Rows title={T.reasons} rows={parts.reasons} {...hand} />
            <Rows title={T.errors} rows={parts.errors} {...hand} />
            <Rows title={T.tries} rows={parts.tries} {...hand} />
            <TimesList times={sheet.times} />
          </Parts>
        </>
      )}
    </SheetPage>
  );
};
