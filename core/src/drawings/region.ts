import type { Angle, MediaFile, Region } from '../footage/index.js';
import type { PictureSize } from './geometry.js';

/** The size of the picture that an angle shows, in pixels of its file: all of it, or the part that is an inset. */
export const sizeSeen = (
  { region }: Pick<Angle, 'region'>,
  { width, height }: Pick<MediaFile, 'width' | 'height'>,
): PictureSize =>
  region
    ? { width: (region.right - region.left) * width, height: (region.bottom - region.top) * height }
    : { width, height };

/** Least width and height of an inset, in shares of the picture. */
export const LEAST_REGION = 0.05;
const within = (n: number, from: number, to: number): number => Math.min(to, Math.max(from, n));

/** A region moved by shares of the picture; it stays in the picture as large as it was. */
export const movedRegion = (
  { left, top, right, bottom }: Region,
  by: { readonly x: number; readonly y: number },
): Region => {
  const x = within(by.x, -left, 1 - right);
  const y = within(by.y, -top, 1 - bottom);
  // sums of shares may miss their end by a hair, and what lies beside the picture is refused
  const share = (n: number): number => within(n, 0, 1);
  return { left: share(left + x), top: share(top + y), right: share(right + x), bottom: share(bottom + y) };
};

/** A region with its lower right corner moved; never smaller than is worth looking at, never out of the picture. */
export const sizedRegion = (region: Region, by: { readonly x: number; readonly y: number }): Region => ({
  ...region,
  right: within(region.right + by.x, Math.min(1, region.left + LEAST_REGION), 1),
  bottom: within(region.bottom + by.y, Math.min(1, region.top + LEAST_REGION), 1),
});

/** The region between two corners, whichever they are; undefined where it is too small to be one. */
export const regionBetween = (
  a: { readonly x: number; readonly y: number },
  b: { readonly x: number; readonly y: number },
): Region | undefined => {
  const region = {
    left: within(Math.min(a.x, b.x), 0, 1),
    top: within(Math.min(a.y, b.y), 0, 1),
    right: within(Math.max(a.x, b.x), 0, 1),
    bottom: within(Math.max(a.y, b.y), 0, 1),
  };
  const isLarge = region.right - region.left >= LEAST_REGION && region.bottom - region.top >= LEAST_REGION;
  return isLarge ? region : undefined;
};
