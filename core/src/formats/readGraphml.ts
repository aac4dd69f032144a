import { SaxesParser } from 'saxes';
import { readPlace } from '../attempts/index.js';
import type { PlannedLine } from '../plans/index.js';
import type { Words } from '../vocabulary/index.js';

/** The lines of a map that was saved as GraphML, each once; and, each once, what its lines name and nobody here knows. */
export type ReadGraph = { readonly lines: readonly PlannedLine[]; readonly unknown: readonly string[] };

/** What is wrong with a file that can't be read as a map. */
export type GraphFault = { readonly code: 'not-xml'; readonly line: number } | { readonly code: 'no-lines' };

const BAIT = / \(bait\)$/;

type Edge = { readonly source: string; readonly target: string; readonly action: string };

/** The edges of the first graph of a file, in their order; by the names that keys have, whatever their ids. Throws where it is no XML, with the line at which it stops being it. */
const edgesOf = (text: string): readonly Edge[] => {
  const parser = new SaxesParser();
  const edges: Edge[] = [];
  const names = new Map<string, string>();
  let edge: { source: string; target: string; said: Map<string, string> } | undefined;
  let field: string | undefined;
  let value = '';
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('opentag', ({ name, attributes: { id, source, target, key, ['attr.name']: of } }) => {
    if (name === 'key' && id !== undefined && of !== undefined) names.set(id, of);
    if (name === 'edge') edge = { source: source ?? '', target: target ?? '', said: new Map() };
    if (name === 'data') [field, value] = [names.get(key ?? '') ?? key, ''];
  });
  parser.on('text', (more) => {
    value += more;
  });
  parser.on('closetag', ({ name }) => {
    if (name === 'data' && edge && field !== undefined) edge.said.set(field, value.trim());
    if (name === 'data') field = undefined;
    if (name !== 'edge' || !edge) return;
    const { source, target, said } = edge;
    edges.push({ source, target, action: said.get('action') ?? '' });
    edge = undefined;
  });
  parser.write(text).close();
  return edges;
};

const isKnownPlace = (id: string, words: Words): boolean => {
  const place = readPlace(id);
  if (!place) return false;
  if (place.kind === 'state') return words.hasRole(place.position, place.role);
  return place.kind === 'reset' || words.get('submission', place.submission) !== undefined;
};

/** Reads a map saved as GraphML (`toGraphml`) as lines that are planned: what was counted there is left behind. O(text). */
export const readGraphml = (text: string, words: Words): ReadGraph | GraphFault => {
  let edges: readonly Edge[];
  try {
    edges = edgesOf(text);
  } catch (error) {
    const at = /^\D*(\d+):/.exec(error instanceof Error ? error.message : '');
    return { code: 'not-xml', line: Number(at?.[1] ?? 1) };
  }
  const unknown = new Set<string>();
  const lines = new Map<string, PlannedLine>();
  for (const { source: from, target: to, action: said } of edges) {
    const action = said.replace(BAIT, '');
    const missing = [
      ...[from, to].filter((id) => !isKnownPlace(id, words)),
      ...(words.action(action) ? [] : [action]),
    ].filter(Boolean);
    for (const name of missing) unknown.add(name);
    if (!missing.length && action !== '')
      lines.set(`${from} ${said} ${to}`, { from, action, bait: BAIT.test(said), to });
  }
  return lines.size || unknown.size ? { lines: [...lines.values()], unknown: [...unknown] } : { code: 'no-lines' };
};
