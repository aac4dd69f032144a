export const CAUTION_NOTE_TEXT = {
  caution: 'Caution',
  caution2: 'Caution, ',
  canInjureThe: ' can injure the ',
} as const;

export const COUNTED_TEXT = {
  of: (length: string | number, limit: string | number, ending: string | number) => `${length} of ${limit}${ending}`,
} as const;

export const EVIDENCE_TEXT = {
  noRate: 'no rate',
  howFar: (word: string | number) => `how far: ${word}`,
} as const;

export const WORD_FIELD_TEXT = {
  noWordHereSounds: 'No word here sounds like “',
} as const;
