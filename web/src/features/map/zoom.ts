/** How large a picture is shown, and what of it: the parts that are scrolled out of sight, in pixels of the screen. */
export type Look = { readonly zoom: number; readonly left: number; readonly top: number };
type At = { readonly x: number; readonly y: number };

export const LEAST_ZOOM = 0.5;
export const MOST_ZOOM = 4;
/** One press of a key or a button. */
export const ZOOM_STEP = 1.25;

/** Larger or smaller by a factor, so that what lies under `at` (pixels from the upper left of the frame) stays there. */
export const zoomed = ({ zoom, left, top }: Look, factor: number, at: At): Look => {
  const to = Math.min(MOST_ZOOM, Math.max(LEAST_ZOOM, zoom * factor));
  const by = to / zoom;
  return { zoom: to, left: Math.max(0, (left + at.x) * by - at.x), top: Math.max(0, (top + at.y) * by - at.y) };
};

/** A turn of the wheel (pixels; down is positive) as a factor: a notch of a mouse is about a sixth. */
export const factorOfWheel = (deltaY: number): number => Math.exp(-Math.max(-120, Math.min(120, deltaY)) * 0.0015);
