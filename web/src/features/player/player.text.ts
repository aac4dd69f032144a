export const FRAME_VIDEO_TEXT = {
  itCantBeStepped: (fault: string | number) => `It can’t be stepped through. ${fault}`,
  itsBeingMadeReady: 'It’s being made ready for stepping; the first minute shows here as soon as that’s done.',
  readyUpToThe: (timecode: string | number) => `Ready up to ${timecode}; the rest is on its way.`,
  turnedOver: 'turned over',
  frame: (frame: string | number) => `  frame ${frame}`,
} as const;
