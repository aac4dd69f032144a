import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Following } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import { LEAD_VIEW } from '../testing/bodies.js';
import { COACH, OTHER_COACH, STUDENT, TestApp, type Client } from '../testing/testApp.js';

describe('following', () => {
  let app: TestApp, coach: Client, student: Client, other: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
    student = await app.signedIn(STUDENT);
    other = await app.signedIn(OTHER_COACH);
  });
  afterAll(() => app.stop());

  /** A window that listens; `next` waits until what it was told fits. */
  const listening = async (who: Client, clientId: string) => {
    const gone = new AbortController();
    const { cookie } = who;
    const answer = await fetch(`${app.url}/api/follow/stream?client=${clientId}`, {
      headers: { cookie },
      signal: gone.signal,
    });
    const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
    let [text, now]: [string, Following | undefined] = ['', undefined];
    const next = async (fits: (now: Following) => boolean): Promise<Following> => {
      while (!now || !fits(now)) {
        const { value } = await reader.read();
        text += value ?? '';
        const lines = text.split('\n');
        text = lines.pop()!;
        for (const line of lines) if (line.startsWith('data: ')) now = JSON.parse(line.slice(6)) as Following;
      }
      return now;
    };
    return { next, close: () => gone.abort() };
  };
  const wheel = (who: Client, clientId: string, does: string, to: string | null = null) =>
    who.ask('POST', '/api/follow/wheel', { clientId, does, to });
  const say = (clientId: string, frame: number) =>
    coach.ask('POST', '/api/follow/view', { clientId, view: { ...LEAD_VIEW, frame } });

  test('when somebody leads, whoever comes late should be told at once what they see, and each change', async () => {
    const [lead, late] = [newId(), newId()];
    await wheel(coach, lead, 'take');
    expect((await say(lead, 7)).status).toBe(204);
    const window = await listening(student, late);
    expect(await window.next((n) => n.view?.frame === 7)).toMatchObject({ lead: { clientId: lead }, followers: 1 });
    await say(lead, 8);
    await window.next((n) => n.view?.frame === 8);
    const apart = await listening(other, newId());
    expect(await apart.next(() => true)).toMatchObject({ lead: null, view: null });
    await wheel(coach, lead, 'leave');
    await window.next((n) => n.lead === null && n.view === null);
    for (const w of [window, apart]) w.close();
  });

  test('when one leads, others should have to ask, and only who leads can give the wheel away', async () => {
    const [first, second] = [newId(), newId()];
    const window = await listening(coach, second);
    await wheel(coach, first, 'take');
    await wheel(coach, second, 'take');
    expect(await window.next((n) => n.asking.length === 1)).toMatchObject({
      lead: { clientId: first },
      asking: [{ clientId: second }],
    });
    expect((await say(second, 1)).body).toMatchObject({ code: 'not-leading' });
    expect((await wheel(coach, second, 'give', second)).status).toBe(409);
    await wheel(coach, first, 'give', second);
    await window.next((n) => n.lead?.clientId === second && n.asking.length === 0);
    expect((await say(second, 1)).status).toBe(204);
    expect((await wheel(student, newId(), 'take')).status).toBe(403);
    window.close();
    // who leads and goes away lets go of the wheel after a while
    const third = await listening(coach, newId());
    await third.next((n) => n.lead === null);
    third.close();
  });
});
