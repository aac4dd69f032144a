import { Box, Flex } from '@chakra-ui/react';
import { timecode, type Instant } from '@odograph/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { ToBin } from '../bin/index.js';
import { useLibrary, useMayWrite, useWords } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { useLookQuery, usePreparedQuery } from '../server/index.js';
import { SPEEDS, usePlayer } from '../player/index.js';
import { BENCH_TEXT as T } from './bench.text.js';
import { OwnKeysHere } from './Caps.js';
import { hintsNow } from './hintsNow.js';
import { BoardHere } from './BoardHere.js';
import { ClipsHere } from './ClipsHere.js';
import { CourseLine } from './CourseLine.js';
import { KeyHints } from './KeyHints.js';
import type { OnBench } from './useBenchClips.js';
import { useAsking } from './useAsking.js';
import { useCameras } from './useCameras.js';
import { useChain } from './useChain.js';
import { useClock } from './useClock.js';
import { useCutting } from './useCutting.js';
import { useLineUp } from './useLineUp.js';
import { instantAt } from './newClip.js';
import { PictureHere } from './PictureHere.js';
import { Underneath } from './Underneath.js';
import { useInstants } from './useInstants.js';
import { useLoops } from './useLoops.js';
import { useAgain } from './useAgain.js';
import { useMarks } from './useMarks.js';
import { useOtherFootage } from './useOtherFootage.js';
import { isWrittenInto, usePictureKeys, type KeyTable } from './usePictureKeys.js';
import { KeySheet } from './KeySheet.js';
import { useKeySheet } from './useKeySheet.js';
import { useOverlay } from './useOverlay.js';
import { useRepeating } from './useRepeating.js';
import { useSameInstant, type Remembered } from './useSameInstant.js';
import { useTelling } from './useTelling.js';
import { useSpanKeys } from './useSpanKeys.js';
import { useSpans } from './useSpans.js';

/** The frame in the address, where one is said. */
const frameIn = (search: URLSearchParams): number | undefined => {
  const said = search.get('frame') ?? '';
  return /^\d{1,9}$/.test(said) ? Number(said) : undefined;
};

