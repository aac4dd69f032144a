import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { defaultHeight, stateId, type PlaceId } from '../attempts/index.js';
import { shippedWords } from '../vocabulary/index.js';
import { layoutMap, mostCarrying, neighboursOf, splitLabel, widthNeeded, type PlacedPlace } from './index.js';

const words = shippedWords();
const ALL: readonly PlaceId[] = [
  ...words.of('position').flatMap((p) => p.roles.map((role) => stateId({ position: p.key, role }))),
  ...words.of('submission').flatMap((s) => [`won:${s.key}`, `lost:${s.key}`] as PlaceId[]),
  'reset:edge' as PlaceId,
];
const options = { width: 1200, height: 700, lineHeight: 16, measure: (text: string) => text.length * 7 };
const overlap = (a: PlacedPlace['box'], b: PlacedPlace['box']): boolean =>
  a.x < b.x + b.width - 1e-6 &&
  b.x < a.x + a.width - 1e-6 &&
  a.y < b.y + b.height - 1e-6 &&
  b.y < a.y + a.height - 1e-6;

describe('layout of the map', () => {
  test('when up to 24 places are drawn, none should overlap another and all should lie inside the picture', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...ALL), { minLength: 1, maxLength: 24 }), (places) => {
        const lines = places.slice(1).map((to, i) => ({ from: places[i]!, to }));
        const layout = layoutMap(places, lines, (id) => defaultHeight(id, words), words, options);
        expect(layout.places).toHaveLength(places.length);
        layout.places.forEach((a, i) => {
          expect(a.box.x).toBeGreaterThanOrEqual(-1e-6);
          expect(a.box.x + a.box.width).toBeLessThanOrEqual(layout.width + 1e-6);
          expect(a.label.length).toBeLessThanOrEqual(2);
          for (const b of layout.places.slice(i + 1))
            expect([a.id, b.id, overlap(a.box, b.box)]).toEqual([a.id, b.id, false]);
        });
      }),
      { numRuns: 150 },
    );
  });

  test('when the picture is as wide as the places need, it should get no wider, and wider where it is narrower than that', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...ALL), { minLength: 1, maxLength: 24 }), (places) => {
        const heightOf = (id: PlaceId): number | undefined => defaultHeight(id, words);
        const needed = widthNeeded(places, heightOf, words, options);
        const widthIn = (width: number): number => layoutMap(places, [], heightOf, words, { ...options, width }).width;
        expect(widthIn(needed + 1)).toBeCloseTo(needed + 1, 6);
        expect(widthIn(needed / 2)).toBeCloseTo(needed, 6);
      }),
      { numRuns: 60 },
    );
  });

  test('when a place is better, it should lie higher; families should stand from standing to the back', () => {
    const places = ['standing/even', 'half-guard/top', 'mount/top', 'back/attacker', 'won:rear-choke'] as PlaceId[];
    const layout = layoutMap(places, [], (id) => defaultHeight(id, words), words, options);
    const at = (id: string): PlacedPlace => layout.places.find((p) => p.id === id)!;
    expect(at('mount/top').y).toBeLessThan(at('half-guard/top').y);
    expect(at('half-guard/top').y).toBeLessThan(at('standing/even').y);
    expect(at('won:rear-choke').y).toBeLessThan(at('back/attacker').y);
    expect(at('standing/even').y).toBeCloseTo(layout.zeroY, 9);
    expect(layout.columns.map((c) => c.family)).toEqual(['standing', 'half guard', 'pin', 'back']);
  });

  test('when places come in any order, the layout should be the same', () => {
    const places = ALL.slice(0, 20);
    const layout = (list: readonly PlaceId[]): unknown =>
      layoutMap(list, [], (id) => defaultHeight(id, words), words, options);
    expect(layout([...places].reverse())).toEqual(layout(places));
  });

  test('when a name is long, it should be split where both lines are nearest in length', () => {
    expect(splitLabel('mount')).toEqual(['mount']);
    expect(splitLabel('knee-shield half guard, top')).toEqual(['knee-shield', 'half guard, top']);
  });
});

describe('what of a large map is drawn', () => {
  const line = (
    from: string,
    to: string,
    count: number,
  ): { id: string; from: PlaceId; to: PlaceId; count: number; picked: number; shown: number } => ({
    id: `${from} ${to}`,
    from: from as PlaceId,
    to: to as PlaceId,
    count,
    picked: 0,
    shown: 0,
  });
  const lines = [line('a/top', 'b/top', 9), line('b/top', 'c/top', 5), line('c/top', 'd/top', 1)];

  test('when only some places fit, those that carry most should stay, with the lines between them', () => {
    expect(mostCarrying(lines, { places: 3, lines: 9 })).toEqual({
      places: ['a/top', 'b/top', 'c/top'],
      lines: lines.slice(0, 2),
    });
    expect(mostCarrying(lines, { places: 9, lines: 1 }).lines).toEqual([lines[0]]);
  });

  test('when a place is picked, only it and its neighbours should stay', () => {
    expect(neighboursOf(lines, 'b/top' as PlaceId)).toEqual({
      places: ['a/top', 'b/top', 'c/top'],
      lines: lines.slice(0, 2),
    });
  });
});
