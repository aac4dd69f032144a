import { frameStartS, linksTold, partsOf, seriesOf, type BecauseLink } from '@odograph/core';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { Sentence } from '../../../design/index.js';
import { useLibrary, type ClipView } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { PARTS, wayOf, type Desk, type Room } from '../desk/index.js';
import { REASONS_KEYS, TRIES_KEYS, type KeyTable } from '../keys/index.js';
import { ReasonsHere } from './ReasonsHere.js';
import { AT_FIRST, KIND_KEYS, reasonsAfter, type ReasonsMove } from './reasonsHand.js';
import { TriesHere } from './TriesHere.js';

/** The details of the attempt in hand and what made what possible, in place of the list; each is pointed at by the arrows, a letter begins a link, enter ends it. */
const useReasons = (desk: Desk, view: ClipView | undefined, close: () => void): Room => {
  const edit = useEdit();
  const { attempts } = useLibrary();
  const [hand, setHand] = useState(AT_FIRST);
  const [drawnFrom, setDrawnFrom] = useState<number | null>(null);
  if (!view) return {};
  const { attempt } = view;
  const rows = partsOf(attempt);
  const move = (what: ReasonsMove): void => setHand((now) => reasonsAfter(now, what, rows.length));
  const change = (links: readonly BecauseLink[]): void => edit({ kind: 'attempt', id: attempt.id, changes: { links } });
  const end = (at: number): void => {
    const { begun } = hand;
    const [from, to] = [rows[begun?.from ?? -1], rows[at]];
    if (begun && from !== undefined && to !== undefined && from !== to)
      change([
        ...linksTold(attempt),
        {
          id: newId(),
          from: { attemptId: null, part: from },
          to: { attemptId: null, part: to },
          kind: begun.kind,
          isSure: true,
        },
      ]);
    move({ does: 'let be' });
  };
  /** Drawn from row to row by the pointer: *enables*, which is what is mostly meant; its letter makes it another. */
  const drawn = (at: number): void => {
    if (hand.begun) end(at);
    else if (drawnFrom !== null && drawnFrom !== at) {
      move({ does: 'point', at: drawnFrom });
      move({ does: 'begin', kind: 'enables' });
      move({ does: 'point', at });
    }
    setDrawnFrom(null);
  };
  const kinds = Object.entries(KIND_KEYS).map(([key, kind]) => [key, () => move({ does: 'begin', kind })] as const);
  const keys: KeyTable = {
    ArrowUp: () => move({ does: 'step', by: -1 }),
    ArrowDown: () => move({ does: 'step', by: 1 }),
    ...(desk.mayWrite ? Object.fromEntries(kinds) : {}),
    Enter: () => end(hand.at),
    Escape: () => (hand.begun ? move({ does: 'let be' }) : close()),
  };
  return {
    keys,
    hints: REASONS_KEYS,
    instead: (
      <ReasonsHere
        {...{ attempt, attempts, rows, hand }}
        words={desk.words}
        onPoint={(at) => {
          if (!hand.begun) move({ does: 'point', at });
          setDrawnFrom(at);
        }}
        onEnd={(at) => desk.mayWrite && drawn(at)}
        onChange={desk.mayWrite ? change : undefined}
        onClose={close}
      />
    ),
  };
};

/** The attempt in hand beside another one of the same footage. */
const useTries = ({ bench, table, words, mayWrite }: Desk, view: ClipView | undefined, close: () => void): Room => {
  const edit = useEdit();
  const [picked, pick] = useState<string | null>(null);
  if (!table || !view) return {};
  const { attempt } = view;
  const all = bench.clips
    .filter((v) => v.attempt.angleId === bench.angle.id)
    .map((v) => ({ attempt: v.attempt, view: v, startS: frameStartS(table, v.attempt.start.frame) }));
  const mine = all.find((t) => t.attempt.id === attempt.id);
  const series = mine ? seriesOf(mine, all).map((t) => t.view) : [];
  const isOther = (v: ClipView): boolean => v.attempt.id !== attempt.id;
  const alike = (v: ClipView): number => (series.includes(v) ? 0 : v.attempt.action === attempt.action ? 1 : 2);
  const away = (v: ClipView): number => Math.abs(v.attempt.start.frame - attempt.start.frame);
  const others = all
    .map((t) => t.view)
    .filter(isOther)
    .sort((a, b) => alike(a) - alike(b) || away(a) - away(b));
  const before = series.filter((v) => isOther(v) && v.attempt.start.frame < attempt.start.frame).at(-1);
  const beside = others.find((v) => v.clip.id === picked) ?? before ?? others[0];
  const isSeries = beside !== undefined && series.includes(beside);
  const isEarlier = beside !== undefined && beside.attempt.start.frame < attempt.start.frame;
  const join = (): void => {
    const changes = isSeries
      ? { parentId: null, series: 1 }
      : { parentId: beside!.attempt.id, series: beside!.attempt.series + 1 };
    edit({ kind: 'attempt', id: attempt.id, changes });
  };
  return {
    keys: { Escape: close },
    hints: TRIES_KEYS,
    instead: (
      <TriesHere
        {...{ view, others, beside, isSeries, table, words }}
        onBeside={pick}
        onJoin={mayWrite && isEarlier ? join : undefined}
        onClose={close}
      />
    ),
  };
};

/** Why the attempt in hand went as it went, and how it compares with its other tries; each asked for by its key. */
export const useReasonsRoom = (desk: Desk): Room => {
  const { hand, move, selected, isTyping } = desk;
  const close = (): void => move({ does: 'tell', way: PARTS });
  const by = wayOf(hand)?.by;
  const reasons = useReasons(desk, selected, close);
  const tries = useTries(desk, selected, close);
  if (!selected || selected.attempt.action === null) return {};
  const keys: KeyTable = {
    y: () => move({ does: 'tell', way: by === 'reasons' ? PARTS : { by: 'reasons' } }),
    q: () => move({ does: 'tell', way: by === 'tries' ? PARTS : { by: 'tries' } }),
  };
  if (by !== 'reasons' && by !== 'tries') return { keys };
  const room = by === 'reasons' ? reasons : tries;
  // the sentence is only read here, so that it leaves the details their room
  const panel = (
    <Box paddingInline="4" fontSize="17px" lineClamp="3">
      <Sentence said={selected.said} subject={selected.attempt.subject} />
    </Box>
  );
  return { ...room, panel, keys: { ...keys, ...room.keys }, ...(isTyping && { hints: undefined }) };
};
