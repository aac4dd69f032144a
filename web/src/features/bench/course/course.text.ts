export const LINK_TEXT = {
  seamHere: 'These don’t fit together',
  gapHere: 'A gap: linked, with something in between',
  setHere: 'Linked by hand',
} as const;

export const CURSOR_TEXT = {
  frame: 'Frame',
} as const;

export const EDGE_HANDLE_TEXT = {
  in: 'In',
  out: 'Out',
} as const;

export const OVERLAYS_TEXT = {
  littleMovesHere: 'little moves here',
} as const;
