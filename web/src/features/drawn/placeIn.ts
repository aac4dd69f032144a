import { fromPixels, type PictureSize, type Point } from '@odograph/core';

/** The point of the picture at a place of the screen; undefined while what lies on the picture isn't shown. */
export const placeIn = (
  svg: SVGSVGElement | null,
  { clientX, clientY }: { readonly clientX: number; readonly clientY: number },
  size: PictureSize,
  isMirrored: boolean,
): Point | undefined => {
  const matrix = svg?.getScreenCTM();
  if (!matrix) return undefined;
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix.inverse());
  return fromPixels({ x, y }, size, isMirrored);
};
