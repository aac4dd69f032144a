/**
 * What is written into the picture: the strip of blocks that encodes the frame number, the number itself, a clock, a corner caption.
 *
 * Strip: `STRIP_BLOCKS` blocks of width / 40 pixels from (block, 0), on black; a white block is a one, first block the highest bit.
 * 20 bits of frame number, then 4 bits of checksum (the sum of the five groups of four bits, modulo 16).
 */
export const STRIP_BLOCKS = 24;
const NUMBER_BITS = 20;

export const stripBits = (frame: number): readonly boolean[] => {
  let sum = 0;
  for (let shift = 0; shift < NUMBER_BITS; shift += 4) sum += (frame >> shift) & 15;
  const word = frame * 16 + (sum & 15);
  return Array.from({ length: STRIP_BLOCKS }, (_, i) => Math.floor(word / 2 ** (STRIP_BLOCKS - 1 - i)) % 2 === 1);
};

/** The frame number that the bits say, or undefined where the checksum disagrees. */
export const frameOfBits = (bits: readonly boolean[]): number | undefined => {
  const word = bits.reduce((n, bit) => n * 2 + (bit ? 1 : 0), 0);
  const frame = Math.floor(word / 16);
  return stripBits(frame).every((bit, i) => bit === bits[i]) ? frame : undefined;
};

/** Letters of 5 × 7 points, a row a number, highest bit left. */
const GLYPHS: Record<string, readonly number[]> = {
  '0': [14, 17, 19, 21, 25, 17, 14],
  '1': [4, 12, 4, 4, 4, 4, 14],
  '2': [14, 17, 1, 6, 8, 16, 31],
  '3': [30, 1, 1, 14, 1, 1, 30],
  '4': [2, 6, 10, 18, 31, 2, 2],
  '5': [31, 16, 30, 1, 1, 17, 14],
  '6': [6, 8, 16, 30, 17, 17, 14],
  '7': [31, 1, 2, 4, 8, 8, 8],
  '8': [14, 17, 17, 14, 17, 17, 14],
  '9': [14, 17, 17, 15, 1, 2, 12],
  ':': [0, 4, 4, 0, 4, 4, 0],
  ' ': [0, 0, 0, 0, 0, 0, 0],
  f: [6, 9, 8, 28, 8, 8, 8],
};

type Frame = { readonly rgb: Uint8ClampedArray; readonly width: number; readonly height: number };

const fill = (
  frame: Frame,
  x0: number,
  y0: number,
  w: number,
  h: number,
  colour: readonly [number, number, number],
): void => {
  for (let y = y0; y < y0 + h; y++) for (let x = x0; x < x0 + w; x++) frame.rgb.set(colour, (y * frame.width + x) * 3);
};

const write = (
  frame: Frame,
  text: string,
  x0: number,
  y0: number,
  size: number,
  colour: readonly [number, number, number],
): void => {
  [...text].forEach((letter, k) => {
    (GLYPHS[letter] ?? []).forEach((row, y) => {
      for (let x = 0; x < 5; x++)
        if (row & (16 >> x)) fill(frame, x0 + (k * 6 + x) * size, y0 + y * size, size, size, colour);
    });
  });
};

/** Marks a finished picture with its frame number (strip and digits) and the clock reading, where there is one. */
export const drawOverlay = (frame: Frame, number: number, clock: string | undefined): void => {
  const block = Math.floor(frame.width / 40);
  fill(frame, 0, 0, block * (STRIP_BLOCKS + 2), block, [0, 0, 0]);
  stripBits(number).forEach((bit, i) => {
    if (bit) fill(frame, block * (i + 1), 0, block, block, [255, 255, 255]);
  });
  const size = Math.max(2, Math.round(frame.width / 320));
  const label = `f ${String(number).padStart(4, '0')}`;
  fill(frame, frame.width - size * 38, 0, size * 38, block, [0, 0, 0]);
  write(frame, label, frame.width - size * 36, Math.floor((block - 7 * size) / 2), size, [235, 235, 225]);
  if (clock === undefined) return;
  const top = frame.height - size * 13;
  fill(frame, size * 3, top, size * (clock.length * 6 + 4), size * 10, [24, 24, 28]);
  write(frame, clock, size * 5, top + Math.floor(size * 1.5), size, [240, 226, 150]);
};
