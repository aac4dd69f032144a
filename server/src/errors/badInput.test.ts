import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as newId } from 'uuid';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { clipRequest, libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, TestApp, type Client } from '../testing/testApp.js';

describe('bad input', () => {
  let app: TestApp, coach: Client, angleId: string;
  let before: string;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
    ({ angleId } = await newPiece(coach));
    before = JSON.stringify(await libraryOf(coach));
  });
  afterAll(() => app.stop());

  const fieldsOf = (body: unknown): string[] =>
    (body as { facts: { fields: { field: string }[] } }).facts.fields.map((f) => f.field);

  test.each([
    ['out before in', { clip: { inFrame: 40, outFrame: 10 } }, 'clip.outFrame'],
    ['out behind the end', { clip: { outFrame: 9999 } }, 'clip.outFrame'],
    ['an unknown position', { attempt: { state: { position: 'floating', role: 'top' } } }, 'attempt.state.position'],
    [
      'a role the position does not have',
      { attempt: { state: { position: 'standing', role: 'top' } } },
      'attempt.state.role',
    ],
    ['an unknown entry', { attempt: { action: 'teleport' } }, 'attempt.action'],
    [
      'an unknown target',
      {
        attempt: {
          controls: [
            {
              id: newId(),
              holder: 'subject',
              limb: 'hand',
              limbSide: null,
              kind: 'grip',
              target: 'tail',
              targetOwner: 'other',
              targetSide: null,
              reach: null,
              cloth: false,
              gained: null,
              lost: null,
            },
          ],
        },
      },
      'attempt.controls.0.target',
    ],
    ['a note of 10,000 characters', { clip: { note: 'x'.repeat(10_000) } }, 'clip.note'],
    ['a commit before the start', { attempt: { commitFrame: 3 } }, 'attempt.commitFrame'],
    ['an end before the start', { attempt: { startFrame: 30, endFrame: 20 } }, 'attempt.startFrame'],
    ['a field nobody knows', { attempt: { version: 7 } }, 'attempt.version'],
  ])('when a clip has %s, the field should be named and nothing saved', async (_, more, field) => {
    const { status, body } = await coach.ask('POST', '/api/clips', clipRequest(angleId, more));
    expect(status).toBe(400);
    expect(fieldsOf(body)).toContain(field);
    expect(JSON.stringify(await libraryOf(coach))).toBe(before);
  });

  test('when the body is no JSON, too long or nothing, it should be refused as such', async () => {
    for (const body of ['{"editId":', '[]', 'null', `"${'x'.repeat(700_000)}"`]) {
      const answer = await coach.ask('POST', '/api/clips', body);
      expect([answer.status, (answer.body as { code: string }).code]).toEqual([400, 'invalid']);
    }
    expect((await coach.ask('POST', '/api/clips')).status).toBe(400);
  });

  test('when a note holds HTML, it should be kept as the text it is', async () => {
    const note = '<img src=x onerror="alert(1)"> & "quotes"';
    const { clip } = await newClip(coach, angleId, { clip: { note } });
    const kept = (await libraryOf(coach)).clips.find((c) => c.id === clip.id)!;
    expect(kept.note).toBe(note);
    await coach.ask('DELETE', `/api/clips/${clip.id}`, { editId: newId(), baseVersion: 1 });
  });

  test('when footage has one person on both sides, it should be refused, and no person made', async () => {
    const id = newId();
    const fileId = (await libraryOf(coach)).files[0]!.id;
    const request = {
      editId: newId(),
      id: newId(),
      angleId: newId(),
      fileId,
      athleteA: { id, name: 'Only One' },
      athleteB: { id, name: 'Only One' },
      title: 't',
      setting: 'training',
      gi: true,
    };
    const { status, body } = await coach.ask('POST', '/api/footage', request);
    expect([status, fieldsOf(body)]).toEqual([400, ['athleteB']]);
    expect(await app.app.get<Models>(MODELS).person.count({ where: { id } })).toBe(0);
  });

  test('when an address is not there, JSON should say so under /api; elsewhere it is the application', async () => {
    expect(await coach.ask('GET', '/api/nope')).toMatchObject({ status: 404, body: { code: 'not-found' } });
    expect((await coach.ask('GET', '/map')).body).toContain('<title>Odograph</title>');
    expect((await coach.ask('GET', '/assets/gone.js')).status).toBe(404);
  });

  test('when all goes well, health should name database and version', async () => {
    expect(await app.client().ask('GET', '/api/health')).toMatchObject({
      status: 200,
      body: { status: 'ok', database: 'ok', version: 'test' },
    });
  });
});
