export { LineUpPanel } from './LineUpPanel.js';
export { useCameraRoom, type CameraRoom } from './useCameraRoom.js';
export { NOTHING_REMEMBERED, type Remembered } from './useSameInstant.js';
