import { describe, expect, test } from '@jest/globals';
import { BARE_ALTERNATIVE, BARE_HOLD, BARE_REACTION, matchWords, shippedWords, type Attempt } from '@odograph/core';
import { attemptWith, libraryWith } from '../../../test/library.js';
import { clipViews } from '../library/index.js';
import { FACETS, facetOf, type FacetKey } from './facets.js';
import { facetChoices, facetCounts, matches, type Filter } from './filter.js';
import { ordered, type Order } from './order.js';

const words = shippedWords();
const hold = (id: string, target: string, cloth: boolean): Attempt['controls'][number] => ({
  id,
  holder: 'subject',
  limb: 'hand',
  limbSide: 'right',
  kind: 'grip',
  target,
  targetOwner: 'other',
  targetSide: null,
  ...BARE_HOLD,
  cloth,
  gained: null,
  lost: null,
});
const library = libraryWith([
  attemptWith('1', {
    state: { position: 'two-sleeve', role: 'bottom' },
    action: 'overhead-sweep',
    result: 'success',
    depth: 4,
    commit: { frame: 1, pts: 1 },
    finish: { kind: 'state', position: 'mount', role: 'top' },
    controls: [hold('a', 'sleeve', true)],
    reactions: [{ id: 'r', what: 'posts', isAction: false, ...BARE_REACTION, quality: 'late' }],
    errors: [{ id: 'e', by: 'opponent', cause: 'given away', what: 'late', until: null }],
    planned: true,
    runName: 'the long way',
  }),
  attemptWith('2', {
    subject: 'b',
    state: { position: 'mount', role: 'top' },
    action: 'armlock',
    result: 'failed',
    depth: 3,
    aim: { kind: 'submission', submission: 'collar-choke' },
    finish: { kind: 'submission', submission: 'straight-armlock', won: true },
    controls: [
      { ...hold('b', 'wrist', false), place: 'wrist', purposes: ['pull'] },
      { ...hold('c', 'elbow', false), hidden: true },
      { ...hold('o', 'sleeve', true), holder: 'opponent' },
    ],
    facts: [{ id: 'f', fact: 'hips', value: 'mat', side: null, whose: 'opponent', when: 'start' }],
    alternatives: [{ ...BARE_ALTERNATIVE, id: 'x', by: 'opponent', what: 'hips-out', isAction: false }],
    reasons: [{ id: 's', reason: 'grip-lost', main: true }],
    evidence: [{ part: 'result', how: 'told', proof: null, by: { kind: 'person', personId: 'orla' } }],
    links: [
      {
        ...{ id: 'l', kind: 'prevents', isSure: true },
        ...{ from: { attemptId: null, part: 'control:b' }, to: { attemptId: null, part: 'result' } },
      },
    ],
    start: { frame: 20, pts: 20 },
    end: { frame: 24, pts: 24 },
  }),
  attemptWith('3', {
    state: { position: 'mount', role: 'top' },
    action: 'collar-choke',
    controls: [hold('d', 'collar', true)],
    lead: 'left',
    start: { frame: 40, pts: 40 },
    end: { frame: 60, pts: 60 },
  }),
]);
const views = clipViews(
  {
    ...library,
    // a frame a second, 1:30 left where the footage starts
    files: library.files.map((f) => ({ ...f, timeBaseDen: 1 })),
    footage: library.footage.map((f) => ({
      ...f,
      skewedBy: 'injury' as const,
      clock: [{ atMs: 0, readingMs: 90_000, direction: 'down', running: true, period: 1, lengthMs: null }] as const,
    })),
    clips: library.clips.map((c) => (c.attemptId === '3' ? { ...c, note: 'chin tucked, knees wide' } : c)),
  },
  words,
);
const shown = (filter: Filter): string =>
  views
    .filter((v) => matches(v, filter, words))
    .map((v) => v.attempt.id)
    .join(' ');

