import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { curveBetween, loopAt, placeTexts, type Spot } from './curves.js';

const spot = (x: number, y: number): Spot => ({ x, y, box: { x: x - 7, y: y - 9, width: 90, height: 18 } });

describe('lines between places', () => {
  test('when a line comes from any side, it should end outside the dot and its label', () => {
    for (const [x, y] of [
      [600, 100],
      [100, 600],
      [600, 400],
      [-300, 90],
    ] as const) {
      const [from, to] = [spot(x, y), spot(100, 100)];
      const { at } = curveBetween(from, to, 0);
      for (const [end, { box }] of [
        [at(0), from],
        [at(1), to],
      ] as const)
        expect(end.x > box.x && end.x < box.x + box.width && end.y > box.y && end.y < box.y + box.height).toBe(false);
    }
  });

  test('wherever two places lie that do not cover each other, a line should begin and end on neither of their names', () => {
    const isOn = ({ box }: Spot, at: { readonly x: number; readonly y: number }): boolean =>
      at.x > box.x + 0.1 && at.x < box.x + box.width - 0.1 && at.y > box.y + 0.1 && at.y < box.y + box.height - 0.1;
    fc.assert(
      fc.property(fc.integer({ min: -400, max: 400 }), fc.integer({ min: -200, max: 200 }), fc.nat(3), (x, y, nth) => {
        fc.pre(Math.abs(x) > 100 || Math.abs(y) > 20);
        const [from, to] = [spot(500, 300), spot(500 + x, 300 + y)];
        const { at } = curveBetween(from, to, nth);
        expect([isOn(from, at(0)), isOn(to, at(1))]).toEqual([false, false]);
      }),
    );
  });

  test('when two lines join the same places, the second should bow further; back and forth should not lie on each other', () => {
    const [a, b] = [spot(0, 300), spot(500, 300)];
    const middle = (nth: number): number => Math.abs(curveBetween(a, b, nth).at(0.5).y - 300);
    expect(middle(1)).toBeGreaterThan(middle(0) + 5);
    expect(Math.sign(curveBetween(a, b, 0).at(0.5).y - 300)).toBe(-Math.sign(curveBetween(b, a, 0).at(0.5).y - 300));
  });

  test('when any two places are joined, every number of the curve should be one', () => {
    fc.assert(
      fc.property(fc.nat(2000), fc.nat(900), fc.nat(2000), fc.nat(900), fc.nat(4), (x1, y1, x2, y2, nth) => {
        expect(curveBetween(spot(x1, y1), spot(x2, y2), nth).path).not.toMatch(/NaN|Infinity/);
        expect(loopAt(spot(x1, y1), nth).path).not.toMatch(/NaN|Infinity/);
      }),
    );
  });

  test('when texts are placed, none should cover a place or another text', () => {
    const places = [spot(0, 0), spot(400, 0), spot(200, 150)];
    const wishes = [0, 1, 2, 3].map((nth) => ({
      id: `t${nth}`,
      curve: curveBetween(places[0]!, places[1]!, nth % 2),
      width: 60,
      height: 15,
    }));
    const found = placeTexts(
      wishes,
      places.map((p) => p.box),
    );
    const boxes = [...found]
      .map(([, p]) => ({ x: p.x - 30, y: p.y - 7.5, width: 60, height: 15 }))
      .concat(places.map((p) => p.box));
    boxes.forEach((a, i) =>
      boxes
        .slice(i + 1)
        .forEach((b) =>
          expect(a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height).toBe(
            false,
          ),
        ),
    );
    expect(found.size).toBeGreaterThan(1);
  });
});
