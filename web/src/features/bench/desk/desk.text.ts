export const DESK_TEXT = {
  noFootage: 'Nothing to break down yet. Add some footage first.',
  toShelf: 'Go to footage',
  notThere: 'This footage isn’t here. It may be in the bin.',
  loading: 'Reading the frames …',
} as const;
