import { frameCount, timecode, type FootageSpan, type Instant, type TimeTable } from '@odograph/core';
import { AskLine } from './AskLine.js';
import { BENCH_TEXT as T, MARK_TEXT as M } from './bench.text.js';
import { BenchHint } from './BenchHint.js';
import { ClipDetail } from './ClipDetail.js';
import { MarkLine } from './MarkLine.js';
import { Phrase } from './Phrase.js';
import { Said } from './Said.js';
import { SpanLine } from './SpanLine.js';
import type { ClipView } from '../library/index.js';
import { useLibrary } from '../library/index.js';
import { sameTryOf, type OnBench } from './useBenchClips.js';
import type { Cameras } from './useCameras.js';
import type { Chain } from './useChain.js';
import type { Cutting } from './useCutting.js';
import type { Instants } from './useInstants.js';
import type { Loops } from './useLoops.js';
import type { MarkHere, Marks } from './useMarks.js';
import type { OtherFootage } from './useOtherFootage.js';
import type { SideTelling } from './useTelling.js';
import type { SpanInHand, Spans } from './useSpans.js';

type Props = {
  readonly bench: OnBench;
  readonly table: TimeTable | undefined;
  readonly mayWrite: boolean;
  readonly asking: (Omit<React.ComponentProps<typeof AskLine>, 'onLeave'> & { readonly key: string }) | null;
  readonly onAsked: () => void;
  readonly spans: Spans;
  readonly kinds: readonly FootageSpan['kind'][];
  readonly other: OtherFootage;
  readonly marks: Marks;
  readonly onMarkTold: (clipId: string) => void;
  readonly onSighted: () => void;
  readonly selected: ClipView | undefined;
  readonly before: ClipView | undefined;
  readonly cutting: Cutting;
  readonly cameras: Cameras;
  readonly isNoSpan: boolean;
  readonly line: string | null;
  readonly onLine: (typed: string | null) => void;
  readonly onLeave: () => void;
  readonly instants: Instants;
  readonly loops: Loops;
  readonly chain: Chain;
  /** The instant that is shown; undefined where the attempt is told from another camera. */ readonly now: () =>
    Instant | undefined;
  readonly isMirrored: boolean;
  readonly telling: SideTelling;
};

/** What stands across the screen under the picture: what is asked, the stretch or the mark in hand, the phrase of the clip in hand, or what can be done. */
export const Underneath = (props: Props): React.JSX.Element => {
  const { bench, table, mayWrite, asking, spans, marks, selected, cutting } = props;
  const { footage: allFootage } = useLibrary();
  if (asking) {
    const { key, ...ask } = asking;
    return <AskLine key={key} {...ask} onLeave={props.onAsked} />;
  }
  if (spans.inHand && table)
    return (
      <SpanLine
        inHand={spans.inHand}
        text={spanText(spans.inHand, spans, table)}
        kinds={props.kinds}
        more={spans.isLooking && !spans.inHand.stands ? spans.asked : undefined}
        others={allFootage.filter((f) => f.id !== bench.footage.id)}
        onSay={props.other.say}
        onForget={spans.forget}
        onPass={spans.pass}
        onOther={props.other.show}
        problem={props.other.problem}
        onLeave={() => spans.take(null)}
      />
    );
  if (marks.inHand && table && mayWrite)
    return (
      <MarkLine
        bench={bench}
        table={table}
        mark={marks.inHand}
        marks={marks}
        text={markText(marks.inHand, marks, timecode(table, marks.inHand.frame))}
        onMade={props.onMarkTold}
        onSighted={props.onSighted}
        onLeave={props.onLeave}
      />
    );
  if (selected && !mayWrite) return <Said view={selected} />;
  if (selected)
    return (
      <Phrase
        key={selected.clip.id}
        view={selected}
        before={props.before}
        same={sameTryOf(bench, selected)}
        onSame={cutting.lookAt}
        isFresh={selected.clip.id === cutting.fresh}
        onTaken={cutting.onTaken}
        line={props.line}
        onLine={props.onLine}
        onLeave={props.onLeave}
        now={() => props.now() ?? selected.attempt.start}
        isMirrored={props.isMirrored}
        sides={props.telling.of(selected)}
      >
        {table && <ClipDetail instants={props.instants} loops={props.loops} chain={props.chain} table={table} />}
      </Phrase>
    );
  return <BenchHint text={hintText(props)} />;
};

const markText = (mark: MarkHere, { here }: Marks, code: string): string =>
  mark.moment.state === null ? M.at(code, here.indexOf(mark) + 1, here.length) : M.sighting(code);

const spanText = ({ span }: SpanInHand, spans: Spans, table: TimeTable): string => {
  const frames = spans.framesOf(span);
  return frames
    ? `${timecode(table, frames.inFrame)} – ${timecode(table, Math.min(frameCount(table) - 1, frames.outFrame))}`
    : '';
};

const hintText = ({ table, mayWrite, cutting, isNoSpan, spans, cameras }: Props): string => {
  if (cutting.inMark !== null && table) return T.inMarked(timecode(table, cutting.inMark));
  if (isNoSpan) return T.noSpan;
  if (spans.isLooking && spans.asked === 0) return T.noLulls;
  if (cameras.uncut && mayWrite) return cameras.isOutside ? T.outside : T.uncut;
  return mayWrite ? T.sayHint : T.watchHint;
};
