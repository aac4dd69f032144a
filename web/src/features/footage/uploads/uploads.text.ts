export const JOB_LINE_TEXT = {
  waitsForItsTurn: ': waits for its turn',
  didntWork: (ending: string | number) => ` didn’t work. ${ending}`,
  ended: ': ended',
} as const;
