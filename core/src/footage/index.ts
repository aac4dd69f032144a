export * from './types.js';
export {
  filmedMs,
  isLeftOut,
  isLoggedThroughout,
  leftOutSpans,
  spanAt,
  spansToAskOf,
  technicalMs,
  withSpan,
  type MsSpan,
} from './stretches.js';
