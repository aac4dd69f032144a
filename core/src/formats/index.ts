export { attemptRead } from './readAttempt.js';
export { readCaptions, type Caption } from './captions.js';
export { toGraphml } from './graphml.js';
export { readGraphml, type GraphFault, type ReadGraph } from './readGraphml.js';
export { harmless, readCsv, writeCsv, type Table } from './csv.js';
export { WORDS_HEAD, readWords, wordsCsv, type WordLine } from './wordsCsv.js';
export { routeVtt } from './webvtt.js';
export {
  CLIP_COLUMNS,
  NEEDED_COLUMNS,
  clipsCsv,
  fileTitle,
  guessMapping,
  readClips,
  type ClipColumn,
  type ListedClip,
  type Mapping,
  type ReadClip,
} from './clipsCsv.js';
export { readVocabulary } from './vocabularyCsv.js';
