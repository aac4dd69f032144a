import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Clip } from '@odograph/core';
import type { News } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { joined } from '../testing/people.js';
import { newClip, newPiece } from '../testing/requests.js';
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
    const reaction = { id: newId(), what: 'frames', isAction: false, deciding: false };
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

  test('when a student asks, they should be told to read anew; another academy hears of nothing', async () => {
    const { version } = await since(coach);
    const apart = await since(other);
    const { angleId } = await newPiece(coach);
    await newClip(coach, angleId);
    expect(await since(student, version)).toMatchObject({ whole: true, changed: null });
    expect(await since(other, apart.version)).toMatchObject({ version: apart.version, changed: null });
    expect((await coach.ask('GET', '/api/news/since?version=x')).status).toBe(400);
  });
});
