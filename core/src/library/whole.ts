import { ANSWERING, RowTable, heightsOf, type CountingView } from '../map/index.js';
import { analyseRows, type Analysis, type RouteQuestion } from './analysis.js';
import { loggedOf, wordsOf, type Library } from './library.js';
import { answeringOf } from '../sheets/index.js';
import { sheetSourceOf } from './sheetSource.js';
import { reactionTexts, thoughtOf, type ReactionTexts, type Thought } from './thinking.js';

/** The place where a bout begins: from there it is always said how far chances can be believed. */
const BEGINS = 'standing/even';

/** The analysis of a library with all that follows from it; `reactions`: what its lines say about reactions. */
export const analyseWhole = (
  library: Library,
  questions: readonly RouteQuestion[] = [],
  view: CountingView = { includePicked: false },
): Analysis & Thought & { readonly reactions: ReadonlyMap<string, ReactionTexts> } => {
  const words = wordsOf(library);
  const table = RowTable.of(loggedOf(library), words);
  const source = sheetSourceOf(library, words, view);
  table.gathered = new Map([[ANSWERING, answeringOf(source.answers)]]);
  const analysis = analyseRows(table, words, questions, view);
  const starts = [...new Set([BEGINS, ...questions.map((q) => q.from)])];
  const thought = thoughtOf(analysis, source, heightsOf(table, words, view), words, starts);
  return { ...analysis, ...thought, reactions: reactionTexts(source) };
};
