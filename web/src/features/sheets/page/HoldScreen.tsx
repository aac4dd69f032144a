import { Box } from '@chakra-ui/react';
import { holdKey, holdKindsOf, holdSheet, placeName, type HoldSheet, type Survival, type Words } from '@odograph/core';
import { useMemo } from 'react';
import { useWords } from '../../library/index.js';
import { sayEntry, sayHold } from '../sayMet.js';
import { HOLD_PAGE_TEXT as T, PAGE_TEXT } from './page.text.js';
import { Rows } from './Rows.js';
import { sheetOf, sum, type SheetRow } from './rows.js';
import { Parts, SheetPage, useSheetOf } from './SheetPage.js';

const { times } = PAGE_TEXT;

/** The lines of the parts of a sheet. */
const rowsOf = (sheet: HoldSheet, words: Words) => {
  const entry = (of: Pick<HoldSheet['uses'][number], 'action' | 'bait' | 'from'>): string =>
    PAGE_TEXT.from(sayEntry(of, words), placeName(of.from, words));
  return {
    uses: sheet.uses.map((u): SheetRow => ({
      key: `use ${u.from} ${u.action} ${u.bait}`,
      name: entry(u),
      count: PAGE_TEXT.went(u.worked, u.n, u.seen),
      attemptIds: u.attemptIds,
      sheet: sheetOf('entry', u.action),
    })),
    run:
      sheet.longestRun.length > 1
        ? [{ key: 'run', name: T.run(sheet.longestRun.length), count: '', attemptIds: sheet.longestRun }]
        : [],
    buys: sheet.buys
      .filter((b) => sum(b.with) > 0 && sum(b.without) > 0)
      .map((b): SheetRow => ({
        key: `buys ${b.from} ${b.action}`,
        name: entry({ ...b, bait: false }),
        count: T.p(b.p),
        more: `${T.withIt(b.with.worked, sum(b.with))}, ${T.without(b.without.worked, sum(b.without))}`,
        attemptIds: sheet.uses.find((u) => u.from === b.from && u.action === b.action)?.attemptIds ?? [],
      })),
  };
};

/** Lines that have no clips of their own to open. */
const Plain = ({
  lines,
}: {
  readonly lines: readonly (readonly [text: string, count: string])[];
}): React.JSX.Element => (
  <Box as="ul" listStyleType="none" borderTopWidth="1px" marginTop="1">
    {lines.map(([text, count]) => (
      <Box
        as="li"
        key={text}
        display="flex"
        justifyContent="space-between"
        gap="4"
        paddingBlock="1.5"
        paddingInline="2"
        borderBottomWidth="1px"
      >
        <span>{text}</span>
        <Box as="span" color="inkSoft" fontSize="14px">
          {count}
        </Box>
      </Box>
    ))}
  </Box>
);

const WIDE = 300;
const HIGH = 72;
/** The share that is still kept, by time, as steps down. */
const Curve = ({ kept }: { readonly kept: Survival }): React.JSX.Element => {
  const across = (s: number): number => (kept.longestS ? (s / kept.longestS) * (WIDE - 2) : 0) + 1;
  const down = (share: number): number => (1 - share) * (HIGH - 8) + 4;
  const path = kept.steps.map(({ s, share }) => `H${across(s)}V${down(share)}`).join('');
  return (
    <svg
      width={WIDE}
      height={HIGH}
      role="img"
      aria-label={T.curve(kept.steps.map(({ share, s }) => T.share(share, s)).join(', '))}
    >
      <path d={`M1 4V${HIGH - 4}H${WIDE - 1}`} stroke="var(--od-field)" fill="none" />
      <path d={`M1 4${path}H${WIDE - 1}`} stroke="var(--od-ink)" strokeWidth="2.5" fill="none" />
    </svg>
  );
};

const KeptFor = ({ kept }: { readonly kept: Survival }): React.JSX.Element =>
  kept.n === 0 ? (
    <Box color="inkSoft">{T.keptNot}</Box>
  ) : (
    <>
      <Box marginBottom="2">
        {kept.medianS === null ? T.longer(kept.longestS, kept.n, kept.lost) : T.median(kept.medianS, kept.n, kept.lost)}
      </Box>
      <Curve kept={kept} />
    </>
  );

const Sheet = ({
  sheet,
  rows: { uses, run, buys },
  picked,
  onPick,
}: {
  readonly sheet: HoldSheet;
  readonly rows: ReturnType<typeof rowsOf>;
  readonly picked: string | undefined;
  readonly onPick: (row: SheetRow) => void;
}): React.JSX.Element => {
  const words = useWords();
  const lost = [
    ...sheet.lostTo.map(({ reaction, n }) => [T.lostTo(words.name('reaction', reaction)), times(n)] as const),
    ...sheet.handedTo.map(({ hold, n }) => [T.handed(sayHold(hold, words)), times(n)] as const),
  ];
  const costs = [
    ...sheet.metBy.map(({ action, n, stopped }) => [T.metBy(words.name('action', action), stopped), times(n)] as const),
    ...sheet.instead.map(({ hold, n }) => [T.instead(sayHold(hold, words)), times(n)] as const),
  ];
  const hand = { picked, onPick };
  return (
    <Parts>
      <Rows title={T.uses} lead={T.usesLead(uses.length)} rows={[...uses, ...run]} {...hand} />
      <Rows title={T.kept} rows={[]} {...hand}>
        <KeptFor kept={sheet.kept} />
      </Rows>
      <Rows title={T.buys} lead={T.buysLead} rows={buys} {...hand} />
      <Rows title={T.lost} rows={[]} {...hand}>
        {lost.length ? <Plain lines={lost} /> : <Box color="inkSoft">{T.notLost}</Box>}
      </Rows>
      <Rows title={T.costs} rows={[]} {...hand}>
        {costs.length ? <Plain lines={costs} /> : <Box color="inkSoft">{T.noCosts}</Box>}
      </Rows>
    </Parts>
  );
};

/** What a hold is worth, on one page. */
export const HoldScreen = (): React.JSX.Element => {
  const of = useSheetOf();
  const words = useWords();
  const { source, asked, rowKey, go } = of;
  const kinds = useMemo(() => (source ? holdKindsOf(source.cases) : []), [source]);
  const kind = kinds.find((k) => holdKey(k.hold) === asked) ?? (asked === undefined ? kinds[0] : undefined);
  const sheet = useMemo(() => source && kind && holdSheet(kind.hold, source), [source, kind]);
  const rows = useMemo(() => sheet && rowsOf(sheet, words), [sheet, words]);
  const key = kind && holdKey(kind.hold);
  return (
    <SheetPage
      sheet={of}
      title={kind ? sayHold(kind.hold, words) : T.title}
      which={T.which}
      value={key}
      options={kinds.map(({ hold }) => [holdKey(hold), sayHold(hold, words)])}
      nothing={T.nothing}
      rows={rows ? [...rows.uses, ...rows.run, ...rows.buys] : []}
    >
      {sheet && rows ? (
        <Sheet
          sheet={sheet}
          rows={rows}
          picked={rowKey}
          onPick={(row) => go(key, row.key === rowKey ? undefined : row.key)}
        />
      ) : (
        <Box>{T.nothing}</Box>
      )}
    </SheetPage>
  );
};
