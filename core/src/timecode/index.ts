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
export { footageSeconds, type AngleClock } from './footageTime.js';
export { frameOfText } from './clipTime.js';
