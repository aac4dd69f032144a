import type { Instant, State, Subject } from '../attempts/index.js';

/**
 * A mark on footage: an instant at which something happened, not yet a clip. `pressed` is where the picture stood when the key was pressed, `at` where it was put back to
 * by the reaction lag of whoever pressed it, or by hand (then it is settled). With a state it is a sighting: they are there, and nobody acts.
 */
export type Moment = {
  readonly id: string;
  readonly version: number;
  readonly footageId: string;
  readonly angleId: string;
  readonly at: Instant;
  readonly pressed: Instant;
  /** How fast the picture went when the key was pressed; 0 = it stood. */ readonly speed: number;
  readonly settled: boolean;
  readonly accountId: string | null;
  /** The attempt that was told of it; null while it waits. */ readonly attemptId: string | null;
  readonly state: State | null;
  readonly subject: Subject | null;
  readonly note: string;
};
