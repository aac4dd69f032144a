import { describe, expect, test } from '@jest/globals';
import { BARE_HOLD, BARE_REACTION, type Attempt, type Clip, type Control } from '../attempts/index.js';
import type { WordChange } from '../vocabulary/index.js';
import { ATTEMPT, CLIP } from './attempt.js';
import {
  BARE_ATTEMPT,
  BARE_CLIP,
  KEPT,
  asKeptWord,
  asWordChange,
  draftAttempt,
  overFields,
  sentName,
  wordedFields,
  wordsSaid,
} from './index.js';
import {
  FLAG,
  ID,
  bare,
  choice,
  fixed,
  object,
  optional,
  orNull,
  said,
  saidOr,
  whole,
  type FieldsOf,
} from './shapes.js';

type Thing = {
  readonly id: string;
  readonly version: number;
  readonly colour: 'red' | 'blue';
  readonly size: number | null;
};
const COLOUR = said(choice('red', 'blue'));
const SIZE = saidOr(orNull(whole(0, 9)), null);
// what must not compile, held by the check of types
({ colour: COLOUR, size: SIZE }) satisfies FieldsOf<Thing>;
// @ts-expect-error a field is missing
({ colour: COLOUR }) satisfies FieldsOf<Thing>;
// @ts-expect-error one that there is not
({ colour: COLOUR, size: SIZE, weight: said(FLAG) }) satisfies FieldsOf<Thing>;
// @ts-expect-error a value too many
({ colour: said(choice('red', 'blue', 'green')), size: SIZE }) satisfies FieldsOf<Thing>;
// @ts-expect-error a value too few
({ colour: said(choice('red')), size: SIZE }) satisfies FieldsOf<Thing>;
// @ts-expect-error null where there is none
({ colour: said(orNull(choice('red', 'blue'))), size: SIZE }) satisfies FieldsOf<Thing>;
// @ts-expect-error no null where there is one
({ colour: COLOUR, size: said(whole(0, 9)) }) satisfies FieldsOf<Thing>;
// @ts-expect-error what stands where nobody says it is a value of another kind
saidOr(choice('red', 'blue'), 'green');
// @ts-expect-error a part of an item is missing
object<Thing>({ id: ID, version: whole(0, 9), colour: choice('red', 'blue') });
// @ts-expect-error a part that must be there may not be left out
object<{ readonly a: boolean }>({ a: optional(FLAG) });
object<{ readonly a?: boolean; readonly b: boolean }>({ a: optional(FLAG), b: bare(FLAG, true) });

const instant = { frame: 12, pts: 480 };
const hold: Control = {
  ...{ ...BARE_HOLD, id: 'h', holder: 'subject', limb: 'hand', limbSide: 'left', kind: 'grip', target: 'collar' },
  ...{ targetOwner: 'other', targetSide: null, cloth: true, gained: instant },
};
const attempt: Attempt = {
  ...draftAttempt({ id: 'a', footageId: 'f', angleId: 'g', subject: 'a', start: instant, end: instant }),
  state: { position: 'mount', role: 'top' },
  action: 'armlock',
  finish: { kind: 'reset', how: 'edge', restart: { position: 'turtle', role: 'bottom' } },
  wanted: 'frames',
  controls: [hold],
  reactions: [
    { id: 'r', what: 'frames', isAction: false, ...BARE_REACTION, deciding: true },
    { id: 's', what: 'triangle', isAction: true, ...BARE_REACTION },
  ],
  reasons: [{ id: 'w', reason: 'too-far', main: true }],
  errors: [
    { id: 'e', by: 'subject', cause: 'given away', what: null, until: instant },
    { id: 'm', by: 'opponent', cause: 'brought about', what: 'too-late', until: null },
  ],
  answers: [{ id: 'n', from: { position: 'guard', role: 'bottom' }, action: 'sweep', reaction: 'posts' }],
};

