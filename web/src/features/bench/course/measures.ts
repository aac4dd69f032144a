/** The line, in pixels: all of it, where the course begins and how tall it is, and the room at both sides. */
export const HEIGHT = 140;
export const TOP = 14;
export const COURSE = 104;
export const LEFT = 78;
export const RIGHT = 16;
