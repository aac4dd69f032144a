import { BARE_ROUTE, BARE_STEP, type RouteBranch, type RouteStep } from '../teaching/index.js';
import { describe, expect, test } from '@jest/globals';
import type { Angle, MediaFile } from '../footage/index.js';
import { BARE_ALTERNATIVE, type Clip, type Teller } from '../attempts/index.js';
import type { Person } from '../people/index.js';
import type { Principle } from '../principles/index.js';
import { BARE_DRAWING, BARE_PRINCIPLE, BARE_TODO } from '../rows/index.js';
import { FOOTAGE, LOGGED } from '../testing/workedExamples.js';
import { NO_ROWS, forMembers, type Library } from './index.js';

const clip = (id: string, angleId: string, note = ''): Clip =>
  ({ id, angleId, note, keyMoments: [] as Clip['keyMoments'] }) as Clip;

const person = (id: string, shownTo: Person['shownTo']): Person => ({
  id,
  version: 1,
  name: id,
  athlete: true,
  member: true,
  accountId: 'account',
  level: 'blue',
  age: 'minor',
  filming: true,
  shownTo,
});
const [open, closed] = Object.values(FOOTAGE).slice(0, 2);
const angle = (id: string, footageId: string): Angle => ({ id, footageId, fileId: `file ${id}` }) as Angle;
const library: Library = {
  format: 'odograph-library',
  formatVersion: 1,
  ...NO_ROWS,
  academy: { id: 'x', name: 'x', timeZone: 'UTC' },
  wordChanges: [],
  persons: [
    person('shown', 'academy'),
    person('anyone', 'anyone'),
    person('coaches', 'coaches'),
    person('unsaid', null),
  ],
  files: [{ id: 'file one', name: '' } as MediaFile, { id: 'file two', name: '' } as MediaFile],
  footage: [
    { ...open!, athleteA: 'shown', athleteB: 'anyone' },
    { ...closed!, athleteA: 'shown', athleteB: 'unsaid' },
  ],
  angles: [angle('one', open!.id), angle('two', closed!.id)],
  attempts: LOGGED.map((l) => l.attempt),
  clips: [clip('c1', 'one'), clip('c2', 'two')],
  routes: [
    {
      id: 'r',
      version: 1,
      name: 'r',
      steps: [{ ...BARE_STEP, id: 's', from: 'a', action: 'b', to: 'c', clipId: 'c2', cue: 'keep' }],
      ...BARE_ROUTE,
    },
  ],
};

/** Somebody who may be shown, somebody who may not, and a coach. */
const TELLERS: readonly Teller[] = [
  { kind: 'person', personId: 'shown' },
  { kind: 'person', personId: 'p' },
  { kind: 'account', accountId: 'account' },
];

