export const CUTS_TEXT = {
  formats: { mp4: 'MP4', webm: 'WebM' },
  save: (clips: number): string => (clips === 1 ? 'Save this clip as a video' : 'Save as a video'),
  format: 'Kind of video',
  take: 'Take the video',
  over: 'Done with it',
  cutting: (part: number): string => `Cutting: ${Math.round(part * 100)} %`,
  tooMany: (most: number): string => `At most ${most} clips go into one video; narrow the sentence.`,
} as const;
