export * from './types.js';
export {
  USUAL_LAG_MS,
  learnedLagMs,
  observedLags,
  sightingHeight,
  sightingsIn,
  waitingMarks,
  type Sighting,
} from './reactionLag.js';
