import { mostCarrying, placesByWeight, widthNeeded, type PlaceId, type Words } from '@odograph/core';
import { MAP_LABEL_FONT } from '../../design/index.js';
import type { MapLine, MapPicture } from '../../workers/map.protocol.js';

/** Pixels: a line of a label, the axis beside the picture, the foot under it. */
export const LINE_HEIGHT = 16;
export const AXIS = 74;
export const FOOT = 30;
/** At rest at most this many places are named and this many lines drawn. */
export const MOST_PLACES = 24;
const MOST_LINES = 60;
const LEAST_PLACES = 8;

let context: CanvasRenderingContext2D | null | undefined;
/** The width of a label as it will be drawn, in pixels. */
export const measure = (text: string): number => {
  context ??= document.createElement('canvas').getContext('2d');
  if (!context) return text.length * 8;
  context.font = MAP_LABEL_FONT;
  return Math.ceil(context.measureText(text).width) + 2;
};

/** The places that carry most, and the lines between them. */
export const mostOf = (
  lines: readonly MapLine[],
  places: number,
): { readonly places: readonly PlaceId[]; readonly lines: readonly MapLine[] } =>
  mostCarrying(lines, { places, lines: Math.round((MOST_LINES * places) / MOST_PLACES) });

/** As many places as lie side by side in the width there is, at most {@link MOST_PLACES}: the map at rest needs no scrolling. */
export const mostThatFit = (
  picture: MapPicture,
  words: Words,
  size: { readonly width: number; readonly height: number },
): number => {
  const ranked = placesByWeight(picture.lines);
  const fits = (places: number): boolean =>
    widthNeeded(ranked.slice(0, places), (id) => picture.heights[id]?.height, words, {
      height: size.height - FOOT,
      lineHeight: LINE_HEIGHT,
      measure,
    }) <=
    size.width - AXIS;
  let [least, most] = [LEAST_PLACES, MOST_PLACES];
  while (least < most) {
    const middle = Math.ceil((least + most) / 2);
    if (fits(middle)) least = middle;
    else most = middle - 1;
  }
  return least;
};