describe('rows', () => {
  test('when an attempt is told, every word that it says should be found where it stands, with its kind, and roles with their position', () => {
    const found = wordsSaid(KEPT.attempt, attempt).map(({ kind, key, path, role }) => [path, kind, key, role ?? '']);
    expect(found.sort()).toEqual(
      [
        ['state.position', 'position', 'mount', ''],
        ['state.role', 'position', 'mount', 'top'],
        ['action', 'action', 'armlock', ''],
        ['finish.restart.position', 'position', 'turtle', ''],
        ['finish.restart.role', 'position', 'turtle', 'bottom'],
        ['wanted', 'reaction', 'frames', ''],
        ['controls.0.target', 'target', 'collar', ''],
        ['reactions.0.what', 'reaction', 'frames', ''],
        ['reactions.1.what', 'action', 'triangle', ''],
        ['reasons.0.reason', 'reason', 'too-far', ''],
        ['errors.1.what', 'reason', 'too-late', ''],
        ['answers.0.from.position', 'position', 'guard', ''],
        ['answers.0.from.role', 'position', 'guard', 'bottom'],
        ['answers.0.action', 'action', 'sweep', ''],
        ['answers.0.reaction', 'reaction', 'posts', ''],
      ].sort(),
    );
    const ends = (finish: Attempt['finish']): unknown =>
      wordsSaid(KEPT.attempt, { finish }).map(({ kind, key, path }) => [path, kind, key]);
    expect(ends({ kind: 'submission', submission: 'rear-choke', won: true })).toEqual([
      ['finish.submission', 'submission', 'rear-choke'],
    ]);
    const step = { id: 's', from: 'mount/top', action: 'armlock', to: 'won:armlock', clipId: null, cue: '', note: '' };
    expect(
      wordsSaid(KEPT.route, { steps: [step, { ...step, to: 'reset:edge' }] }).map((w) => [w.path, w.kind, w.key]),
    ).toEqual([
      ['steps.0.from', 'position', 'mount'],
      ['steps.0.action', 'action', 'armlock'],
      ['steps.0.to', 'submission', 'armlock'],
      ['steps.1.from', 'position', 'mount'],
      ['steps.1.action', 'action', 'armlock'],
    ]);
    expect(wordedFields(KEPT.clip)).toEqual([]);
    expect(wordedFields(KEPT.moment)).toEqual(['state']);
  });

  test('when instants lie in a row, each should be reached, however deep, and all else stay as it is', () => {
    const moved = overFields(KEPT.attempt, attempt, ({ told, value }) =>
      told.is === 'instant' ? { frame: 1, pts: 2 } : value,
    );
    const one = { frame: 1, pts: 2 };
    expect(moved).toEqual({
      ...attempt,
      ...{ start: one, end: one, controls: [{ ...hold, gained: one }] },
      errors: [{ ...attempt.errors[0], until: one }, attempt.errors[1]],
    });
    expect([sentName(ATTEMPT, 'start'), sentName(ATTEMPT, 'state'), sentName(CLIP, 'in')]).toEqual([
      'startFrame',
      'state',
      'inFrame',
    ]);
  });

  test('when nobody says anything, what stands should be whole: only what must be said is missing', () => {
    const missing = (fields: object, bareRow: object): readonly string[] =>
      Object.keys(fields).filter((f) => !(f in bareRow));
    expect(missing(ATTEMPT, BARE_ATTEMPT)).toEqual(['footageId', 'angleId', 'subject', 'start', 'end']);
    expect(missing(CLIP, BARE_CLIP)).toEqual(['attemptId', 'angleId', 'in', 'out']);
    const clip: Omit<Clip, 'id' | 'version'> = {
      ...BARE_CLIP,
      attemptId: 'a',
      angleId: 'g',
      in: instant,
      out: instant,
    };
    expect(clip.note).toBe('');
    // a row without a value that must be said
    expect('bare' in fixed(ID)).toBe(false);
  });

  test('when a word is kept whole and told again, it should be what it was', () => {
    const change: WordChange = {
      ...{ id: 'w', version: 2, kind: 'reaction', key: 'walks-off', name: 'walks off' },
      definition: { kind: 'reaction' },
      scope: { kind: 'coach', accountId: 'c' },
      aliases: [
        { id: 'b', alias: 'ambles', scope: { kind: 'academy' } },
        { id: 'a', alias: 'strolls', scope: { kind: 'academy' }, language: 'en' },
      ],
    };
    expect(asWordChange(asKeptWord(change))).toEqual(change);
    const bareChange: WordChange = { id: 'w', version: 1, kind: 'action', key: 'armlock' };
    expect(asWordChange(asKeptWord(bareChange))).toEqual(bareChange);
  });
});
