import { describe, expect, test } from '@jest/globals';
import { layoutMap, shippedWords, type Fork, type PlaceId } from '@odograph/core';
import type { MapLine } from '../../workers/map.protocol.js';
import { curveBetween, loopAt, overlaps, type Box, type Curve } from './curves.js';
import { drawForks, drawSaid, forkTexts } from './unfolded.js';

const words = shippedWords();
const place = (id: string): PlaceId => id as PlaceId;
const HERE = place('side-control/top');
const PLACES = [HERE, place('back/attacker'), place('half-guard/top'), place('won:straight-armlock')];
const layout = layoutMap(PLACES, [], () => undefined, words, {
  ...{ width: 1100, height: 640, lineHeight: 16, measure: (text: string) => text.length * 8 },
});
const spot = (id: PlaceId) => layout.places.find((p) => p.id === id)!;
const line = (to: PlaceId, action: string): MapLine =>
  ({ id: `${action} ${to}`, from: HERE, to, action, side: 'own', bait: false }) as MapLine;
const lines = [line(PLACES[1]!, 'back-take'), line(HERE, 'arm-triangle'), line(HERE, 'americana')];
const curves = new Map<string, Curve>(
  lines.map((l) => [l.id, l.to === HERE ? loopAt(spot(HERE), 0) : curveBetween(spot(HERE), spot(l.to), 0)]),
);
const fork = (action: string, to: PlaceId, what: string, more: Partial<Fork> = {}): Fork => ({
  ...{ action, bait: false, to, met: { what, isAction: false }, n: 1, status: 'works', attemptIds: [] },
  ...{ answers: [{ action: 'armlock', to: PLACES[3]!, n: 1, worked: 1, attemptIds: [] }] },
  ...more,
});
const markOf = ({ x, y }: { readonly x: number; readonly y: number }): Box => ({
  ...{ x: x - 10, y: y - 10, width: 20, height: 20 },
});

describe('lines unfolded', () => {
  const forks = [
    fork('back-take', PLACES[1]!, 'frames'),
    fork('back-take', PLACES[1]!, 'turns-in'),
    fork('arm-triangle', HERE, 'frames'),
    fork('americana', HERE, 'frames', { answers: [] }),
    fork('knee-slide', PLACES[2]!, 'frames'),
  ];
  const drawn = drawForks(forks, HERE, lines, curves, layout);

  test('marks should cover neither places nor each other, and only forks of lines that are drawn have one', () => {
    expect(drawn.map((d) => d.fork.action)).toEqual(['back-take', 'back-take', 'arm-triangle', 'americana']);
    const boxes = [...layout.places.map((p) => p.box), ...drawn.map((d) => markOf(d.at))];
    boxes.forEach((a, i) => boxes.slice(i + 1).forEach((b) => expect(overlaps(a, b)).toBe(false)));
    expect(drawn.map((d) => d.answers.map((a) => a.action))).toEqual([['armlock'], ['armlock'], ['armlock'], []]);
  });

  test('words beside marks should cover nothing, and be left out where there is no room', () => {
    const wishes = drawn.map(({ fork: f, at }, i) => ({ id: `${f.action} ${i}`, at, width: 70 }));
    const places = layout.places.map((p) => p.box);
    const { texts, boxes } = forkTexts(wishes, places);
    expect(texts.size).toBeGreaterThan(2);
    boxes.forEach((a, i) => boxes.slice(i + 1).forEach((b) => expect(overlaps(a, b)).toBe(false)));
    expect(forkTexts(wishes, [{ x: -5000, y: -5000, width: 10000, height: 10000 }]).texts.size).toBe(0);
  });

  test('a way that is only said should be drawn to a place that is drawn, and to no other', () => {
    const said = [PLACES[3]!, place('turtle/top'), HERE].map((to) => ({
      action: 'armlock',
      to,
      by: 'said' as const,
    }));
    expect(drawSaid(said, HERE, layout).map((s) => s.line.to)).toEqual([PLACES[3]]);
  });
});
