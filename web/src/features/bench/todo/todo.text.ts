export const TODO_LINE_TEXT = {
  label: 'To do:',
  hint: 'Begin with try, question, advice, credit or film; this frame goes with it.',
  refusal: 'Say what there is to do.',
} as const;
