import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { BARE_REACTION, type Clip, type Library } from '@odograph/core';
import type { Changed, Me, News } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { joined, linkTo, wishesAnswered } from '../testing/people.js';
import { libraryOf, newClip, newFootageOf, newPiece } from '../testing/requests.js';
import { COACH, OTHER_COACH, TestApp, type Client } from '../testing/testApp.js';

/** Versions as they come over the stream of events. */
const listening = async (client: Client) => {
  const response = await client.raw('/api/news/stream');
  const reader = response.body!.getReader() as ReadableStreamDefaultReader<Uint8Array>;
  const decoder = new TextDecoder();
  let text = '';
  return {
    response,
    next: async (): Promise<number> => {
      for (;;) {
        const found = /^data: (\d+)\n\n/m.exec(text);
        if (found) {
          text = text.slice(found.index + found[0].length);
          return Number(found[1]);
        }
        const { value, done } = await reader.read();
        if (done) throw new Error('the stream ended');
        text += decoder.decode(value, { stream: true });
      }
    },
    stop: () => reader.cancel(),
  };
};

describe('what others have changed', () => {
  let app: TestApp, coach: Client, colleague: Client, student: Client, other: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    [coach, other] = [await app.signedIn(COACH), await app.signedIn(OTHER_COACH)];
    colleague = await joined(app, coach, 'coach', 'News Coach');
    student = await joined(app, coach, 'student', 'News Student');
  });
  afterAll(() => app.stop());
  const since = async (client: Client, version?: number): Promise<News> =>
    (await client.ask('GET', `/api/news/since${version === undefined ? '' : `?version=${version}`}`)).body as News;

  test('when a colleague makes a clip, a stream should tell the new version, and the rows since the old one be that clip and its attempt', async () => {
    const { angleId } = await newPiece(coach);
    const heard = await listening(coach);
    expect(heard.response.headers.get('content-type')).toBe('text/event-stream');
    const before = await heard.next();
    expect((await since(coach)).version).toBe(before);
    const { clip, attempt } = await newClip(colleague, angleId);
    const after = await heard.next();
    expect(after).toBeGreaterThan(before);
    const news = await since(coach, before);
    expect(news).toMatchObject({ version: after, whole: false });
    expect(news.changed?.clips?.map((c: Clip) => c.id)).toEqual([clip.id]);
    expect(news.changed?.attempts?.map((a) => a.id)).toEqual([attempt.id]);
    await heard.stop();
  });

  test('when only a list of an attempt was changed, or a clip removed, both should be told', async () => {
    const { angleId } = await newPiece(coach);
    const { clip, attempt } = await newClip(coach, angleId);
    const { version } = await since(coach);
    const reaction = { id: newId(), what: 'frames', isAction: false, ...BARE_REACTION };
    await colleague.ask('PATCH', `/api/attempts/${attempt.id}`, {
      editId: newId(),
      baseVersion: 1,
      changes: { reactions: [reaction] },
    });
    expect((await since(coach, version)).changed?.attempts?.[0]?.reactions).toEqual([reaction]);
    await colleague.ask('DELETE', `/api/clips/${clip.id}`, { editId: newId(), baseVersion: 1 });
    expect((await since(coach, version)).changed?.removed).toEqual(expect.arrayContaining([clip.id, attempt.id]));
    const now = await since(coach);
    expect(await since(coach, now.version)).toEqual({ version: now.version, whole: false, changed: null });
  });

  test('when nobody of another academy is concerned, they should hear of nothing; a version that is none be refused', async () => {
    const apart = await since(other);
    const { angleId } = await newPiece(coach);
    await newClip(coach, angleId);
    expect(await since(other, apart.version)).toMatchObject({ version: apart.version, changed: null });
    expect((await coach.ask('GET', '/api/news/since?version=x')).status).toBe(400);
  });

  describe('of what students see', () => {
    const consent = async (personId: string, shownTo: string | null): Promise<void> => {
      const { persons } = await libraryOf(coach);
      const { version } = persons.find((p) => p.id === personId)!;
      await coach.ask('PATCH', `/api/persons/${personId}`, {
        editId: newId(),
        baseVersion: version,
        changes: { shownTo },
      });
    };
    const shownPiece = async () => {
      const piece = await newPiece(coach);
      for (const id of [piece.footage.athleteA, piece.footage.athleteB]) await consent(id, 'academy');
      return piece;
    };
    /** What a page has that lays in what it is told; it has to be what is read anew. */
    const followed = async (from: Library, version: number): Promise<{ told: News; library: Library }> => {
      const told = await since(student, version);
      expect(told.whole).toBe(false);
      return { told, library: told.changed ? laidIn(from, told.changed) : from };
    };
    const laidIn = (library: Library, changed: Changed): Library => {
      const gone = new Set(changed.removed);
      const laid = <T extends { readonly id: string }>(rows: readonly T[], now: readonly T[] = []): readonly T[] =>
        [...new Map([...rows, ...now].map((row) => [row.id, row])).values()]
          .filter((row) => !gone.has(row.id))
          .sort((a, b) => (a.id < b.id ? -1 : 1));
      const { persons, files, footage, angles, attempts, clips, routes } = library;
      return {
        ...library,
        persons: laid(persons, changed.persons),
        files: laid(files, changed.files),
        footage: laid(footage, changed.footage),
        angles: laid(angles, changed.angles),
        attempts: laid(attempts, changed.attempts),
        clips: laid(clips, changed.clips),
        routes: laid(routes, changed.routes),
      };
    };

    test('when a coach edits, a student should be told the rows alone; of what may not be shown, nothing', async () => {
      const [{ angleId }, hidden] = [await shownPiece(), await newPiece(coach)];
      const { version } = await since(student);
      const { clip, attempt } = await newClip(coach, angleId);
      const told = await since(student, version);
      expect(told).toMatchObject({ whole: false });
      expect(told.changed!.clips!.map((c) => c.id)).toEqual([clip.id]);
      expect(told.changed!.attempts!.map((a) => a.id)).toEqual([attempt.id]);
      expect(JSON.stringify(told).length).toBeLessThan(3000);
      const unseen = await newClip(coach, hidden.angleId, { clip: { note: 'not for students' } });
      const nothing = await since(student, told.version);
      expect(nothing).toMatchObject({ whole: false, changed: { clips: [], attempts: [] } });
      expect(JSON.stringify(nothing)).not.toContain('not for students');
      expect(nothing.changed!.removed).toContain(unseen.clip.id);
    });

    test('when consent is withdrawn and given again, all that hangs on it should disappear and appear, and nothing else move', async () => {
      const { angleId, footage } = await shownPiece();
      const { clip } = await newClip(coach, angleId);
      const step = { id: newId(), from: 'turtle/top', action: 'back-take', to: 'back/attacker', clipId: clip.id };
      const route = {
        editId: newId(),
        id: newId(),
        name: 'With Orla Venn',
        steps: [{ ...step, cue: 'as Venn does', note: '' }],
      };
      await coach.ask('POST', '/api/routes', route);
      let here = await libraryOf(student);
      let { version } = await since(student);
      expect(here.routes.find((r) => r.id === route.id)!.steps[0]).toMatchObject({ clipId: clip.id });
      for (const shownTo of ['coaches', 'academy', null, 'anyone'] as const) {
        await consent(footage.athleteA, shownTo);
        await coach.ask('PATCH', `/api/clips/${clip.id}`, { editId: newId(), baseVersion: 1, changes: {} });
        const { told, library } = await followed(here, version);
        [here, version] = [library, told.version];
        expect(here).toEqual(await libraryOf(student));
        const isShown = shownTo === 'academy' || shownTo === 'anyone';
        expect(here.clips.some((c) => c.id === clip.id)).toBe(isShown);
        expect(here.routes.find((r) => r.id === route.id)!.steps[0]!.clipId).toBe(isShown ? clip.id : null);
      }
    });

    test('when footage comes to the academy, goes to coaches only, or is put in the bin, a page that follows should have what is read anew', async () => {
      const { footage, file } = await shownPiece();
      let here = await libraryOf(student);
      let { version } = await since(student);
      const steps = [
        () =>
          coach.ask('PATCH', `/api/footage/${footage.id}`, {
            editId: newId(),
            baseVersion: 1,
            changes: { audience: 'coaches' },
          }),
        () =>
          coach.ask('PATCH', `/api/footage/${footage.id}`, {
            editId: newId(),
            baseVersion: 2,
            changes: { audience: 'academy' },
          }),
        () => newFootageOf(coach, file.id, 'In the background'),
        () => coach.ask('DELETE', `/api/footage/${footage.id}`, { editId: newId(), baseVersion: 3 }),
        () => coach.ask('POST', '/api/undo', { editId: newId() }),
      ];
      for (const step of steps) {
        await step();
        const { told, library } = await followed(here, version);
        [here, version] = [library, told.version];
        expect(here).toEqual(await libraryOf(student));
      }
    });
  });

  describe('to whom it is told', () => {
    const ended = async (client: Client): Promise<() => Promise<string>> => {
      const response = await client.raw('/api/news/stream');
      const reader = response.body!.getReader() as ReadableStreamDefaultReader<Uint8Array>;
      return async () => {
        let text = '';
        for (;;) {
          const { value, done } = await reader.read();
          if (done) return /event: ended\ndata: (\S+)/.exec(text)?.[1] ?? 'nothing was said';
          text += new TextDecoder().decode(value);
        }
      };
    };
    const accountOf = async (client: Client): Promise<string> =>
      ((await client.ask('GET', '/api/me')).body as Me).account.id;

    test('when a session ends, a member is removed, or a role changes, the stream should end and say why', async () => {
      const leaver = await joined(app, coach, 'coach', 'Signs Out');
      const signedOut = await ended(leaver);
      await leaver.ask('POST', '/api/sign-out');
      expect(await signedOut()).toBe('signed-out');
      const removed = await joined(app, coach, 'coach', 'Is Removed');
      const gone = await ended(removed);
      await coach.ask('DELETE', `/api/members/${await accountOf(removed)}`);
      expect(await gone()).toBe('signed-out');
      const changed = await joined(app, coach, 'coach', 'Becomes Student');
      const other_ = await ended(changed);
      await coach.ask('PATCH', `/api/members/${await accountOf(changed)}`, { role: 'student' });
      expect(await other_()).toBe('role');
    });

    test('when many come and go, no stream of a session that is open should end', async () => {
      const streams = await Promise.all(Array.from({ length: 24 }, () => coach.raw('/api/news/stream')));
      const readers = streams.map((s) => s.body!.getReader() as ReadableStreamDefaultReader<Uint8Array>);
      const heard = readers.map(async (reader) => {
        let text = '';
        while (!/^data: \d/m.test(text)) {
          const { value, done } = await reader.read();
          if (done) return `ended: ${text}`;
          text += new TextDecoder().decode(value);
        }
        return text.includes('event: ended') ? text : 'told';
      });
      expect(await Promise.all(heard)).toEqual(Array.from({ length: 24 }, () => 'told'));
      // and once more, while looks at the database are under way
      for (let i = 0; i < 10; i++) {
        const reader = (
          await coach.raw('/api/news/stream')
        ).body!.getReader() as ReadableStreamDefaultReader<Uint8Array>;
        let text = '';
        while (!/^data: \d/m.test(text)) text += new TextDecoder().decode((await reader.read()).value);
        expect(text).not.toContain('ended');
        await reader.cancel();
      }
      await Promise.all(readers.map((r) => r.cancel()));
    });

    test('when a password is set anew, the streams of all sessions of the account should end', async () => {
      const forgetful = await joined(app, coach, 'coach', 'Sets Anew');
      const streams = [
        await ended(forgetful),
        await ended(await app.signedIn({ email: forgetful.email, password: 'long enough to hold' })),
      ];
      await app.client().ask('POST', '/api/password-resets', { email: forgetful.email });
      await wishesAnswered(app);
      const token = await linkTo(coach, forgetful.email);
      expect(
        (await app.client().ask('POST', '/api/password', { token, password: 'a brand new sentence' })).status,
      ).toBe(200);
      for (const stream of streams) expect(await stream()).toBe('signed-out');
    });
  });
});
