export {
  frameAtS,
  frameCount,
  frameStartS,
  isFrameShown,
  ptsOf,
  seekTargetS,
  timeTable,
  timeTableOfDeltas,
  timecode,
  type TimeTable,
} from './timetable.js';
export {
  angleClock,
  clockAgainst,
  clockOfPairs,
  fileSeconds,
  firstFrameFrom,
  footageSeconds,
  framesIn,
  type AngleClock,
  type SamePair,
} from './footageTime.js';
export { frameOfText } from './clipTime.js';
export {
  clockAt,
  clockContradictions,
  clockSaid,
  clockText,
  clockWish,
  instantOnClock,
  type ClockAnchor,
  type ClockContradiction,
  type ClockReading,
  type ClockWish,
} from './matchClock.js';
export { packTimes, unpackTimes } from './packedTimes.js';
