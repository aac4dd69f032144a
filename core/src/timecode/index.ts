export {
  clampFrame,
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
export { angleClock, clockAgainst, fileSeconds, footageSeconds, type AngleClock } from './footageTime.js';
export { frameOfText } from './clipTime.js';
export { packTimes, unpackTimes } from './packedTimes.js';
