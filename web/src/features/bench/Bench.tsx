import { Box, Flex } from '@chakra-ui/react';
import { frameCount, timecode } from '@odograph/core';
import { useMemo, useRef, useState } from 'react';
import { useDispatch } from 'react-redux';
import { Link, Navigate, useParams, useSearchParams } from 'react-router';
import { Action } from '../../design/index.js';
import { ToBin } from '../bin/index.js';
import { editQueued, useEdit, useLibrary, useMayWrite } from '../library/index.js';
import { FrameVideo, SPEEDS, usePlayer } from '../player/index.js';
import { BENCH_TEXT as T, PHRASE_KEYS, PICTURE_KEYS } from './bench.text.js';
import { AskLine } from './AskLine.js';
import { ClipsHere } from './ClipsHere.js';
import { CourseLine } from './CourseLine.js';
import type { Edge } from './EdgeHandle.js';
import { KeyHints } from './KeyHints.js';
import { instantAt, newClipEdit } from './newClip.js';
import { Phrase } from './Phrase.js';
import { Said } from './Said.js';
import { useOnBench, type OnBench } from './useBenchClips.js';
import { useCameras } from './useCameras.js';
import { useClock } from './useClock.js';
import { useLineUp } from './useLineUp.js';
import { usePictureKeys, type KeyTable } from './usePictureKeys.js';

/** The screen for breaking down: the footage in the address, or the first on the shelf. Students watch; nothing is changed. */
export const Bench = (): React.JSX.Element => {
  const { footageId } = useParams();
  const { footage } = useLibrary();
  const [search] = useSearchParams();
  const bench = useOnBench(footageId, { cameraId: search.get('camera'), clipId: search.get('clip') });
  if (footageId === undefined && footage[0]) return <Navigate to={`/break-down/${footage[0].id}`} replace />;
  if (bench) return <Table key={bench.angle.id} bench={bench} />;
  return (
    <Box padding="10">
      <Box marginBottom="4">{footageId === undefined ? T.noFootage : T.notThere}</Box>
      <Action asChild>
        <Link to="/footage">{T.toShelf}</Link>
      </Action>
    </Box>
  );
};

/** The frame in the address, where one is said. */
const frameIn = (search: URLSearchParams): number | undefined => {
  const said = search.get('frame') ?? '';
  return /^\d{1,9}$/.test(said) ? Number(said) : undefined;
};

