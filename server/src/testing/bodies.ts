import { v7 as newId } from 'uuid';
import { clipRequest } from './requests.js';
import { COACH } from './testApp.js';

export const ROUTE_STEP = {
  from: 'turtle/top',
  action: 'back-take',
  to: 'back/attacker',
  clipId: null,
  cue: '',
  note: '',
};
export const WORD = {
  kind: 'reaction',
  key: 'own-walk',
  name: 'walks off',
  hidden: false,
  definition: { kind: 'reaction' },
  scope: { kind: 'academy' },
};
/** Both arms inside is required of who passes out of half guard. */
export const PRINCIPLE = {
  scope: { state: { position: 'half-guard', role: 'top' }, does: 'pass', action: null, reaction: null, hold: null },
  strength: 'required',
  sentence: 'Both arms inside before you pass.',
  pattern: { kind: 'fact', fact: 'arms-inside', value: 'both', whose: 'subject', side: null, when: null },
};
export const PLAN = {
  name: 'a map from elsewhere',
  lines: [{ from: 'closed-guard/bottom', action: 'hip-bump', bait: false, to: 'mount/top' }],
};
export const TODO = { kind: 'try', text: 'The pass with both arms inside', opened: '2026-03-01' };
export const drawingRequest = (angleId: string) => ({
  ...{ editId: newId(), id: newId(), angleId, fromFrame: 10, toFrame: 20 },
  shapes: [
    {
      ...{ id: newId(), kind: 'angle', whose: 'a', text: '', order: null },
      points: [
        { x: 0.2, y: 0.5 },
        { x: 0.5, y: 0.5 },
        { x: 0.5, y: 0.2 },
      ],
    },
  ],
});
export const LEAD_VIEW = {
  ...{ angleId: newId(), frame: 1, playing: false, speed: 1, backwards: false, loop: { inFrame: 1, outFrame: 9 } },
  ...{ isMirrored: false, hasDrawings: true, pointer: { x: 0.5, y: 0.5 } },
};
const FOOTAGE = { title: 't', setting: 'training', logged: 'picked', live: true, gi: true, counted: true };
const athlete = (name: string) => ({ id: newId(), name });