/** One footage on the bench as one camera saw it: picture, clips, phrase and line, and the keys for all of it. */
export const BenchTable = ({
  bench,
  remembered,
}: {
  readonly bench: OnBench;
  readonly remembered: readonly [Remembered, (next: Remembered) => void];
}): React.JSX.Element => {
  const [search, setSearch] = useSearchParams();
  const [isTyping, setTyping] = useState(false);
  const [leaving, setLeaving] = useState<string | null>(null);
  const { routes } = useLibrary();
  const mayWrite = useMayWrite();
  const root = useRef<HTMLDivElement>(null);
  const edit = useEdit();
  const selectedId = search.get('clip') ?? undefined;
  const index = bench.clips.findIndex((v) => v.clip.id === selectedId);
  const selected = bench.clips[index];
  const [opening] = useState(() => ({
    frame: frameIn(search) ?? selected?.clip.in.frame ?? bench.angle.fromFrame,
    loop: selected ? { inFrame: selected.clip.in.frame, outFrame: selected.clip.out.frame } : null,
    play: false,
  }));
  const handle = usePlayer(bench.file, opening, bench.angle, true);
  const { player, table, frame } = handle;
  const cameras = useCameras(bench, table, frame, selected);
  const lineUp = useLineUp(bench, table, frame);
  const clock = useClock(bench, table, frame);
  const { currentData: prepared } = usePreparedQuery(bench.file.id);
  const { currentData: look } = useLookQuery(bench.file.id, { skip: !prepared?.look });
  const overlay = useOverlay(bench.file.id, look, prepared);
  const spans = useSpans(bench, table, look, (at) => player?.seek(at));
  const same = useSameInstant(bench, table, frame, spans.msOf, remembered);
  const other = useOtherFootage(bench, spans);
  useEffect(() => player?.skip(spans.skips, spans.fast), [player, spans.skips, spans.fast]);
  /** The camera is only in the address where there are several. */
  const here: Record<string, string> = bench.cameras.length > 1 ? { camera: bench.angle.id } : {};
  const marks = useMarks(bench, handle);
  const cutting = useCutting(bench, handle, selected, here);
  const { inMark, setInMark } = cutting;
  const [line, setLine] = useState<string | null>(null);
  const [isMirrored, setMirrored] = useState(false);
  const [board, setBoard] = useState(false);
  const [isGripping, setGripping] = useState(false);

  const select = (clipId: string | undefined): void => {
    spans.take(null);
    marks.take(undefined);
    setLine(null);
    // at once: quick presses of a key each start from where the one before led
    setSearch({ ...here, ...(clipId === undefined ? {} : { clip: clipId }) }, { replace: true, flushSync: true });
    const view = bench.clips.find((v) => v.clip.id === clipId);
    player?.pause();
    player?.loop(view ? { inFrame: view.clip.in.frame, outFrame: view.clip.out.frame } : null);
    if (view) player?.seek(view.clip.in.frame);
  };
  const again = useAgain({ bench, handle, marks, root, onLeaveClip: () => select(undefined) });
  const toPicture = (): void => {
    (document.activeElement as HTMLElement | null)?.blur();
    root.current?.focus();
  };
  const sheet = useKeySheet(toPicture);
  const asking = useAsking(handle, clock, toPicture);
  const toPhrase = (): void =>
    root.current?.querySelectorAll<HTMLInputElement>('[data-testid=phrase] input')[1]?.focus();
  const neighbour = (by: 1 | -1): void => {
    const at =
      index >= 0
        ? index + by
        : by > 0
          ? bench.clips.findIndex((v) => v.clip.in.frame >= frame())
          : bench.clips.findLastIndex((v) => v.clip.in.frame <= frame());
    const view = bench.clips[at];
    if (view) select(view.clip.id);
  };
  const toggleLoop = (): void => {
    if (selected)
      player?.loop(
        player.snapshot().loop ? null : { inFrame: selected.clip.in.frame, outFrame: selected.clip.out.frame },
      );
  };
  const toBin = (clipId: string): void => {
    edit({ kind: 'remove', what: 'clip', id: clipId });
    setLeaving(null);
    select(undefined);
  };
  const stretches = useSpanKeys(bench, handle, spans, other, cutting, () => select(undefined));
  const before = useMemo(() => {
    const at = selected?.clip.in.frame ?? 0;
    return bench.clips.filter((v) => v.clip.id !== selected?.clip.id && v.clip.in.frame < at).at(-1);
  }, [bench.clips, selected]);

  const repeating = useRepeating(selected, before);
  /** What follows is right: nothing of the attempt in hand is proposed any more. */
  const confirm = (): void => {
    if (selected) edit({ kind: 'attempt', id: selected.attempt.id, changes: { proposed: [] } });
  };
  /** The instant that is shown; undefined where the attempt in hand is told from another camera. */
  const now = (): Instant | undefined =>
    table && selected?.attempt.angleId === bench.angle.id ? instantAt(table, frame()) : undefined;
  const instants = useInstants(selected, handle);
  const loops = useLoops(selected, handle);
  const words = useWords(bench.footage.id);
  const telling = useTelling(bench, words, isMirrored);
  const chain = useChain(bench, words, selected, before, (v) => (table ? timecode(table, v.clip.in.frame) : ''));
  const watchingKeys: KeyTable = {
    ...again.watching,
    ' ': () => player?.toggle(),
    ArrowLeft: () => player?.step(-1),
    ArrowRight: () => player?.step(1),
    'shift+ArrowLeft': () => player?.step(-10),
    'shift+ArrowRight': () => player?.step(10),
    Home: () => player?.seek(selected?.clip.in.frame ?? bench.angle.fromFrame),
    End: () => player?.seek((selected?.clip.out.frame ?? bench.angle.toFrame) - 1),
    r: () => player?.setBackwards(!player.snapshot().backwards),
    ArrowUp: () => neighbour(-1),
    ArrowDown: () => neighbour(1),
    n: () => {
      select(undefined);
      setInMark(null);
    },
    l: toggleLoop,
    s: () => player?.setSpeed(SPEEDS[(SPEEDS.findIndex((s) => s === player.snapshot().speed) + 1) % SPEEDS.length]!),
    g: () => asking.open('go to'),
    '0': overlay.next,
    ';': spans.nextInLulls,
    '?': sheet.open,
    ...(bench.cameras.length > 1 ? { c: cameras.next } : {}),
  };
  const writingKeys: KeyTable = {
    i: cutting.onIn,
    o: cutting.onOut,
    p: toPhrase,
    ...(selected ? { '/': () => setLine('') } : {}),
    Delete: () => {
      if (!selected) return;
      const isShown = routes.some((r) => r.steps.some((step) => step.clipId === selected.clip.id));
      if (isShown) setLeaving(selected.clip.id);
      else toBin(selected.clip.id);
    },
    t: () => asking.open('clock'),
    ...repeating.keys,
    ...(selected?.attempt.proposed.length ? { '=': confirm } : {}),
    ...instants.keys,
    ...loops.keys,
    ...chain.keys,
    z: () => setMirrored((is) => !is),
    ...(selected ? { h: () => setBoard(true) } : {}),
    x: stretches.onHere,
    d: marks.drop,
    ...(marks.here.length ? { j: again.toNext } : {}),
    'ctrl+z': () => edit({ kind: 'undo' }),
    'ctrl+y': () => edit({ kind: 'redo' }),
    ...(cameras.uncut ? { k: cameras.cutHere } : {}),
    ...(lineUp.first ? { ',': () => lineUp.nudge(-1), '.': () => lineUp.nudge(1) } : {}),
    ...(bench.cameras.length > 1 ? { m: same.isRemembered ? same.isHere : same.remember } : {}),
  };
  const keys = mayWrite
    ? { ...watchingKeys, ...writingKeys, ...(spans.inHand ? stretches.keys : marks.inHand ? again.marking : {}) }
    : watchingKeys;
  usePictureKeys(keys, sheet.own);
  return (
    <OwnKeysHere value={sheet.own}>
      <Flex
        ref={root}
        tabIndex={-1}
        direction="column"
        height="100%"
        minHeight="0"
        outline="none"
        onFocus={(e) => {
          setTyping(isWrittenInto(e.target));
          setGripping(e.target.getAttribute('aria-label') === T.grips);
        }}
        onBlur={() => {
          setTyping(false);
          setGripping(false);
        }}
      >
        <Flex flex="1" minHeight="240px">
          <Box flex="1" minWidth="0" position="relative">
            <PictureHere bench={bench} handle={handle} clock={clock} overlay={overlay} isMirrored={isMirrored} />
          </Box>
          <Flex direction="column" width="400px" flexShrink="0" minHeight="0">
            {selected && mayWrite && (board || isGripping) && (
              <BoardHere
                view={selected}
                handle={handle}
                now={now}
                isMirrored={isMirrored}
                isAsked={board}
                onTaken={() => setBoard(true)}
                onLeave={() => {
                  setBoard(false);
                  toPicture();
                }}
              />
            )}
            {sheet.isOpen ? (
              <KeySheet own={sheet.own} onOwn={sheet.onOwn} onLeave={sheet.onLeave} />
            ) : table ? (
              <ClipsHere
                bench={bench}
                table={table}
                selectedId={selectedId}
                onSelect={select}
                onCamera={cameras.show}
                lineUp={mayWrite ? lineUp : undefined}
                clock={mayWrite ? clock : undefined}
                same={same}
                spans={spans}
                onLulls={stretches.onLulls}
                marks={mayWrite ? marks : undefined}
                onMark={again.toNext}
                kept={handle.kept}
                telling={telling}
              />
            ) : (
              <Box padding="4">{T.loading}</Box>
            )}
          </Flex>
        </Flex>
        {leaving !== null && leaving === selectedId && (
          <ToBin
            what="clip"
            id={leaving}
            name={T.thisClip}
            onYes={() => toBin(leaving)}
            onNo={() => setLeaving(null)}
          />
        )}
        <Underneath
          bench={bench}
          table={table}
          mayWrite={mayWrite}
          asking={asking.line}
          onAsked={asking.leave}
          spans={spans}
          kinds={stretches.kinds}
          other={other}
          marks={marks}
          onMarkTold={(clipId) => {
            // what goes round goes on: the loop round the mark is the clip
            marks.take(undefined);
            setSearch({ ...here, clip: clipId }, { replace: true });
            toPicture();
          }}
          onSighted={() => {
            marks.take(undefined);
            toPicture();
          }}
          selected={selected}
          before={before}
          cutting={cutting}
          cameras={cameras}
          isNoSpan={stretches.isNone}
          line={line}
          onLine={setLine}
          onLeave={toPicture}
          instants={instants}
          loops={loops}
          chain={chain}
          now={now}
          isMirrored={isMirrored}
          telling={telling}
        />
        {table && (
          <CourseLine
            bench={bench}
            table={table}
            handle={handle}
            inMark={inMark}
            selected={selected}
            look={look}
            overlay={overlay}
            spans={spans}
            links={chain.links}
            onSpan={stretches.take}
            marks={marks}
            onMark={again.takeMark}
            onSeek={(to) => {
              player?.pause();
              player?.seek(to);
            }}
            onSelect={select}
            onEdgeMoving={(edge, to) => {
              player?.pause();
              player?.seek(edge === 'in' ? to : to - 1);
            }}
            onEdgeMoved={cutting.moveEdge}
            mayMove={mayWrite}
          />
        )}
        <KeyHints
          hints={hintsNow(
            {
              isTyping,
              isLine: line !== null,
              isBoard: board && selected !== undefined,
              isMark: marks.inHand !== undefined,
              spanKinds: spans.inHand ? stretches.kinds.length : 0,
              isClip: selected !== undefined,
              isFresh: selected?.attempt.action === null && before !== undefined,
            },
            keys,
          )}
          keys={keys}
          own={sheet.own}
          onAll={sheet.open}
        />
      </Flex>
    </OwnKeysHere>
  );
};
