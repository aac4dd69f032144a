import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { NO_ROWS, analyse, withPlanned, type Library } from '../library/index.js';
import type { Plan, PlannedLine } from '../plans/index.js';
import { FOOTAGE, LOGGED } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import { readGraphml, toGraphml } from './index.js';

const words = shippedWords();
const empty: Library = {
  ...{ format: 'odograph-library', formatVersion: 1, ...NO_ROWS, wordChanges: [] },
  academy: { id: 'x', name: 'x', timeZone: 'UTC' },
};
const full: Library = { ...empty, footage: Object.values(FOOTAGE), attempts: LOGGED.map((l) => l.attempt) };
const linesOf = (text: string): readonly PlannedLine[] => {
  const read = readGraphml(text, words);
  if ('code' in read) throw new Error(read.code);
  return read.lines;
};
/** Nodes and edges of a graph, whatever was counted. */
const graphOf = (text: string) => ({
  nodes: [...text.matchAll(/<node id="([^"]+)"/g)].map((m) => m[1]).sort(),
  edges: [...text.matchAll(/<edge id="([^"]+)" source="([^"]+)" target="([^"]+)"/g)]
    .map((m) => m.slice(1).join(' | '))
    .sort(),
});

describe('a map taken in again', () => {
  test('when a map is saved, taken in where nothing is yet, and saved again, it should be the same graph', () => {
    const saved = toGraphml(analyse(full));
    const plan: Pick<Plan, 'lines'> = { lines: linesOf(saved) };
    const again = toGraphml(withPlanned(analyse(empty), [plan], words));
    expect(graphOf(again)).toEqual(graphOf(saved));
    expect(graphOf(again).edges.length).toBeGreaterThan(10);
    // what was counted elsewhere was not seen here
    expect(again).not.toContain('<data key="edge-count">1</data>');
    expect(linesOf(again)).toHaveLength(plan.lines.length);
  });

  test('when any lines of known words are saved, they should be read as they were', () => {
    const states = words
      .of('position')
      .flatMap((p) => (p.roles.length ? p.roles : (['even'] as const)).map((r) => `${p.key}/${r}`));
    const ends = words.of('submission').flatMap((s) => [`won:${s.key}`, `lost:${s.key}`]);
    const line = fc.record({
      from: fc.constantFrom(...states),
      action: fc.constantFrom(...words.of('action').map((a) => a.key)),
      bait: fc.boolean(),
      to: fc.constantFrom(...states, ...ends),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(line, { maxLength: 30, selector: (l) => JSON.stringify(l), minLength: 1 }),
        (lines) => {
          const saved = toGraphml(withPlanned(analyse(empty), [{ lines }], words));
          const sorted = (some: readonly PlannedLine[]) =>
            some.map((l) => JSON.stringify(Object.entries(l).sort())).sort();
          expect(sorted(linesOf(saved))).toEqual(sorted(lines));
        },
      ),
      { numRuns: 100 },
    );
  });

  test('when another program wrote it, its own ids of keys, its order and its own fields should not matter', () => {
    const text = `<?xml version='1.0'?><!-- made elsewhere -->
      <graphml xmlns="http://graphml.graphdrawing.org/xmlns"><key id="d7" for="edge" attr.name="action" attr.type="string" />
      <key id="d8" for="edge" attr.name="colour" attr.type="string"/><graph edgedefault="directed">
      <edge target="mount/top" source="closed-guard/bottom"><data key="d8">red</data><data key="d7">hip-bump</data></edge>
      <node id="closed-guard/bottom"/><edge source="closed-guard/bottom" target="mount/top"><data key="d7"> hip-bump (bait) </data></edge>
      </graph></graphml>`;
    expect(readGraphml(text, words)).toEqual({
      unknown: [],
      lines: [
        { from: 'closed-guard/bottom', action: 'hip-bump', bait: false, to: 'mount/top' },
        { from: 'closed-guard/bottom', action: 'hip-bump', bait: true, to: 'mount/top' },
      ],
    });
  });

  test('when it names what nobody here knows, that should be said, and the rest be there', () => {
    const saved = toGraphml(analyse(full))
      .replaceAll('hip-bump', 'moon-sweep')
      .replaceAll('mount/top', 'mount/sideways');
    const read = readGraphml(saved, words);
    expect(read).toMatchObject({ unknown: expect.arrayContaining(['moon-sweep', 'mount/sideways']) });
    expect(linesOf(saved).length).toBeGreaterThan(0);
    expect(JSON.stringify(linesOf(saved))).not.toContain('moon');
  });

  test('when it is no map, that should be said with its line, and nothing thrown on whatever text', () => {
    expect(readGraphml('', words)).toEqual({ code: 'not-xml', line: 1 });
    expect(readGraphml('<graphml>\n<graph>\n</graphml>', words)).toEqual({ code: 'not-xml', line: 3 });
    expect(readGraphml('<graphml><graph/></graphml>', words)).toEqual({ code: 'no-lines' });
    expect(readGraphml('<svg><edge source="a" target="b"/></svg>', words)).toMatchObject({ unknown: ['a', 'b'] });
    expect(readGraphml('<!DOCTYPE x [<!ENTITY a "b">]><x>&a;</x>', words)).toMatchObject({ code: 'not-xml' });
    fc.assert(
      fc.property(fc.string(), (text) => void readGraphml(text, words)),
      { numRuns: 500 },
    );
  });
});
