export { SaveVideo } from './SaveVideo.js';
