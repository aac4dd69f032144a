import type { PlayerState } from '../../player/index.js';
import { PICTURE_TEXT as T } from './picture.text.js';

/** How the picture is being played, in words. */
export const manner = ({ loop, speed, backwards }: PlayerState): string =>
  [loop ? T.looping : '', T.speed[speed] ?? '', backwards ? T.backwards : ''].filter(Boolean).join(', ');
