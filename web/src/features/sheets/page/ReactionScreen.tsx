import { Box } from '@chakra-ui/react';
import {
  placeName,
  reactionSheet,
  reactionsMet,
  type AnswerSeen,
  type ReactionSheet,
  type Words,
} from '@odograph/core';
import { useMemo } from 'react';
import { useWords } from '../../library/index.js';
import { ANSWERED_TEXT } from '../../map/index.js';
import { sayEntry } from '../sayMet.js';
import { PAGE_TEXT, REACTION_PAGE_TEXT as T } from './page.text.js';
import { Rows } from './Rows.js';
import { sheetOf, wentRow, type SheetRow } from './rows.js';
import { Parts, SheetPage, useSheetOf } from './SheetPage.js';

const partsOf = (sheet: ReactionSheet, words: Words) => {
  const names = (answers: readonly AnswerSeen[]): string =>
    answers.map((a) => words.name('action', a.action)).join(', ');
  const where = sheet.where.map((w) => ({
    ...wentRow(
      `where ${w.place} ${w.action} ${w.bait}`,
      PAGE_TEXT.from(sayEntry(w, words), placeName(w.place, words)),
      w,
      T.answeredWith(ANSWERED_TEXT[w.status], names(w.answers)),
    ),
    sheet: sheetOf('entry', w.action),
  }));
  return {
    where,
    none: where
      .filter((_, i) => ['unanswered', 'only said', 'shown'].includes(sheet.where[i]!.status))
      .map((row): SheetRow => ({ ...row, key: `none ${row.key}` })),
    answers: sheet.answers.map((a): SheetRow => ({
      key: `answer ${a.action}`,
      name: words.name('action', a.action),
      count: PAGE_TEXT.went(a.worked, a.n, a.shown),
      attemptIds: a.attemptIds,
      sheet: sheetOf('entry', a.action),
    })),
  };
};

/** Where a reaction is met, what answers it and who has no answer, on one page. */
export const ReactionScreen = (): React.JSX.Element => {
  const of = useSheetOf();
  const words = useWords();
  const { source, found, asked, rowKey, go } = of;
  const all = useMemo(() => (source ? reactionsMet(source.cases) : []), [source]);
  const reaction = asked ?? all[0]?.reaction;
  const sheet = useMemo(
    () => (source && reaction !== undefined ? reactionSheet(reaction, source, words, found) : undefined),
    [source, reaction, words, found],
  );
  const parts = useMemo(() => sheet && partsOf(sheet, words), [sheet, words]);
  const hand = {
    picked: rowKey,
    onPick: (row: SheetRow): void => go(reaction, row.key === rowKey ? undefined : row.key),
  };
  return (
    <SheetPage
      sheet={of}
      title={reaction === undefined ? T.title : T.name(words.name('reaction', reaction))}
      which={T.which}
      value={reaction}
      options={all.map((r) => [r.reaction, words.name('reaction', r.reaction)])}
      nothing={T.nothing}
      rows={parts ? Object.values(parts).flat() : []}
    >
      {sheet && parts && (
        <>
          <Box marginBottom="4">{T.sum(sheet.met, sheet.stopped)}</Box>
          <Parts>
            <Rows title={T.where} rows={parts.where} {...hand} />
            <Rows title={T.answers} nothing={T.noAnswers} rows={parts.answers} {...hand} />
            <Rows title={T.none} lead={T.noneLead} nothing={T.allAnswered} rows={parts.none} {...hand} />
          </Parts>
        </>
      )}
    </SheetPage>
  );
};
