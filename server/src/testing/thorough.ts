/** `npm run stress` looks at all of what `npm test` looks at a part of. */
export const isThorough = process.env['ODOGRAPH_THOROUGH'] === '1';
