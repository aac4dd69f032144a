import { describe, expect, test } from '@jest/globals';
import { buildLines, loggedOf, shippedWords, type PlaceId } from '@odograph/core';
import { attemptWith, libraryWith } from '../../../test/library.js';
import type { MapLine } from '../../workers/map.protocol.js';
import { bringingHere } from './bringingHere.js';

const sweep = attemptWith('1', {
  subject: 'a',
  state: { position: 'half-guard', role: 'bottom' },
  action: 'hip-bump',
  result: 'success',
  finish: { kind: 'state', position: 'mount', role: 'top' },
});
const logged = loggedOf(libraryWith([sweep]));
const said = (lines: ReturnType<typeof bringingHere>): readonly string[] =>
  lines.map((l) => `${l.side} ${l.from} ${l.action} ${l.to}`);

describe('how they get us to a place', () => {
  test('when everybody is counted, what gets somebody to the other side of it should be told turned round', () => {
    const picture = buildLines(logged, shippedWords());
    expect(said(bringingHere(picture, 'mount/bottom' as PlaceId))).toEqual([
      'their half-guard/top hip-bump mount/bottom',
    ]);
    expect(bringingHere(picture, 'mount/top' as PlaceId)).toEqual([]);
    expect(bringingHere(picture, 'standing/even' as PlaceId)).toEqual([]);
  });

  test('when what they do is on the map already, that should stand, and nothing twice', () => {
    const [line] = buildLines(logged, shippedWords()).lines;
    const theirs = {
      ...line!,
      id: 't',
      side: 'their',
      from: 'half-guard/top',
      to: 'mount/bottom',
    } as unknown as MapLine;
    expect(bringingHere({ lines: [line!, theirs] }, 'mount/bottom' as PlaceId)).toEqual([theirs]);
  });
});
