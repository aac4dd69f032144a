export { LineUpPanel } from './LineUpPanel.js';
export { useCameraRoom, type CameraRoom } from './useCameraRoom.js';
export { type LineUp } from './useLineUp.js';
export { NOTHING_REMEMBERED, type Remembered, type SameInstant } from './useSameInstant.js';
