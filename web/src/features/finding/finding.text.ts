export const CLIP_FINDER_TEXT = {
  from: (place: string): string => `from ${place}`,
  clip: (said: string, title: string): string => (said ? `${said} (${title})` : title),
} as const;