const Table = ({ bench }: { readonly bench: OnBench }): React.JSX.Element => {
  const [search, setSearch] = useSearchParams();
  const [inMark, setInMark] = useState<number | null>(null);
  const [fresh, setFresh] = useState<string | null>(null);
  const [isTyping, setTyping] = useState(false);
  const [leaving, setLeaving] = useState<string | null>(null);
  const { routes } = useLibrary();
  const mayWrite = useMayWrite();
  const root = useRef<HTMLDivElement>(null);
  const edit = useEdit();
  const dispatch = useDispatch();
  const selectedId = search.get('clip') ?? undefined;
  const index = bench.clips.findIndex((v) => v.clip.id === selectedId);
  const selected = bench.clips[index];
  const [opening] = useState(() => ({
    frame: frameIn(search) ?? selected?.clip.in.frame ?? 0,
    loop: selected ? { inFrame: selected.clip.in.frame, outFrame: selected.clip.out.frame } : null,
    play: false,
  }));
  const handle = usePlayer(bench.file, opening);
  const { player, state, table } = handle;
  const cameras = useCameras(bench, table, state.frame, selected);
  const lineUp = useLineUp(bench, table, state.frame);
  const clock = useClock(bench, table, state.frame);
  const [asking, setAsking] = useState<'go to' | 'clock' | null>(null);
  /** The camera is only in the address where there are several. */
  const here: Record<string, string> = bench.cameras.length > 1 ? { camera: bench.angle.id } : {};

  const select = (clipId: string | undefined): void => {
    // at once: quick presses of a key each start from where the one before led
    setSearch({ ...here, ...(clipId === undefined ? {} : { clip: clipId }) }, { replace: true, flushSync: true });
    const view = bench.clips.find((v) => v.clip.id === clipId);
    player?.pause();
    player?.loop(view ? { inFrame: view.clip.in.frame, outFrame: view.clip.out.frame } : null);
    if (view) player?.seek(view.clip.in.frame);
  };
  const toPicture = (): void => {
    (document.activeElement as HTMLElement | null)?.blur();
    root.current?.focus();
  };
  const leaveAsking = (): void => {
    setAsking(null);
    toPicture();
  };
  const goTo = (text: string): boolean => {
    const to = clock.frameOf(text);
    if (to === undefined || !table) return false;
    player?.pause();
    player?.seek(Math.min(to, frameCount(table) - 1));
    return true;
  };
  const toPhrase = (): void =>
    root.current?.querySelectorAll<HTMLInputElement>('[data-testid=phrase] input')[1]?.focus();
  const moveEdge = (edge: Edge, frame: number): void => {
    if (!table || !selected) return;
    const { clip } = selected;
    const inFrame = edge === 'in' ? frame : clip.in.frame,
      outFrame = edge === 'out' ? frame : clip.out.frame;
    if (inFrame >= outFrame) return;
    edit({
      kind: 'clip',
      id: clip.id,
      changes: edge === 'in' ? { inFrame } : { outFrame },
      patch: { [edge]: instantAt(table, frame) },
    });
    player?.loop({ inFrame, outFrame });
  };
  const makeClip = (outFrame: number): void => {
    if (!table || inMark === null || outFrame <= inMark) return;
    const subject = bench.clips.filter((v) => v.clip.in.frame <= inMark).at(-1)?.attempt.subject ?? 'a';
    const made = newClipEdit({
      footageId: bench.footage.id,
      angleId: bench.angle.id,
      table,
      subject,
      inFrame: inMark,
      outFrame,
    });
    dispatch(editQueued(made));
    setInMark(null);
    setSearch({ ...here, clip: made.clip.id }, { replace: true });
    player?.loop({ inFrame: inMark, outFrame });
    setFresh(made.clip.id);
  };
  const onIn = (): void => (selected ? moveEdge('in', state.frame) : setInMark(state.frame));
  const onOut = (): void => (selected ? moveEdge('out', state.frame + 1) : makeClip(state.frame + 1));
  const neighbour = (by: 1 | -1): void => {
    const at =
      index >= 0
        ? index + by
        : by > 0
          ? bench.clips.findIndex((v) => v.clip.in.frame >= state.frame)
          : bench.clips.findLastIndex((v) => v.clip.in.frame <= state.frame);
    const view = bench.clips[at];
    if (view) select(view.clip.id);
  };
  const toggleLoop = (): void => {
    if (selected)
      player?.loop(state.loop ? null : { inFrame: selected.clip.in.frame, outFrame: selected.clip.out.frame });
  };
  const toBin = (clipId: string): void => {
    edit({ kind: 'remove', what: 'clip', id: clipId });
    setLeaving(null);
    select(undefined);
  };
  const watchingKeys: KeyTable = {
    ' ': () => player?.toggle(),
    ArrowLeft: () => player?.step(-1),
    ArrowRight: () => player?.step(1),
    'shift+ArrowLeft': () => player?.step(-10),
    'shift+ArrowRight': () => player?.step(10),
    Home: () => player?.seek(selected?.clip.in.frame ?? 0),
    End: () => table && player?.seek((selected?.clip.out.frame ?? frameCount(table)) - 1),
    ArrowUp: () => neighbour(-1),
    ArrowDown: () => neighbour(1),
    n: () => {
      select(undefined);
      setInMark(null);
    },
    l: toggleLoop,
    s: () => player?.setSpeed(SPEEDS[(SPEEDS.findIndex((s) => s === state.speed) + 1) % SPEEDS.length]!),
    g: () => setAsking('go to'),
    ...(bench.cameras.length > 1 ? { c: cameras.next } : {}),
  };
  const writingKeys: KeyTable = {
    i: onIn,
    o: onOut,
    p: toPhrase,
    Delete: () => {
      if (!selected) return;
      const isShown = routes.some((r) => r.steps.some((step) => step.clipId === selected.clip.id));
      if (isShown) setLeaving(selected.clip.id);
      else toBin(selected.clip.id);
    },
    t: () => setAsking('clock'),
    'ctrl+z': () => edit({ kind: 'undo' }),
    ...(cameras.uncut ? { k: cameras.cutHere } : {}),
    ...(lineUp.first ? { ',': () => lineUp.nudge(-1), '.': () => lineUp.nudge(1) } : {}),
  };
  const keys = mayWrite ? { ...watchingKeys, ...writingKeys } : watchingKeys;
  usePictureKeys(keys);
  const before = useMemo(() => {
    const at = selected?.clip.in.frame ?? 0;
    return bench.clips.filter((v) => v.clip.id !== selected?.clip.id && v.clip.in.frame < at).at(-1);
  }, [bench.clips, selected]);

  return (
    <Flex
      ref={root}
      tabIndex={-1}
      direction="column"
      height="100%"
      minHeight="0"
      outline="none"
      onFocus={(e) => setTyping(e.target instanceof HTMLInputElement)}
      onBlur={() => setTyping(false)}
    >
      <Flex flex="1" minHeight="240px">
        <Box flex="1" minWidth="0" position="relative">
          <FrameVideo
            handle={handle}
            label={bench.footage.title}
            clock={clock.says}
            manner={[state.loop ? T.looping : '', T.speed[state.speed] ?? ''].filter(Boolean).join(', ')}
          />
        </Box>
        <Box width="400px" flexShrink="0" minHeight="0">
          {table ? (
            <ClipsHere
              bench={bench}
              table={table}
              selectedId={selectedId}
              onSelect={select}
              onCamera={cameras.show}
              lineUp={mayWrite ? lineUp : undefined}
              clock={mayWrite ? clock : undefined}
            />
          ) : (
            <Box padding="4">{T.loading}</Box>
          )}
        </Box>
      </Flex>
      {leaving !== null && leaving === selectedId && (
        <ToBin what="clip" id={leaving} name={T.thisClip} onYes={() => toBin(leaving)} onNo={() => setLeaving(null)} />
      )}
      {asking ? (
        <AskLine
          key={asking}
          {...(asking === 'clock'
            ? { label: T.clock, hint: T.clockHint, refusal: T.clockRefusal, onSaid: clock.note }
            : { label: T.goTo, hint: T.goToHint, refusal: T.goToRefusal, onSaid: goTo })}
          onLeave={leaveAsking}
        />
      ) : selected && !mayWrite ? (
        <Said view={selected} />
      ) : selected ? (
        <Phrase
          key={selected.clip.id}
          view={selected}
          before={before}
          isFresh={selected.clip.id === fresh}
          onLeave={toPicture}
        />
      ) : (
        <Flex
          minHeight="64px"
          alignItems="center"
          paddingInline="4"
          borderTopWidth="1px"
          fontSize="19px"
          color="inkSoft"
          role="status"
        >
          {inMark !== null && table
            ? T.inMarked(timecode(table, inMark))
            : cameras.uncut && mayWrite
              ? cameras.isOutside
                ? T.outside
                : T.uncut
              : mayWrite
                ? T.sayHint
                : T.watchHint}
        </Flex>
      )}
      {table && (
        <CourseLine
          bench={bench}
          table={table}
          frame={state.frame}
          inMark={inMark}
          selected={selected}
          onSeek={(frame) => {
            player?.pause();
            player?.seek(frame);
          }}
          onSelect={select}
          onEdgeMoving={(edge, frame) => {
            player?.pause();
            player?.seek(edge === 'in' ? frame : frame - 1);
          }}
          onEdgeMoved={moveEdge}
          mayMove={mayWrite}
        />
      )}
      <KeyHints
        hints={isTyping ? PHRASE_KEYS : PICTURE_KEYS.filter((hint) => hint.press === undefined || keys[hint.press])}
        keys={keys}
      />
    </Flex>
  );
};
