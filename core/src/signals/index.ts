export { alignEnvelopes, type Alignment } from './align.js';
export { ENVELOPE_RATE, levelOf, type Envelope } from './envelope.js';
export { ACTIVITY_STEP_S, MotionReader, burstSpans, calmSpans, type Motion, type TimeSpan } from './motion.js';
