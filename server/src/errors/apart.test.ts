import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as newId } from 'uuid';
import { libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, OTHER_COACH, TestApp, demoVideo, type Client } from '../testing/testApp.js';

describe('academies apart', () => {
  let app: TestApp, ours: Client, theirs: Client;
  let foreign: { file: string; footage: string; angle: string; attempt: string; clip: string; person: string };
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    [ours, theirs] = [await app.signedIn(COACH), await app.signedIn(OTHER_COACH)];
    const { file, footage, angleId } = await newPiece(theirs);
    const { attempt, clip } = await newClip(theirs, angleId);
    foreign = {
      file: file.id,
      footage: footage.id,
      angle: angleId,
      attempt: attempt.id,
      clip: clip.id,
      person: footage.athleteA,
    };
  });
  afterAll(() => app.stop());

  /** Every route that takes an id, asked once with an id of the other academy and once with one that nobody has. */
  const routes: readonly (readonly [
    name: string,
    ask: (client: Client, ids: typeof foreign) => Promise<{ status: number; body: unknown }>,
  ])[] = [
    ['the media', (c, ids) => c.ask('GET', `/api/files/${ids.file}/media`)],
    ['the times', (c, ids) => c.ask('GET', `/api/files/${ids.file}/times`)],
    ['a still', (c, ids) => c.ask('GET', `/api/files/${ids.file}/stills/3.jpg`)],
    [
      'footage over the file',
      (c, ids) =>
        c.ask('POST', '/api/footage', {
          editId: newId(),
          id: newId(),
          angleId: newId(),
          fileId: ids.file,
          athleteA: { id: newId(), name: 'A' },
          athleteB: { id: newId(), name: 'B' },
          title: 't',
          setting: 'training',
          gi: true,
        }),
    ],
    [
      'an edit of the footage',
      (c, ids) =>
        c.ask('PATCH', `/api/footage/${ids.footage}`, { editId: newId(), baseVersion: 1, changes: { title: 'mine' } }),
    ],
    [
      'a clip on the angle',
      (c, ids) =>
        c.ask('POST', '/api/clips', {
          editId: newId(),
          attempt: { id: newId(), subject: 'a' },
          clip: { id: newId(), angleId: ids.angle, inFrame: 1, outFrame: 5 },
        }),
    ],
    [
      'an edit of the attempt',
      (c, ids) =>
        c.ask('PATCH', `/api/attempts/${ids.attempt}`, {
          editId: newId(),
          baseVersion: 1,
          changes: { action: 'armlock' },
        }),
    ],
    [
      'an edit of the clip',
      (c, ids) =>
        c.ask('PATCH', `/api/clips/${ids.clip}`, { editId: newId(), baseVersion: 1, changes: { note: 'mine' } }),
    ],
    ['the bin', (c, ids) => c.ask('DELETE', `/api/clips/${ids.clip}`, { editId: newId(), baseVersion: 1 })],
  ];

  test.each(routes)(
    'when %s of the other academy is asked for, the answer should be that of an id that nobody has',
    async (_, ask) => {
      const nobodys = {
        file: newId(),
        footage: newId(),
        angle: newId(),
        attempt: newId(),
        clip: newId(),
        person: newId(),
      };
      const [found, missing] = [await ask(ours, foreign), await ask(ours, nobodys)];
      expect(missing).toMatchObject({ status: 404, body: { code: 'not-found' } });
      expect([found.status, found.body]).toEqual([missing.status, missing.body]);
    },
  );

  test('when a person of the other academy is named as athlete, a person of our own should be made, with our name', async () => {
    const fileId = (await newPiece(ours)).file.id;
    await ours.ask('POST', '/api/footage', {
      editId: newId(),
      id: newId(),
      angleId: newId(),
      fileId,
      athleteA: { id: foreign.person, name: 'Ours' },
      athleteB: { id: newId(), name: 'B' },
      title: 't',
      setting: 'training',
      gi: true,
    });
    expect((await libraryOf(ours)).persons.find((p) => p.id === foreign.person)!.name).toBe('Ours');
    expect((await libraryOf(theirs)).persons.find((p) => p.id === foreign.person)!.name).toBe('Orla Venn');
  });

  test('when an edit id or a file id of the other academy is used again, it should be ours alone', async () => {
    const { angleId } = await newPiece(ours);
    const editId = newId();
    const clip = (client: Client, angle: string) =>
      client.ask('POST', '/api/clips', {
        editId,
        attempt: { id: newId(), subject: 'a' },
        clip: { id: newId(), angleId: angle, inFrame: 1, outFrame: 5 },
      });
    expect((await clip(theirs, foreign.angle)).status).toBe(200);
    expect((await clip(ours, angleId)).status).toBe(200);
    const again = await ours.put(`/api/files/${foreign.file}?name=x.mp4`, await demoVideo('thursday-round'));
    expect(again).toMatchObject({ status: 200, body: { name: 'x.mp4', frames: 712 } });
    expect((await libraryOf(theirs)).files.find((f) => f.id === foreign.file)!.frames).toBe(1084);
  });

  test('when libraries are read and exported, each should hold its own only', async () => {
    for (const path of ['/api/library', '/api/export/library.json', '/api/export/map.graphml'])
      expect(JSON.stringify((await ours.ask('GET', path)).body)).not.toContain(foreign.attempt);
    expect((await libraryOf(theirs)).academy.name).toBe('Tidegate Academy');
  });
});
