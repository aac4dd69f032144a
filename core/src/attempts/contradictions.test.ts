import { BARE_HOLD } from './types.js';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { FOOTAGE, LOGGED, attemptOf } from '../testing/workedExamples.js';
import { shippedWords } from '../vocabulary/index.js';
import {
  contradictionsIn,
  mirrorContradiction,
  mirrorControl,
  otherSide,
  sidesAgainst,
  type Attempt,
  type Control,
} from './index.js';

const words = shippedWords();
const base: Attempt = attemptOf({
  ...{
    id: 'x',
    in: 'F1',
    by: 'a',
    at: [1, 2, 3],
    from: 'two-sleeve/bottom',
    action: 'overhead-sweep',
    to: 'mount/top',
  },
  result: 'success',
});
let made = 0;
const at = (frame: number) => ({ frame, pts: frame });
const hold = (more: Partial<Control> = {}): Control => ({
  ...{ id: `c${made++}`, holder: 'subject', limb: 'hand', limbSide: null, kind: 'grip', target: 'sleeve' },
  ...{ targetOwner: 'other', targetSide: null, ...BARE_HOLD, cloth: true, gained: null, lost: null },
  ...more,
});
const kinds = (controls: readonly Control[], more: Partial<Attempt> = {}, gi = true) =>
  contradictionsIn({ ...base, controls, ...more }, { gi }, words).map((c) => c.kind);

describe('what does not go together', () => {
  test('when one hand is in two places at once, it should be named; one after the other is no contradiction', () => {
    const [a, b] = [hold({ limbSide: 'right' }), hold({ limbSide: 'right', target: 'collar' })];
    expect(kinds([a, b, hold()])).toEqual(['two places']);
    expect(kinds([{ ...a, lost: at(5) }, { ...b, gained: at(5) }, hold()])).toEqual([]);
    expect(kinds([a, { ...b, holder: 'opponent' }, hold()])).toEqual([]);
  });

  test('when more hands hold than there are, it should be counted', () => {
    const three = [hold({ targetSide: 'left' }), hold({ targetSide: 'right' }), hold({ target: 'collar' })];
    expect(contradictionsIn({ ...base, controls: three }, { gi: true }, words)).toEqual([
      { kind: 'too many', holder: 'subject', limb: 'hand', count: 3 },
    ]);
  });

  test('when cloth is held where nobody wears any, each should be named once', () => {
    expect(kinds([hold(), hold()], {}, false)).toEqual(['cloth in no-gi']);
  });

  test('when the grips that make a position are not among those that were said, it should be named; with none said nothing is', () => {
    expect(kinds([])).toEqual([]);
    expect(kinds([hold()])).toEqual(['not held']);
    expect(kinds([hold(), hold()])).toEqual([]);
    expect(kinds([hold({ holder: 'opponent' })])).toEqual([]);
    expect(kinds([hold({ holder: 'opponent' })], { state: { position: 'two-sleeve', role: 'top' } })).toContain(
      'not held',
    );
  });

  test('when the result is not what follows from the finish, both should be named; what was dropped or shown is left alone', () => {
    expect(contradictionsIn({ ...base, result: 'failed' }, { gi: true }, words)).toEqual([
      { kind: 'result', said: 'failed', follows: 'success' },
    ]);
    for (const result of ['abandoned', 'shown', null] as const) expect(kinds([], { result })).toEqual([]);
  });

  test('when the worked examples are looked at, nothing should be found', () => {
    for (const { attempt } of LOGGED)
      expect([attempt.id, contradictionsIn(attempt, FOOTAGE.F1, words)]).toEqual([attempt.id, []]);
  });

  test('when an attempt is mirrored or its grips shuffled, the same should be found', () => {
    const control = fc.record({
      limb: fc.constantFrom('hand', 'foot', 'arm'),
      limbSide: fc.constantFrom('left', 'right', null),
      holder: fc.constantFrom('subject', 'opponent'),
      target: fc.constantFrom('sleeve', 'collar', 'ankle'),
      cloth: fc.boolean(),
    } as const);
    fc.assert(
      fc.property(fc.array(control, { maxLength: 6 }), fc.boolean(), (all, gi) => {
        const controls = all.map((c) => hold(c));
        const of = (list: readonly Control[]) =>
          contradictionsIn({ ...base, controls: list }, { gi }, words)
            .map((c) => JSON.stringify(c))
            .sort();
        const mirrored = contradictionsIn({ ...base, controls: controls.map(mirrorControl) }, { gi }, words);
        expect(mirrored.map((c) => JSON.stringify(mirrorContradiction(c))).sort()).toEqual(of(controls));
        expect(of([...controls].reverse())).toEqual(of(controls));
      }),
    );
  });

  const inHalf = (more: Partial<Attempt>): Attempt => ({
    ...base,
    state: { position: 'half-guard', role: 'top' },
    finish: null,
    lead: 'right',
    ...more,
  });

  test('when the position stayed and its lead is said to be the other, it should be pointed out, whoever acts', () => {
    const before = inHalf({});
    expect(sidesAgainst(before, inHalf({ lead: 'left' }))).toMatchObject([
      { kind: 'lead', before: 'right', now: 'left' },
    ]);
    expect(sidesAgainst(before, inHalf({ lead: 'left', subject: 'b' }))).toHaveLength(1);
    expect(sidesAgainst(before, inHalf({ lead: null }))).toEqual([]);
    const gone = inHalf({ finish: { kind: 'state', position: 'mount', role: 'top' } });
    expect(sidesAgainst(gone, inHalf({ lead: 'left' }))).toEqual([]);
  });

  test('when what goes on being held is said with one side changed, it should be pointed out, and not when it may be a new hold', () => {
    const held = hold({ limbSide: 'right', targetSide: 'left' });
    const other = hold({ limbSide: 'right', targetSide: 'right' });
    const kinds = (before: Control, now: Control): string[] =>
      sidesAgainst(inHalf({ controls: [before] }), inHalf({ controls: [now] })).map((c) => c.kind);
    expect(kinds(held, other)).toEqual(['side']);
    expect(kinds(held, held)).toEqual([]);
    expect(kinds({ ...held, lost: at(4) }, other)).toEqual([]);
    expect(kinds(held, { ...other, gained: at(4) })).toEqual([]);
    // the other hand on the other side is another hold
    expect(kinds(held, hold({ limbSide: 'left', targetSide: 'right' }))).toEqual([]);
  });

  test('when both attempts are mirrored, the same sides should be pointed out, mirrored', () => {
    const side = fc.constantFrom('left' as const, 'right' as const, null);
    const one = fc.record({
      lead: side,
      limbSide: side,
      targetSide: side,
      by: fc.constantFrom('a' as const, 'b' as const),
    });
    fc.assert(
      fc.property(one, one, (x, y) => {
        const made = ({ lead, limbSide, targetSide, by }: typeof x): Attempt =>
          inHalf({
            lead,
            subject: by,
            controls: [hold({ limbSide, targetSide, holder: by === 'a' ? 'subject' : 'opponent' })],
          });
        const turned = (a: Attempt): Attempt => ({
          ...a,
          lead: a.lead && otherSide(a.lead),
          controls: a.controls.map(mirrorControl),
        });
        const [before, now] = [made(x), made(y)];
        expect(sidesAgainst(turned(before), turned(now))).toEqual(sidesAgainst(before, now).map(mirrorContradiction));
      }),
    );
  });
});
