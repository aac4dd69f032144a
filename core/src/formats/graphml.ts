import type { Analysis, ReactionTexts } from '../library/index.js';
import { lineId } from '../map/index.js';

const escape = (text: string): string =>
  text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`).replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, '');

type Key = { readonly name: string; readonly type: 'string' | 'double' | 'int' | 'boolean' };

const NODE_KEYS: readonly Key[] = [
  { name: 'name', type: 'string' },
  { name: 'role', type: 'string' },
  { name: 'family', type: 'string' },
  { name: 'parent', type: 'string' },
  { name: 'height', type: 'double' },
  { name: 'terminal', type: 'boolean' },
  { name: 'points', type: 'int' },
];
const EDGE_KEYS: readonly Key[] = [
  { name: 'from', type: 'string' },
  { name: 'action', type: 'string' },
  { name: 'to', type: 'string' },
  { name: 'count', type: 'int' },
  { name: 'attempts', type: 'int' },
  { name: 'successes', type: 'int' },
  { name: 'proposed', type: 'int' },
  { name: 'given', type: 'int' },
  { name: 'thrown', type: 'int' },
  { name: 'cost', type: 'double' },
];
/** What is told of reactions, where it is. */
const REACTION_KEYS: readonly Key[] = [
  { name: 'met', type: 'string' },
  { name: 'opened', type: 'string' },
];

const declare = (keys: readonly Key[], of: 'node' | 'edge'): string[] =>
  keys.map((k) => `  <key id="${of}-${k.name}" for="${of}" attr.name="${k.name}" attr.type="${k.type}"/>`);

/** Values that are not known (null) are left out. */
const data = (
  keys: readonly Key[],
  of: 'node' | 'edge',
  values: Readonly<Record<string, string | number | boolean | null>>,
): string[] =>
  keys.flatMap((k) =>
    values[k.name] === null || values[k.name] === undefined
      ? []
      : [`      <data key="${of}-${k.name}">${escape(String(values[k.name]))}</data>`],
  );

/**
 * The map as GraphML 1.0 (directed, parallel edges). Edge id = the line's from, action and to; a bait is marked in the action's name.
 * `reactions`: what its lines met, told beside their counts.
 * Lines that no route uses (baits, no success, or from a place to itself) have no cost.
 */
export const toGraphml = (analysis: Analysis, reactions?: ReadonlyMap<string, ReactionTexts>): string => {
  const edgeKeys = reactions ? [...EDGE_KEYS, ...REACTION_KEYS] : EDGE_KEYS;
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<graphml xmlns="http://graphml.graphdrawing.org/xmlns">',
    ...declare(NODE_KEYS, 'node'),
    ...declare(edgeKeys, 'edge'),
    '  <graph id="map" edgedefault="directed">',
    ...analysis.places.flatMap((p) => [
      `    <node id="${escape(p.id)}">`,
      ...data(NODE_KEYS, 'node', p),
      '    </node>',
    ]),
    ...analysis.lines.flatMap((l) => {
      const action = l.bait ? `${l.action} (bait)` : l.action;
      const id = lineId(l.from, l.action, l.bait, l.to);
      return [
        `    <edge id="${escape(id)}" source="${escape(l.from)}" target="${escape(l.to)}">`,
        ...data(edgeKeys, 'edge', { ...l, action, ...reactions?.get(id) }),
        '    </edge>',
      ];
    }),
    '  </graph>',
    '</graphml>',
    '',
  ].join('\n');
};
