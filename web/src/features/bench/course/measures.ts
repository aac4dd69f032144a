/** The line, in pixels: all of it, where the course begins and how tall it is, where the clips lie, and the room at both sides. */
export const HEIGHT = 140;
export const TOP = 8;
export const COURSE = 84;
export const LANES_Y = 100;
export const LANE = 13;
export const LEFT = 78;
export const RIGHT = 16;
