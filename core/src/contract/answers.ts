import type { Angle, Attempt, Clip, Footage, MediaFile, Person } from '../attempts/index.js';

export type Me = {
  readonly account: { readonly id: string; readonly name: string; readonly email: string };
  readonly academy: { readonly id: string; readonly name: string; readonly timeZone: string };
  readonly role: 'head' | 'coach' | 'student';
};

/** The records an edit has touched, as they are now; `removed` names those that went to the bin. */
export type Changed = {
  readonly persons?: readonly Person[];
  readonly footage?: readonly Footage[];
  readonly angles?: readonly Angle[];
  readonly files?: readonly MediaFile[];
  readonly attempts?: readonly Attempt[];
  readonly clips?: readonly Clip[];
  readonly removed?: readonly string[];
};

/** Presentation times of a file: differences between neighbours in ticks, the first one from zero. */
export type TimesAnswer = {
  readonly timeBaseNum: number;
  readonly timeBaseDen: number;
  readonly deltas: readonly number[];
};

export type HealthAnswer = { readonly status: 'ok'; readonly database: 'ok'; readonly version: string };
