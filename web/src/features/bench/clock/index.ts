export { ClockHere } from './ClockHere.js';
export { type MatchClock } from './useClock.js';
export { useClockRoom } from './useClockRoom.js';
