import { describe, expect, test } from '@jest/globals';
import { NO_ROWS, analyse, type Library } from '../library/index.js';
import { FOOTAGE, LOGGED } from '../testing/workedExamples.js';
import { toGraphml } from './index.js';

const library: Library = {
  format: 'odograph-library',
  formatVersion: 1,
  ...NO_ROWS,
  academy: { id: 'x', name: 'x', timeZone: 'UTC' },
  wordChanges: [{ id: 'w', version: 1, kind: 'position', key: 'mount', name: 'mount <"on" & off>' }],
  footage: Object.values(FOOTAGE),
  attempts: LOGGED.map((l) => l.attempt),
};

describe('the analysis of a library', () => {
  const analysis = analyse(library, [
    { from: 'turtle/top', to: 'mount/top' },
    { from: 'turtle/top', to: 'any submission' },
  ]);

  test('when the worked examples are analysed, totals, places and points should be said', () => {
    expect(analysis.totals).toEqual({
      attempts: 17,
      lines: 16,
      shown: 2,
      picked: 0,
      unplaced: 0,
      drafts: 0,
      proposed: 0,
    });
    expect(analysis.places.find((p) => p.id === 'mount/top')).toMatchObject({
      role: 'top',
      family: 'pin',
      terminal: false,
      points: 4,
    });
    expect(analysis.places.find((p) => p.id === 'won:double-wrist-lock')).toMatchObject({
      terminal: true,
      height: 5,
      points: 0,
    });
  });

  test('when routes are asked for, the best should be given with its actions', () => {
    expect(analysis.routes[0]!.best[0]).toMatchObject({
      places: ['turtle/top', 'back/attacker', 'mount/top'],
      actions: ['back-take', 'step-down'],
      chance: 1,
    });
    expect(analysis.routes[1]!.best).toEqual([]);
  });

  describe('as GraphML', () => {
    const xml = toGraphml(analysis);

    test('when it is written, every line should be an edge between nodes that are there', () => {
      const nodes = new Set([...xml.matchAll(/<node id="([^"]+)">/g)].map((m) => m[1]));
      const edges = [...xml.matchAll(/<edge id="[^"]+" source="([^"]+)" target="([^"]+)">/g)];
      expect(nodes.size).toBe(analysis.places.length);
      expect(edges).toHaveLength(16);
      for (const [, source, target] of edges) expect(nodes.has(source) && nodes.has(target)).toBe(true);
    });

    test('when names hold signs of XML, they should be escaped; a bait should be marked; unused lines should have no cost', () => {
      expect(xml).toContain('mount &#60;&#34;on&#34; &#38; off&#62;, top');
      expect(xml).toContain('<data key="edge-action">collar-choke (bait)</data>');
      expect([...xml.matchAll(/key="edge-cost"/g)]).toHaveLength(analysis.lines.filter((l) => l.cost !== null).length);
    });
  });
});
