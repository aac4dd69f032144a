import { describe, expect, test } from '@jest/globals';
import type { PlaceId } from '@odograph/core';
import { columnwise, neighbour } from './neighbour.js';

const id = (text: string): PlaceId => text as PlaceId;
const place = (name: string, x: number, y: number) => ({ id: id(name), x, y }) as never;
const columns = [0, 100, 200].map((x) => ({ x, width: 100, family: 'standing' as const }));
const inOrder = columnwise({
  columns,
  places: [place('c2', 250, 80), place('a2', 30, 50), place('a1', 40, 10), place('c1', 210, 5), place('a3', 20, 90)],
});
const from = (name: string, key: string): string | undefined => neighbour(inOrder, id(name), key);

describe('keys on the map', () => {
  test('when places are gone through, it should be along the columns, from the top', () => {
    expect(inOrder.map((p) => p.id)).toEqual(['a1', 'a2', 'a3', 'c1', 'c2']);
  });

  test('when an arrow is pressed, it should lead up and down in the column, and across to the nearest height', () => {
    expect([from('a1', 'ArrowDown'), from('a3', 'ArrowUp'), from('a3', 'ArrowDown'), from('c1', 'ArrowUp')]).toEqual([
      ...['a2', 'a2'],
      ...[undefined, undefined],
    ]);
    expect([from('a1', 'ArrowRight'), from('a3', 'ArrowRight'), from('c2', 'ArrowLeft')]).toEqual(['c1', 'c2', 'a3']);
    expect([from('a1', 'ArrowLeft'), from('c1', 'ArrowRight'), from('a1', 'x'), from('gone', 'ArrowUp')]).toEqual(
      Array.from({ length: 4 }),
    );
  });
});