describe('what members see who are no coaches', () => {
  const seen = forMembers(library);

  test('when one of two athletes may not be shown to them, nothing of that footage should be there', () => {
    expect(seen.footage.map((f) => f.id)).toEqual([open!.id]);
    expect(seen.attempts.every((a) => a.footageId === open!.id)).toBe(true);
    expect([seen.clips.map((c) => c.id), seen.files.map((f) => f.id)]).toEqual([['c1'], ['file one']]);
  });

  test('when people are on it, only their names should be known', () => {
    expect(seen.persons.map((p) => p.id)).toEqual(['shown', 'anyone']);
    for (const p of seen.persons) expect([p.level, p.age, p.filming, p.accountId]).toEqual([null, null, null, null]);
  });

  test('when a route shows such a clip, the step should stay without it', () => {
    expect(seen.routes[0]!.steps[0]).toMatchObject({ clipId: null, cue: 'keep' });
  });

  test('when a text names somebody who may not be shown, the name should be gone from routes, cues, notes, and what is told of an attempt', () => {
    const step: RouteStep = {
      ...BARE_STEP,
      ...{ id: 's', from: 'a', action: 'b', to: 'c', cue: 'like Unsaid Somebody', note: 'for the coach' },
      ...{ cues: [{ text: 'Somebody again', weight: 'usual' }], clips: [{ role: 'slow', clipId: 'c2' }] },
      ...{ mistake: 'Unsaid', checks: ['Somebody low'], question: 'Unsaid?' },
    };
    const on: RouteBranch = { id: 'k', from: 's', joins: 's', on: { kind: 'choice', text: 'as Unsaid' } };
    const told: Library = {
      ...library,
      persons: [...library.persons, { ...person('p', null), name: 'Unsaid Somebody' }],
      clips: [
        { ...clip('c1', 'one', 'watch Unsaid'), keyMoments: [{ name: 'Unsaid turns', at: { frame: 1, pts: 1 } }] },
      ],
      routes: [{ id: 'r', version: 1, name: 'The Somebody route', steps: [step], ...BARE_ROUTE, branches: [on] }],
      attempts: library.attempts.map((a) => ({
        ...a,
        form: 'as Somebody does',
        runName: 'Somebody’s three',
        alternatives: [
          { ...BARE_ALTERNATIVE, id: 'x', by: 'opponent', what: 'frames', isAction: false, text: 'Unsaid saw it' },
        ],
        evidence: TELLERS.map((by, i) => ({ part: `control:${i}`, how: 'told', proof: null, by })),
        doubts: [{ field: 'action', kind: 'unknown', text: 'the Unsaid roll', at: a.start }],
      })),
    };
    const { routes, clips, attempts } = forMembers(told);
    expect(attempts[0]).toMatchObject({
      form: 'as … does',
      runName: '…’s three',
      alternatives: [{ text: '… saw it' }],
      evidence: [{ by: TELLERS[0] }, { by: null }, { by: null }],
      doubts: [{ text: 'the … roll' }],
    });
    expect(routes[0]).toMatchObject({
      name: 'The … route',
      steps: [{ cue: 'like …' }],
      branches: [{ on: { text: 'as …' } }],
    });
    const spoken = { cues: [{ text: '… again' }], clips: [], mistake: '…', checks: ['… low'], question: '…?' };
    // a note is for whoever teaches
    expect(routes[0]!.steps[0]).toMatchObject({ ...spoken, note: '' });
    expect(clips[0]!.note).toBe('watch …');
  });

  test('when lists, principles and drawings are kept, only whose idea something was should be told of lists, and of nobody who may not be shown', () => {
    const todo = { ...BARE_TODO, version: 1, text: 'as Somebody says', opened: '2026-03-01', by: 'Unsaid' };
    const principle: Omit<Principle, 'id'> = {
      ...{ ...BARE_PRINCIPLE, version: 1, strength: 'usual', sentence: 'like Unsaid', clipsFor: ['c1', 'c2'] },
      scope: { state: null, does: null, action: 'armlock', reaction: null, hold: null },
    };
    const drawing = { ...BARE_DRAWING, version: 1, footageId: open!.id, from: LOGGED[0]!.attempt.start };
    const label = {
      id: 's',
      kind: 'label',
      points: [{ x: 0, y: 0 }],
      whose: null,
      text: 'Somebody',
      order: null,
    } as const;
    const seen = forMembers({
      ...library,
      persons: [...library.persons, { ...person('p', null), name: 'Unsaid Somebody' }],
      todos: [
        { ...todo, id: 'try', kind: 'try' },
        { ...todo, id: 'private', kind: 'credit' },
        { ...todo, id: 'told', kind: 'credit', isShared: true, clipIds: ['c1', 'c2'] },
        { ...todo, id: 'hidden', kind: 'credit', isShared: true, personIds: ['p'] },
      ],
      principles: [
        { ...principle, id: 'all' },
        { ...principle, id: 'theirs', strength: 'habit', habitOf: 'p' },
        { ...principle, id: 'view', view: { kind: 'person', personId: 'p' } },
      ],
      collections: [
        {
          id: 'k',
          version: 1,
          name: 'for Somebody',
          clipIds: ['c2', 'c1'],
          filter: [{ facet: 'text', value: 'Unsaid' }],
        },
      ],
      drawings: [
        { ...drawing, id: 'd', angleId: 'one', to: drawing.from, shapes: [label] },
        { ...drawing, id: 'e', angleId: 'two', to: drawing.from },
      ],
    });
    expect(seen.todos).toMatchObject([{ id: 'told', text: 'as … says', by: '…', clipIds: ['c1'] }]);
    expect(seen.principles).toMatchObject([{ id: 'all', sentence: 'like …', clipsFor: ['c1'] }]);
    expect(seen.collections).toMatchObject([{ name: 'for …', clipIds: ['c1'], filter: [{ value: '…' }] }]);
    expect(seen.drawings).toMatchObject([{ id: 'd', shapes: [{ text: '…' }] }]);
  });

  test('when a file also shows footage they may not see, nothing that lies in that file should be there', () => {
    const shared = [angle('one', open!.id), { ...angle('two', closed!.id), fileId: 'file one' }];
    expect(forMembers({ ...library, angles: shared })).toMatchObject({ files: [], angles: [], footage: [], clips: [] });
    // another camera of the footage that may be seen lies in a file of its own
    const further = { ...angle('three', open!.id), fileId: 'file two' };
    const both = forMembers({ ...library, angles: [...shared, further] });
    expect([both.angles.map((a) => a.id), both.files.map((f) => f.id)]).toEqual([['three'], ['file two']]);
    expect(both.footage.map((f) => f.id)).toEqual([open!.id]);
  });
});
