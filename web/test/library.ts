import {
  BARE_CLIP,
  BARE_FOOTAGE,
  NO_ROWS,
  draftAttempt,
  type Angle,
  type Attempt,
  type Clip,
  type Footage,
  type Library,
  type MediaFile,
  type Person,
} from '@odograph/core';

/** A small library for tests of the interface: one footage of two athletes, with the attempts that are given, a clip on each. */
export const attemptWith = (id: string, more: Partial<Attempt> = {}): Attempt => ({
  ...draftAttempt({
    id,
    footageId: 'footage',
    angleId: 'angle',
    subject: 'a',
    start: { frame: 0, pts: 0 },
    end: { frame: 9, pts: 9 },
  }),
  version: 1,
  ...more,
});

export const clipOn = (attempt: Attempt, id = `clip ${attempt.id}`): Clip => ({
  id,
  version: 1,
  attemptId: attempt.id,
  angleId: attempt.angleId,
  ...BARE_CLIP,
  in: attempt.start,
  out: attempt.end,
  note: '',
});

const footage: Footage = {
  ...BARE_FOOTAGE,
  id: 'footage',
  version: 1,
  title: 'A round',
  setting: 'training',
  logged: 'throughout',
  live: true,
  gi: true,
  counted: true,
  date: '2031-05-24',
  athleteA: 'orla',
  athleteB: 'sten',
  kitA: 'white jacket',
  kitB: 'blue jacket',
};
const angle: Angle = {
  id: 'angle',
  version: 1,
  footageId: 'footage',
  fileId: 'file',
  fromFrame: 0,
  toFrame: 100,
  fromPts: 0,
  toPts: 100,
  offsetMs: 0,
  rate: 1,
  kind: 'live',
  region: null,
  leftMark: '',
  rightMark: '',
};
const file: MediaFile = {
  id: 'file',
  name: 'round.mp4',
  mime: 'video/mp4',
  sizeBytes: 1,
  sha256: '',
  frames: 100,
  width: 640,
  height: 360,
  timeBaseNum: 1,
  timeBaseDen: 25,
  codec: 'h264',
  playable: true,
  hasSound: false,
  seconds: 4,
  cutOff: false,
  tracks: [],
  track: 0,
};
const personNamed = (id: string, name: string): Person => ({
  id,
  version: 1,
  name,
  athlete: true,
  member: false,
  accountId: null,
  level: null,
  age: null,
  filming: null,
  shownTo: null,
});
const persons: readonly Person[] = [personNamed('orla', 'Orla Venn'), personNamed('sten', 'Sten Abara')];

export const libraryWith = (attempts: readonly Attempt[]): Library => ({
  ...NO_ROWS,
  format: 'odograph-library',
  formatVersion: 1,
  academy: { id: 'academy', name: 'A room', timeZone: 'UTC' },
  wordChanges: [],
  persons,
  files: [file],
  footage: [footage],
  angles: [angle],
  attempts,
  clips: attempts.map((a) => clipOn(a)),
});
