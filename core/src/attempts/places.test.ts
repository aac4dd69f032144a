import { describe, expect, test } from '@jest/globals';
import { shippedWords } from '../vocabulary/index.js';
import {
  defaultHeight,
  finishId,
  flipPlace,
  foldPlace,
  placeFamily,
  placeName,
  readPlace,
  stateId,
  type PlaceId,
} from './index.js';

const words = shippedWords();
const STATES = words.of('position').flatMap((p) => p.roles.map((role) => stateId({ position: p.key, role })));

describe('places', () => {
  test('when a place is flipped twice, it should be the same, and its height the negative in between', () => {
    for (const place of [...STATES, 'won:rear-choke' as PlaceId, 'lost:foot-twist' as PlaceId]) {
      expect(flipPlace(flipPlace(place))).toBe(place);
      expect(defaultHeight(flipPlace(place), words)).toBeCloseTo(-defaultHeight(place, words)!, 12);
    }
  });

  test('when an id is read, it should say what it stands for; anything else should be nothing', () => {
    expect(readPlace('half-guard/top')).toEqual({ kind: 'state', position: 'half-guard', role: 'top' });
    expect(readPlace('lost:rear-choke')).toEqual({ kind: 'submission', submission: 'rear-choke', won: false });
    expect(readPlace('reset:edge')).toEqual({ kind: 'reset', how: 'edge' });
    for (const wrong of ['', 'half-guard', 'x:y', '/top', 'won:']) expect(readPlace(wrong)).toBeUndefined();
  });

  test('when a position has a parent, folding should show it as the parent', () => {
    expect(foldPlace('two-sleeve/bottom' as PlaceId, words)).toBe('open-guard/bottom');
    expect(foldPlace('mount/top' as PlaceId, words)).toBe('mount/top');
  });

  test('when a place is named, its role should stand behind it where there are two', () => {
    expect(placeName('half-guard/bottom', words)).toBe('half guard, bottom');
    expect(placeName('standing/even', words)).toBe('standing');
    expect(placeName('won:rear-choke', words)).toBe('rear choke won');
    expect(placeName('reset:edge', words)).toBe('restart: edge of the mat');
    expect(placeName('never-shipped/top', words)).toBe('never-shipped, top');
  });

  test('when a submission is won or lost, it should lie at the very edge; a reset nowhere', () => {
    expect(defaultHeight(finishId({ kind: 'submission', submission: 'rear-choke', won: true }), words)).toBe(5);
    expect(defaultHeight('lost:rear-choke' as PlaceId, words)).toBe(-5);
    expect(defaultHeight('reset:time' as PlaceId, words)).toBeUndefined();
    expect(placeFamily('reset:time' as PlaceId, words)).toBe('reset');
  });
});
