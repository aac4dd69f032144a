/** `npm run stress` looks at more of the same: more steps, more kinds of video, every clip; a lease that runs out by itself. */
export const isThorough = process.env['ODOGRAPH_THOROUGH'] === '1';
