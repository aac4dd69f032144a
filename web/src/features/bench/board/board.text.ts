export const BOARD_TEXT = {
  label: 'Body board',
  on: (hands: number, feet: number): string => `hands ${hands} of 2, feet ${feet} of 2`,
  holds: (limb: string, name: string): string => `${name}, ${limb}: what does it hold? Esc cancels.`,
  empty: 'Pick a limb, then what it holds. Typing takes you to a button.',
  depth: 'how deep',
  thumb: 'thumb',
  thumbIs: (thumb: string): string => `thumb ${thumb}`,
  won: 'a win in itself',
  taken: (code: string | null): string => (code === null ? 'taken here' : `taken at ${code}`),
  lost: (code: string | null): string => (code === null ? 'lost here' : `lost at ${code}`),
  hand: 'to the other hand here',
  remove: 'off',
} as const;

export const STOOD_TEXT = {
  stood: 'stood how',
  atStart: 'at the start',
  done: 'done',
} as const;

export const BODY_BOARD_TEXT = {
  mat: 'mat',
  wall: 'wall',
} as const;
