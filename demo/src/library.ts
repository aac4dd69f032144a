import {
  frameAtS,
  readControls,
  sayControl,
  shippedWords,
  timeTable,
  type Control,
  type Finish,
  type Role,
  type State,
} from '@odograph/core';
import { BOUTS, type Bout, type Said } from './bouts/index.js';
import { TICKS_PER_S, laidOut } from './frames.js';
import { seededId } from './ids.js';

/** One clip of the demo as its script implies it: frames of the piece, and the phrase. */
export type DemoClip = {
  readonly attemptId: string;
  readonly clipId: string;
  readonly said: Said;
  readonly state: State;
  readonly finish: Finish;
  readonly controls: readonly Control[];
  readonly inFrame: number;
  readonly startFrame: number;
  readonly commitFrame: number;
  readonly endFrame: number;
  readonly outFrame: number;
  readonly parentId: string | null;
  /** The frame of its end on each camera, by that camera's own clock. */ readonly endOn: readonly number[];
  /** The same attempt from further cameras, in frames of their own files. */
  readonly looks: readonly {
    readonly clipId: string;
    readonly camera: DemoCamera;
    readonly inFrame: number;
    readonly outFrame: number;
  }[];
};
/** A file of the piece, and when it starts in the time of the piece. */
export type DemoCamera = {
  readonly angleId: string;
  readonly fileId: string;
  readonly file: string;
  readonly frames: number;
  readonly offsetMs: number;
};
export type DemoFootage = {
  readonly bout: Bout;
  readonly footageId: string;
  readonly athletes: readonly [{ id: string; name: string }, { id: string; name: string }];
  readonly cameras: readonly DemoCamera[];
  readonly clips: readonly DemoClip[];
};

const words = shippedWords();

const controlOf = (text: string, id: string): Control => {
  const read = readControls(text, words, 1)[0];
  if (!read) throw new Error(`the demo's hold "${text}" was not understood`);
  const control = { ...read, id };
  if (!sayControl(control, words)) throw new Error(`the demo's hold "${text}" reads back as nothing`);
  return control;
};

const stateOf = ([position, role]: readonly [string, string]): State => ({ position, role: role as Role });

const finishOf = ({ finish }: Said): Finish =>
  'state' in finish
    ? { kind: 'state', ...stateOf(finish.state) }
    : 'submission' in finish
      ? { kind: 'submission', submission: finish.submission, won: finish.won }
      : { kind: 'reset', how: finish.reset, restart: stateOf(finish.restart) };

type Beaten = ReturnType<typeof laidOut>['staged']['times'][number];
/** Everything the demo's scripts imply, with ids that never change. */
export const demoFootage = (): readonly DemoFootage[] =>
  BOUTS.map((bout) => {
    const laid = laidOut(bout);
    const { staged } = laid;
    const cameras = bout.cameras.map(({ file, startS }, by): DemoCamera => ({
      angleId: seededId(`angle ${file}`),
      fileId: seededId(`file ${file}`),
      file,
      frames: laid.cameras[by]!.ticks.length,
      offsetMs: Math.round(startS * 1000),
    }));
    const tables = laid.cameras.map(({ ticks }) => timeTable(ticks, 1, TICKS_PER_S));
    /** The frame of a camera that shows a second of the scene, by that camera's own clock. */
    const frameOf = (atS: number, by = 0): number => {
      const { startS, fastPpm } = bout.cameras[by]!;
      return frameAtS(tables[by]!, Math.max(0, atS - startS) * (1 + fastPpm / 1e6));
    };
    const attemptId = (i: number) => seededId(`attempt ${bout.id} ${i}`);
    const clips = bout.said.map((said, i): DemoClip => {
      const name = `${bout.id} ${i}`;
      const [begin, end] = said.beats.map((beat) => staged.times[beat]!) as [Beaten, Beaten];
      const [later, laterAtEnd] = said.laterS ?? [0, 0];
      const startS = begin.leaveS + later,
        endS = end.reachS + laterAtEnd,
        inS = Math.max(0, startS - 0.4),
        outS = Math.max(endS, end.reachS + (end.endS - end.reachS) * 0.7);
      return {
        attemptId: attemptId(i),
        clipId: seededId(`clip ${name}`),
        said,
        state: stateOf(said.from),
        finish: finishOf(said),
        controls: (said.grips ?? []).map((text, k) => controlOf(text, seededId(`control ${name} ${k}`))),
        inFrame: frameOf(inS),
        startFrame: frameOf(startS),
        commitFrame: frameOf(startS + (begin.reachS - begin.leaveS) * 0.45),
        endFrame: frameOf(endS),
        outFrame: Math.min(cameras[0]!.frames, frameOf(outS) + 1),
        endOn: cameras.map((_, by) => frameOf(endS, by)),
        parentId: said.again ? attemptId(said.again.of) : null,
        looks: (said.looks ?? []).map((by) => ({
          clipId: seededId(`clip ${name} ${cameras[by]!.file}`),
          camera: cameras[by]!,
          inFrame: frameOf(inS, by),
          outFrame: Math.min(cameras[by]!.frames, frameOf(outS, by) + 1),
        })),
      };
    });
    const athlete = (k: 0 | 1): { id: string; name: string } => ({
      id: seededId(`person ${bout.athletes[k].name}`),
      name: bout.athletes[k].name,
    });
    return {
      bout,
      footageId: seededId(`footage ${bout.id}`),
      athletes: [athlete(0), athlete(1)],
      cameras,
      clips,
    };
  });