describe('which clips are shown', () => {
  test.each<[Filter, string]>([
    [{}, '1 2 3'],
    [{ from: 'mount/top' }, '2 3'],
    [{ from: 'mount/top', grip: 'hand grip wrist' }, '2'],
    [{ from: 'mount/top', entry: 'overhead-sweep' }, ''],
    [{ from: 'open-guard/bottom' }, '1'],
    [{ finish: 'won:straight-armlock' }, '2'],
    [{ finish: 'any won' }, '2'],
    [{ finish: 'any lost' }, ''],
    [{ from: 'any side: mount' }, '2 3'],
    [{ cloth: 'cloth' }, '1 3'],
    [{ reaction: 'posts' }, '1'],
    [{ quality: 'late' }, '1'],
    [{ quality: 'right' }, ''],
    [{ fact: 'hips mat opponent' }, '2'],
    [{ fact: 'hips mat subject' }, ''],
    [{ alternative: 'opponent reaction hips-out' }, '2'],
    [{ how: 'hidden' }, '2'],
    [{ how: 'felt' }, ''],
    [{ theirGrip: 'hand grip sleeve' }, '2'],
    [{ holdPlace: 'wrist' }, '2'],
    [{ holdFor: 'pull' }, '2'],
    [{ because: 'prevents' }, '2'],
    [{ mistake: 'late' }, '1'],
    [{ meant: 'planned' }, '1'],
    [{ meant: 'bait' }, ''],
    [{ aim: 'won:collar-choke' }, '2'],
    [{ decided: 'given' }, '1'],
    [{ decided: 'thrown away' }, ''],
    [{ near: 'near finish' }, '2'],
    [{ run: 'the long way' }, '1'],
    [{ toCommit: 'one to two seconds' }, '1'],
    [{ toEnd: 'two seconds or more' }, '1 2 3'],
    [{ timeLeft: '1 to 2 minutes' }, '1 2'],
    [{ timeLeft: 'less than a minute' }, '3'],
    [{ skewed: 'injury' }, '1 2 3'],
    [{ skewed: 'left out of the numbers' }, ''],
    [{ resistance: 'resistance' }, '1 2 3'],
    [{ result: 'failed' }, '2'],
    [{ depth: 'submission:3' }, '2'],
    [{ reason: 'grip-lost' }, '2'],
    [{ athlete: 'sten' }, '2'],
    [{ side: 'left' }, '3'],
    [{ setting: 'training', clothing: 'gi', logged: 'throughout', day: '2031-05-24', footage: 'footage' }, '1 2 3'],
    [{ setting: 'competition' }, ''],
    [{ state: 'drafts' }, '3'],
    [{ text: 'armbar' }, '2'],
    [{ text: 'chin tucked' }, '3'],
    [{ text: 'montada' }, '1 2 3'],
    [{ text: 'sten wrist' }, '2'],
    [{ text: 'nowhere' }, ''],
    // as the line would read it: any order, initials, beginnings, what is a kind of what
    [{ text: 'mt top' }, '1 2 3'],
    [{ text: 'it was a sweep that ended in the mount' }, '1'],
    [{ text: 'an armbar that did not work' }, '2'],
    [{ text: 'lost the grip in the armbar, sten' }, '2'],
    [{ text: 'mount bottom, armbar' }, ''],
    [{ text: 'armbar zorblat' }, ''],
    // how long it took is worked out, and says nothing that is looked for
    [{ text: 'seconds' }, ''],
    [{ text: 'resistance' }, ''],
  ])('when %o is said, the clips should be "%s"', (filter, ids) => {
    expect(shown(filter)).toBe(ids);
  });

  test('when a position is typed without a side, or a tap, that should be among the choices', () => {
    const textsOf = (key: 'from' | 'finish'): readonly (readonly string[])[] =>
      facetChoices(views, facetCounts(views, {}, key, words), key, words).map((c) => c.texts);
    expect(textsOf('from').map(([name]) => name)).toContain('mount, either side');
    expect(textsOf('finish').find((texts) => texts.includes('tap'))?.[0]).toBe('any submission');
  });

  test('when choices are counted, they should say how many clips they leave, the other parts standing', () => {
    expect(facetCounts(views, { from: 'mount/top' }, 'entry', words)).toEqual(
      new Map([
        ['armlock', 1],
        ['collar-choke', 1],
      ]),
    );
    expect(facetCounts(views, { from: 'mount/top' }, 'from', words).get('mount/top')).toBe(2);
  });

  test('when any facet is chosen by one of its choices, it should leave exactly as many clips as it said', () => {
    for (const { key } of FACETS)
      for (const [value, count] of facetCounts(views, {}, key, words))
        expect([key, value, views.filter((v) => matches(v, { [key]: value }, words)).length]).toEqual([
          key,
          value,
          count,
        ]);
  });

  test.each<[FacetKey, string, string]>([
    ['entry', 'armbar', 'armlock'],
    ['from', 'montada', 'any side: mount'],
    ['from', 'both sleeves', 'any side: two-sleeve'],
    ['grip', 'hand lapel', 'hand grip collar'],
    ['finish', 'juji gatame', 'won:straight-armlock'],
    ['reaction', 'hand to the mat', 'posts'],
    ['quality', 'too late', 'late'],
    ['fact', 'their hips on the mat', 'hips mat opponent'],
    ['alternative', 'they should have hip out', 'opponent reaction hips-out'],
    ['how', 'not seen', 'hidden'],
    ['teller', 'orla', 'Orla Venn'],
    ['athlete', 'abara', 'sten'],
    ['result', 'worked', 'success'],
    ['result', 'no', 'failed'],
    ['depth', 'nearly', 'submission:3'],
    ['aim', 'collar choke won', 'won:collar-choke'],
    ['holdFor', 'to pull', 'pull'],
    ['theirGrip', 'hand sleeve', 'hand grip sleeve'],
    ['footage', 'round', 'footage'],
  ])('when %s is looked for as "%s", it should be found', (key, typed, value) => {
    const choices = facetChoices(views, facetCounts(views, {}, key, words), key, words);
    expect(matchWords(typed, choices)[0]!.value).toBe(value);
    expect(facetOf(key).textsOf(value, words, views)[0]).not.toBe('');
  });
});

describe('in which order', () => {
  const ids = (order: Order): string =>
    ordered(views, order, (v) => (v.attempt.id === '2' ? 9 : 1))
      .map((v) => v.attempt.id)
      .join(' ');

  test('when clips are put in an order, it should be that one, and the list given be left as it was', () => {
    expect(ids('as it happened')).toBe('1 2 3');
    expect(ids('shortest')).toBe('2 1 3');
    expect(ids('most seen')).toBe('2 1 3');
    expect(ids('newest footage')).toBe('1 2 3');
    expect(views.map((v) => v.attempt.id)).toEqual(['1', '2', '3']);
  });
});