/** A body for every route that takes one; each is right by itself. */
export const EXAMPLES: Readonly<Record<string, () => Record<string, unknown>>> = {
  'POST /api/sign-in': () => ({ email: 'nobody@room.example', password: 'x' }),
  'POST /api/academies': () => ({
    academyId: newId(),
    academyName: 'A room',
    timeZone: 'UTC',
    name: 'Somebody',
    email: COACH.email,
    password: 'not the right one',
    invitation: null,
  }),
  'POST /api/founding': () => ({ invitation: null }),
  'POST /api/password-resets': () => ({ email: 'nobody@room.example' }),
  'POST /api/password': () => ({ token: 'spent', password: 'a password of ten' }),
  'POST /api/me/academy': () => ({ academyId: newId() }),
  'POST /api/invitations': () => ({ id: newId(), email: COACH.email, role: 'coach' }),
  'POST /api/invitation': () => ({ token: 'spent' }),
  'POST /api/invitation/accept': () => ({ token: 'spent', name: 'Somebody', password: 'a password of ten' }),
  'PATCH /api/members/{accountId}': () => ({ role: 'coach' }),
  'POST /api/persons': () => ({
    editId: newId(),
    id: newId(),
    name: 'Somebody',
    athlete: true,
    member: false,
    accountId: null,
    level: null,
    age: null,
    filming: null,
    shownTo: null,
  }),
  'PATCH /api/persons/{id}': () => ({
    editId: newId(),
    baseVersion: 1,
    changes: { name: 'Somebody', shownTo: 'academy' },
  }),
  'DELETE /api/persons/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/undo': () => ({ editId: newId() }),
  'POST /api/bin/restore': () => ({ editId: newId(), kind: 'clip', id: newId() }),
  'POST /api/footage': () => ({
    editId: newId(),
    id: newId(),
    angleId: newId(),
    fileId: newId(),
    athleteA: athlete('A'),
    athleteB: athlete('B'),
    ...FOOTAGE,
    date: null,
    kitA: '',
    kitB: '',
  }),
  'POST /api/footage/{id}/angles': () => ({
    editId: newId(),
    id: newId(),
    fileId: newId(),
    offsetMs: 0,
    rate: 1,
    kind: 'live',
    fromFrame: null,
    toFrame: null,
  }),
  'PATCH /api/angles/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { offsetMs: 10, rate: 1 } }),
  'DELETE /api/angles/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'PUT /api/files/{id}/captions': () => ({ text: '00:01.000 --> 00:02.000\nwords' }),
  'PATCH /api/files/{id}': () => ({ editId: newId(), track: 0 }),
  'POST /api/cuts': () => ({ id: newId(), clipIds: [newId()], format: 'mp4' }),
  'POST /api/uploads/{id}/done': () => ({ sha256: '0'.repeat(64) }),
  'PATCH /api/footage/{id}': () => ({
    editId: newId(),
    baseVersion: 1,
    changes: { ...FOOTAGE, athleteA: athlete('A') },
  }),
  'DELETE /api/footage/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/clips': () => clipRequest(newId()),
  'POST /api/attempts/{id}/looks': () => ({ editId: newId(), clip: clipRequest(newId()).clip }),
  'POST /api/clips/many': () => {
    const { editId, ...clip } = clipRequest(newId());
    return { editId, clips: [clip] };
  },
  'PATCH /api/attempts/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { depth: 2, action: 'armlock' } }),
  'PATCH /api/clips/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { note: 'x', inFrame: 1 } }),
  'DELETE /api/clips/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'PUT /api/words': () => ({ editId: newId(), id: newId(), baseVersion: null, aliases: [], ...WORD }),
  'POST /api/words/aliases': () => ({
    editId: newId(),
    lines: [{ kind: 'position', key: 'mount', aliasId: newId(), changeId: newId(), alias: 'x' }],
  }),
  'DELETE /api/words/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/redo': () => ({ editId: newId() }),
  'POST /api/moments': () => ({
    editId: newId(),
    id: newId(),
    angleId: newId(),
    atFrame: 1,
    pressedFrame: 2,
    speed: 1,
  }),
  'PATCH /api/moments/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { note: 'n' } }),
  'DELETE /api/moments/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/principles': () => ({ editId: newId(), id: newId(), ...PRINCIPLE }),
  'PATCH /api/principles/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { sentence: 's' } }),
  'DELETE /api/principles/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/collections': () => ({ editId: newId(), id: newId(), name: 'for Tuesday' }),
  'PATCH /api/collections/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { name: 'for Thursday' } }),
  'DELETE /api/collections/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/policies': () => ({ editId: newId(), id: newId(), school: 'hold back' }),
  'PATCH /api/policies/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { school: 'early, controlled' } }),
  'POST /api/plans': () => ({ editId: newId(), id: newId(), ...PLAN }),
  'PATCH /api/plans/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { name: 'the long way' } }),
  'DELETE /api/plans/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/todos': () => ({ editId: newId(), id: newId(), ...TODO }),
  'PATCH /api/todos/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { text: 't', status: 'done' } }),
  'DELETE /api/todos/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/drawings': () => drawingRequest(newId()),
  'PATCH /api/drawings/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { holdMs: 500 } }),
  'DELETE /api/drawings/{id}': () => ({ editId: newId(), baseVersion: 1 }),
  'POST /api/follow/view': () => ({ clientId: newId(), view: LEAD_VIEW }),
  'POST /api/follow/wheel': () => ({ clientId: newId(), does: 'take', to: null }),
  'POST /api/routes': () => ({ editId: newId(), id: newId(), name: 'r', steps: [{ id: newId(), ...ROUTE_STEP }] }),
  'PATCH /api/routes/{id}': () => ({ editId: newId(), baseVersion: 1, changes: { name: 'r' } }),
  'DELETE /api/routes/{id}': () => ({ editId: newId(), baseVersion: 1 }),
};
