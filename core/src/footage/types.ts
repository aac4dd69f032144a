import type { ClockAnchor } from '../timecode/index.js';

export const SETTINGS = ['competition', 'training', 'demonstration'] as const;
export type Setting = (typeof SETTINGS)[number];

/** One recorded event. `date` is a day without time, in the academy's time zone. */
/** Why figures of a footage say less than others. */
export const SKEWS = ['injury', 'size', 'tired', 'met before', 'exhibition', 'held back'] as const;
export type Skew = (typeof SKEWS)[number];

export type Footage = {
  readonly id: string;
  readonly version: number;
  readonly title: string;
  readonly setting: Setting;
  readonly logged: 'throughout' | 'picked';
  readonly live: boolean;
  readonly gi: boolean;
  readonly counted: boolean;
  readonly date: string | null;
  readonly athleteA: string;
  readonly athleteB: string;
  readonly kitA: string;
  readonly kitB: string;
  readonly ruleset: string;
  /** Of those who meet: belts, age class, weight, as the event says it. */
  readonly level: string;
  readonly place: string;
  /** Who talks on it, by name: a coach who explains, a commentator; empty = nobody, or nobody said who. */ readonly speaker: string;
  /** What stands around the mat. */
  readonly surroundings: 'open' | 'edge' | 'wall' | null;
  /** What bends statistics: an injury, a handicap agreed on, a round begun from a position. */
  readonly context: string;
  /** The one of the usual reasons for which its figures say less; null = none. */ readonly skewedBy: Skew | null;
  /** Who of the academy sees it; what the athletes agreed to holds beside. */
  readonly audience: 'academy' | 'coaches';
  readonly clock: readonly ClockAnchor[];
  readonly spans: readonly FootageSpan[];
};

/** What is no technique: passed over in play, not counted as technical time. */
export const LEFT_OUT_KINDS = ['advertising', 'talk', 'dead time', 'replay', 'other footage'] as const;
export const SPAN_KINDS = [...LEFT_OUT_KINDS, 'logged throughout'] as const;
/** A stretch of which something holds, in milliseconds of footage time: it is no technique, or everything in it is logged though the footage is picked. */
export type FootageSpan = {
  readonly fromMs: number;
  readonly toMs: number;
  readonly kind: (typeof SPAN_KINDS)[number];
};

/** A rectangle in a picture: its edges in shares 0…1 of the picture's width and height, from the left and from the top. */
export type Region = {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
};

/** A range of a file that shows a footage. Footage time (s) = offsetMs / 1000 + (file time − time of `fromFrame`) × rate. */
export type Angle = {
  readonly id: string;
  readonly version: number;
  readonly footageId: string;
  readonly fileId: string;
  readonly fromFrame: number;
  readonly toFrame: number;
  readonly fromPts: number;
  /** When its last frame ends. */
  readonly toPts: number;
  readonly offsetMs: number;
  readonly rate: number;
  readonly kind: 'live' | 'replay';
  /** The part of the file's picture that it is: an inset, filmed by a camera of its own; null = all of it. */ readonly region: Region | null;
  /** What stands at the left and at the right of the picture, for whoever tells sides by that; empty = nobody said. */
  readonly leftMark: string;
  readonly rightMark: string;
};

/** A media file. One tick lasts timeBaseNum / timeBaseDen seconds. */
export type MediaFile = {
  readonly id: string;
  readonly name: string;
  readonly mime: string;
  readonly sizeBytes: number;
  readonly sha256: string;
  readonly frames: number;
  /** As it is shown: turned as the camera was held, with square pixels. */
  readonly width: number;
  readonly height: number;
  readonly timeBaseNum: number;
  readonly timeBaseDen: number;
  readonly codec: string;
  /** A browser shows the file as it is; otherwise only what is made of it for stepping. */
  readonly playable: boolean;
  readonly hasSound: boolean;
  readonly seconds: number;
  /** The file ended before its pictures did; what was there was taken in. */
  readonly cutOff: boolean;
  /** Its sound tracks, and which of them is heard. */
  readonly tracks: readonly SoundTrack[];
  readonly track: number;
};

/** A sound track of a file, as the file itself tells it; texts are empty where it does not. */
export type SoundTrack = {
  readonly language: string;
  readonly title: string;
  readonly channels: number;
  readonly codec: string;
};
