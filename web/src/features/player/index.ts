export { SPEEDS, type PlayerState, type Stretch } from './FramePlayer.js';
export { forgetMedia } from './keptMedia.js';
export { Still } from './Still.js';
export { FrameVideo, partOf } from './FrameVideo.js';
export { playsByItself } from './byItself.js';
export { usePlayer, usePlayerState, useTimeTable, useTimecode, type PlayerHandle } from './usePlayer.js';
