export { mapSlice } from './map.slice.js';
export { mapListener } from './map.listener.js';
export { useMapPicture } from './useMapPicture.js';
export { OnlyPicked } from './PickedSwitch.js';
export { ViewChoices, ViewSentence } from './ViewSentence.js';
export type { MapState } from './map.listener.js';
export { ClipOnTheSpot } from './ClipOnTheSpot.js';
export { clipsBehind } from './clipsBehind.js';
export { MapNav } from './MapNav.js';
