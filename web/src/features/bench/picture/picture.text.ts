export const OVERLAY_TEXT = {
  over: (kind: string): string => `{0} ${kind}`,
  next: (kind: string): string => `Behind the line: ${kind}. Something else`,
  captions: 'Captions',
  none: 'none',
  count: (n: number): string => (n === 1 ? '1 caption' : `${n.toLocaleString()} captions`),
  give: 'From a file',
} as const;

export const PICTURE_TEXT = {
  looping: 'in a loop',
  backwards: 'backwards',
  speed: { 0.5: 'half speed', 0.25: 'quarter speed' } as Readonly<Record<number, string>>,
} as const;
