export const LINK_TEXT = {
  seamHere: 'These don’t fit together',
  gapHere: 'A gap: linked, with something in between',
  setHere: 'Linked by hand',
} as const;
