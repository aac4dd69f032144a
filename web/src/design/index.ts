export { system, MAP_LABEL_FONT } from './theme.js';
export { Action, Aloud, Heading, Mono, Ruled, Subheading } from './Plain.js';
export { ProfileMark } from './ProfileMark.js';
export { WordField, among, type Found, type WordFieldProps } from './WordField.js';
export { DepthLadder, IntervalBand, ResultMark, evidenceText } from './Evidence.js';
export { CautionNote } from './CautionNote.js';
export { Sentence } from './Sentence.js';
export { useSize, type Size } from './useSize.js';
export { Choice } from './Choice.js';
