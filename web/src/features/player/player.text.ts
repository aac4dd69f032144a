export const FRAME_VIDEO_TEXT = {
  itCantBeStepped: (fault: string) => `It can’t be stepped through. ${fault}`,
  itsBeingMadeReady: 'It’s being made ready for stepping; the first minute shows here as soon as that’s done.',
  readyUpToThe: (timecode: string) => `Ready up to ${timecode}; the rest is on its way.`,
  turnedOver: 'turned over',
  frame: (frame: number) => `  frame ${frame}`,
} as const;
