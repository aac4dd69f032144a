import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { wordsOf, type WordChange } from '@odograph/core';
import { v7 as newId } from 'uuid';
import { clipRequest, libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, OTHER_COACH, TestApp, type Client } from '../testing/testApp.js';

const EVERYBODY = { kind: 'academy' } as const;
const wordEdit = (more: object = {}) => ({
  editId: newId(),
  id: newId(),
  baseVersion: null,
  kind: 'position',
  key: 'mount',
  name: null,
  hidden: false,
  aliases: [] as object[],
  definition: null,
  scope: EVERYBODY,
  ...more,
});
const ladder = (more: object = {}) =>
  wordEdit({
    key: 'own-ladder-guard',
    name: 'ladder guard',
    definition: { kind: 'position', family: 'open guard', roles: ['bottom', 'top'], height: 0.5 },
    ...more,
  });

describe("an academy's own words", () => {
  let app: TestApp, coach: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());
  const put = (body: object) => coach.ask('PUT', '/api/words', body);
  const changeOf = async (key: string): Promise<WordChange | undefined> =>
    (await libraryOf(coach)).wordChanges.find((c) => c.key === key);
  const words = async () => wordsOf(await libraryOf(coach));

  /** An own word stays as long as a clip says it, and goes after it; gives its id. */
  const goesAfter = async (clipId: string, key: string): Promise<string> => {
    const { id, version } = (await changeOf(key))!;
    const remove = () => coach.ask('DELETE', `/api/words/${id}`, { editId: newId(), baseVersion: version });
    expect(await remove()).toMatchObject({
      status: 409,
      body: { code: 'in-use', facts: { by: 'attempts', count: 1 } },
    });
    await coach.ask('DELETE', `/api/clips/${clipId}`, { editId: newId(), baseVersion: 1 });
    expect((await remove()).status).toBe(200);
    return id;
  };

  test('when a word is renamed and gets aliases, all of it should be kept, changed and undone', async () => {
    const alias = { id: newId(), alias: 'perch', scope: EVERYBODY };
    const first = wordEdit({ name: 'high mount', aliases: [alias] });
    expect((await put(first)).body).toMatchObject({ wordChanges: [{ key: 'mount', name: 'high mount' }] });
    expect((await words()).position('mount')!.aliases).toEqual(expect.arrayContaining(['perch', 'mount']));
    const { version } = (await changeOf('mount'))!;
    await put({ ...first, editId: newId(), baseVersion: version, name: null, aliases: [] });
    expect((await words()).position('mount')).toMatchObject({ name: 'mount' });
    expect((await words()).position('mount')!.aliases).not.toContain('perch');
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect((await words()).position('mount')!.aliases).toContain('perch');
  });

  test('when two say something else of one word, the second should be told', async () => {
    const one = wordEdit({ key: 'turtle', name: 'shell' });
    await put(one);
    await put({ ...one, editId: newId(), baseVersion: 1, name: 'tortoise' });
    const late = await put({ ...one, editId: newId(), baseVersion: 1, name: 'ball' });
    expect(late).toMatchObject({ status: 409, body: { code: 'stale', facts: { fields: [{ theirs: 'tortoise' }] } } });
  });

  test('when two add other names to one word at once, neither should be lost in silence', async () => {
    const one = wordEdit({ key: 'north-south' });
    await put(one);
    const alias = (name: string) => ({ id: newId(), alias: name, scope: EVERYBODY });
    await put({ ...one, editId: newId(), baseVersion: 1, aliases: [alias('upside down')] });
    const late = await put({ ...one, editId: newId(), baseVersion: 1, aliases: [alias('head to head')] });
    expect(late).toMatchObject({ status: 409, body: { code: 'stale', facts: { fields: [{ field: 'aliases' }] } } });
    expect((await words()).position('north-south')!.aliases).toContain('upside down');
  });

  test('when a word was put back to how it ships, a name from a list should not bring the old ones back', async () => {
    const alias = { id: newId(), alias: 'seat', scope: EVERYBODY };
    await put(wordEdit({ key: 'knee-on-belly', name: 'the perch', aliases: [alias] }));
    const { id, version } = (await changeOf('knee-on-belly'))!;
    await coach.ask('DELETE', `/api/words/${id}`, { editId: newId(), baseVersion: version });
    const line = { kind: 'position', key: 'knee-on-belly', aliasId: newId(), changeId: newId(), alias: 'joelho' };
    await coach.ask('POST', '/api/words/aliases', { editId: newId(), lines: [line] });
    const word = (await words()).position('knee-on-belly')!;
    expect(word.name).toBe('knee on belly');
    expect(word.aliases).toContain('joelho');
    expect(word.aliases).not.toContain('seat');
    expect(word.aliases).not.toContain('the perch');
  });

  test('when a word is added, clips should be able to say it, and it cannot go while one does', async () => {
    expect((await put(ladder())).status).toBe(200);
    const { angleId } = await newPiece(coach);
    const state = { position: 'own-ladder-guard', role: 'bottom' };
    const { clip } = await newClip(coach, angleId, { attempt: { state } });
    const id = await goesAfter(clip.id, 'own-ladder-guard');
    expect((await words()).position('own-ladder-guard')).toBeUndefined();
    const gone = await coach.ask('POST', '/api/clips', clipRequest(angleId, { attempt: { state } }));
    expect(gone.status).toBe(400);
    await coach.ask('POST', '/api/bin/restore', { editId: newId(), kind: 'word', id });
    expect((await words()).position('own-ladder-guard')).toMatchObject({ name: 'ladder guard' });
  });

  test('when an own submission is tried, clips should be able to say so, and it cannot go while one does', async () => {
    const clamp = wordEdit({
      ...{ kind: 'submission', key: 'own-clamp', name: 'harbour clamp' },
      definition: {
        kind: 'submission',
        risk: { injures: 'elbow', class: 'joint lock', pain: 'warns', care: 'Slowly.' },
      },
    });
    expect((await put(clamp)).status).toBe(200);
    const { angleId } = await newPiece(coach);
    const { clip } = await newClip(coach, angleId, { attempt: { action: 'try-own-clamp', result: 'failed' } });
    await goesAfter(clip.id, 'own-clamp');
  });

  test('when an own word says what it is a kind of, which side it names, what makes it and how far it comes, all of it should be kept', async () => {
    const pier = {
      ...{ kind: 'position', family: 'open guard', roles: ['bottom', 'top'], height: 0.5, parent: 'open-guard' },
      lead: { role: 'top', limb: 'leg' },
      requires: [{ holder: 'bottom', limb: 'hand', kind: 'grip', target: 'sleeve', cloth: true, bothSides: true }],
    };
    const alias = { id: newId(), alias: 'hashigo', scope: EVERYBODY, language: 'ja' };
    const place = { kind: 'position', key: 'own-pier', name: 'pier guard', aliases: [alias] };
    expect((await put(wordEdit({ ...place, definition: pier }))).status).toBe(200);
    expect((await words()).position('own-pier')).toMatchObject({
      ...{ parent: 'open-guard', lead: pier.lead, requires: pier.requires, languages: { hashigo: 'ja' } },
    });
    const sweep = {
      ...{ kind: 'action', does: 'sweep', from: ['open guard'], parent: 'sweep', dangers: ['knee'] },
      aims: [{ position: 'own-pier', role: 'top' }],
      ladder: ['no', 'rope', 'plank', 'rail', 'deck'],
    };
    await put(wordEdit({ kind: 'action', key: 'own-rope-sweep', name: 'rope sweep', definition: sweep }));
    expect((await words()).action('own-rope-sweep')).toMatchObject(sweep);
    const grips = [{ limb: 'arm', limbSide: 'left', kind: 'lock', target: 'neck' }];
    const grip = { kind: 'target', cloth: false, sided: false, grips };
    await put(wordEdit({ kind: 'target', key: 'own-rope-grip', name: 'rope grip', definition: grip }));
    expect((await words()).target('own-rope-grip')).toMatchObject({ grips });
    // what another own word stands on stays
    const { id, version } = (await changeOf('own-pier'))!;
    expect(await coach.ask('DELETE', `/api/words/${id}`, { editId: newId(), baseVersion: version })).toMatchObject({
      ...{ status: 409, body: { code: 'in-use', facts: { by: 'words', count: 1 } } },
    });
    const lines = [
      { kind: 'position', key: 'own-pier', aliasId: newId(), changeId: id, alias: 'cais', language: 'pt' },
    ];
    await coach.ask('POST', '/api/words/aliases', { editId: newId(), lines });
    expect((await words()).position('own-pier')!.languages).toEqual({ hashigo: 'ja', cais: 'pt' });
  });

  test.each([
    [{ kind: 'position', key: 'own-quay', parent: 'own-quay' }, 'definition.parent'],
    [{ kind: 'position', key: 'own-quay', parent: 'no-such' }, 'definition.parent'],
    [{ kind: 'position', key: 'own-quay', parent: 'back' }, 'definition.parent'],
    [{ kind: 'position', key: 'own-quay', lead: { role: 'attacker', limb: 'leg' } }, 'definition.lead.role'],
    [
      {
        ...{ kind: 'position', key: 'own-quay' },
        requires: [{ holder: 'top', limb: 'hand', kind: 'grip', target: 'rope', cloth: true, bothSides: true }],
      },
      'definition.requires.0.target',
    ],
    [{ kind: 'action', key: 'own-haul', ladder: ['a', 'b', 'c'] }, 'definition.ladder'],
    [{ kind: 'action', key: 'own-haul', dangers: ['sharks'] }, 'definition.dangers.0'],
    [
      { kind: 'target', key: 'own-knot', grips: [{ limb: 'arm', kind: 'lock', target: 'own-knot' }] },
      'definition.grips.0.target',
    ],
  ])(
    'when an own word says %j, that should be refused by the name of the field',
    async ({ kind, key, ...more }, field) => {
      const plain = {
        position: { family: 'open guard', roles: ['bottom', 'top'], height: 0 },
        action: { does: 'sweep', from: [], aims: [] },
        target: { cloth: false, sided: true },
      }[kind]!;
      const { status, body } = await put(
        wordEdit({ kind, key, name: 'quay', definition: { kind, ...plain, ...more } }),
      );
      expect([status, (body as { facts: { fields: { field: string }[] } }).facts.fields.map((f) => f.field)]).toEqual([
        400,
        [field],
      ]);
    },
  );

  test('when a word is taught for oneself, it should hold for that coach alone', async () => {
    const line = {
      kind: 'action',
      key: 'smash-pass',
      aliasId: newId(),
      changeId: newId(),
      alias: 'gravlock',
      forMe: true,
    };
    expect((await coach.ask('POST', '/api/words/aliases', { editId: newId(), lines: [line] })).status).toBe(200);
    const change = (await libraryOf(coach)).wordChanges.find((c) => c.key === 'smash-pass')!;
    expect(change.aliases).toMatchObject([{ alias: 'gravlock', scope: { kind: 'coach' } }]);
  });

  test.each([
    ['a definition of another kind', { definition: { kind: 'reaction' } }, 'definition.kind'],
    [
      'roles that are no pair',
      { definition: { kind: 'position', family: 'pin', roles: ['top'], height: 1 } },
      'definition.roles',
    ],
    [
      'a height out of bounds',
      { definition: { kind: 'position', family: 'pin', roles: ['even'], height: 9 } },
      'definition.height',
    ],
    ['no definition', { definition: null }, 'definition'],
    ['no name', { name: null }, 'definition'],
    ['a coach who is none', { scope: { kind: 'coach', accountId: newId() } }, 'scope'],
    ['footage that is not there', { scope: { kind: 'footage', footageId: newId() } }, 'scope'],
    ['a key that is none', { key: 'Ladder Guard' }, 'key'],
  ])('when a new word has %s, the field should be named and nothing kept', async (_, more, field) => {
    const before = JSON.stringify((await libraryOf(coach)).wordChanges);
    const { status, body } = await put(ladder({ key: 'own-another', ...more }));
    expect(status).toBe(400);
    const { fields } = (body as { facts: { fields: { field: string }[] } }).facts;
    expect(fields.map((f) => f.field)).toContain(field);
    expect(JSON.stringify((await libraryOf(coach)).wordChanges)).toBe(before);
  });

  test('when a shipped word gets a definition, it should be refused: its own is renewed with the list', async () => {
    const { status } = await put(ladder({ key: 'side-control' }));
    expect(status).toBe(400);
  });

  test('when a list of aliases comes in, each should be added once, in one edit that is undone as one', async () => {
    const line = (key: string, alias: string) => ({
      kind: 'position',
      key,
      aliasId: newId(),
      changeId: newId(),
      alias,
    });
    const lines = [line('half-guard', 'meia'), line('half-guard', 'one leg in'), line('closed-guard', 'sealed')];
    expect((await coach.ask('POST', '/api/words/aliases', { editId: newId(), lines })).status).toBe(200);
    expect((await words()).position('half-guard')!.aliases).toEqual(expect.arrayContaining(['meia', 'one leg in']));
    const again = [line('half-guard', 'one leg in')];
    await coach.ask('POST', '/api/words/aliases', { editId: newId(), lines: again });
    expect((await words()).position('half-guard')!.aliases.filter((a) => a === 'one leg in')).toHaveLength(1);
    await coach.ask('POST', '/api/undo', { editId: newId() });
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect((await words()).position('half-guard')!.aliases).not.toContain('one leg in');
    const wrong = await coach.ask('POST', '/api/words/aliases', { editId: newId(), lines: [line('nowhere', 'x')] });
    expect(wrong.status).toBe(400);
  });

  test('when another academy looks, it should have none of it, and its own word of the same key be its own', async () => {
    const other = await app.signedIn(OTHER_COACH);
    expect((await libraryOf(other)).wordChanges).toEqual([]);
    await put(ladder({ key: 'own-shared', name: 'ours' }));
    await other.ask('PUT', '/api/words', ladder({ key: 'own-shared', name: 'theirs' }));
    expect((await changeOf('own-shared'))!.name).toBe('ours');
    const { id } = (await changeOf('own-shared'))!;
    expect((await other.ask('DELETE', `/api/words/${id}`, { editId: newId(), baseVersion: 1 })).status).toBe(404);
  });
});
