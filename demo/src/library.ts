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
};
export type DemoFootage = {
  readonly bout: Bout;
  readonly footageId: string;
  readonly angleId: string;
  readonly fileId: string;
  readonly athletes: readonly [{ id: string; name: string }, { id: string; name: string }];
  readonly frames: number;
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

const finishOf = (said: Said): Finish =>
  'state' in said.finish
    ? { kind: 'state', position: said.finish.state[0], role: said.finish.state[1] as Role }
    : { kind: 'submission', submission: said.finish.submission, won: said.finish.won };

/** Everything the demo's scripts imply, with ids that never change. */
export const demoFootage = (): readonly DemoFootage[] =>
  BOUTS.map((bout) => {
    const { staged, times } = laidOut(bout);
    const table = timeTable(times.ticks, 1, TICKS_PER_S);
    const frameOf = (atS: number): number => frameAtS(table, atS);
    const clips = bout.said.map((said, i): DemoClip => {
      const name = `${bout.id} ${i}`;
      const [first, last] = said.beats;
      const begin = staged.times[first]!,
        end = staged.times[last]!;
      const startFrame = frameOf(begin.leaveS),
        endFrame = frameOf(end.reachS);
      const commitFrame = frameOf(begin.leaveS + (begin.reachS - begin.leaveS) * 0.45);
      return {
        attemptId: seededId(`attempt ${name}`),
        clipId: seededId(`clip ${name}`),
        said,
        state: { position: said.from[0], role: said.from[1] as Role },
        finish: finishOf(said),
        controls: (said.grips ?? []).map((text, k) => controlOf(text, seededId(`control ${name} ${k}`))),
        inFrame: frameOf(Math.max(0, begin.leaveS - 0.4)),
        startFrame,
        commitFrame,
        endFrame,
        outFrame: Math.min(times.ticks.length, frameOf(end.reachS + (end.endS - end.reachS) * 0.7) + 1),
      };
    });
    const athlete = (k: 0 | 1): { id: string; name: string } => ({
      id: seededId(`person ${bout.athletes[k]}`),
      name: bout.athletes[k],
    });
    return {
      bout,
      footageId: seededId(`footage ${bout.id}`),
      angleId: seededId(`angle ${bout.id}`),
      fileId: seededId(`file ${bout.id}`),
      athletes: [athlete(0), athlete(1)],
      frames: times.ticks.length,
      clips,
    };
  });
