export { SPEEDS, type PlayerState, type Stretch } from './FramePlayer.js';
export { FrameVideo } from './FrameVideo.js';
export { usePlayer, useTimeTable, useTimecode, type PlayerHandle } from './usePlayer.js';
