export { mapSlice } from './map.slice.js';
export { mapListener } from './map.listener.js';
export { useMapPicture } from './useMapPicture.js';
export { PickedSwitch } from './PickedSwitch.js';
export { clipsBehind } from './clipsBehind.js';
