import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { BARE_ALTERNATIVE, type Attempt, type BecauseLink, type FactUse } from '@odograph/core';
import { v7 as newId } from 'uuid';
import { libraryOf, newClip, newPiece } from '../testing/requests.js';
import { COACH, TestApp, type Client } from '../testing/testApp.js';

const at = (frame: number) => ({ frame, pts: -1 });
const fact = (more: Partial<FactUse> = {}): FactUse => ({
  ...{ id: newId(), fact: 'hips', value: 'mat', side: null, whose: 'subject', when: 'start' },
  ...more,
});
const link = (from: string, kind: BecauseLink['kind'], to: string, other: string | null = null): BecauseLink => ({
  ...{ id: newId(), from: { attemptId: other, part: from }, to: { attemptId: null, part: to } },
  ...{ kind, isSure: true },
});

describe('why an attempt went as it went', () => {
  let app: TestApp, coach: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms' });
    coach = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());

  const made = async (angleId?: string) => {
    const on = angleId ?? (await newPiece(coach)).angleId;
    const { attempt, clip } = await newClip(coach, on);
    let version = 1;
    const change = async (changes: object) => {
      const answer = await coach.ask('PATCH', `/api/attempts/${attempt.id}`, {
        ...{ editId: newId(), baseVersion: version, changes },
      });
      if (answer.status < 300) version++;
      return answer;
    };
    const now = async (): Promise<Attempt> => (await libraryOf(coach)).attempts.find((a) => a.id === attempt.id)!;
    return { attempt, clip, angleId: on, change, now };
  };
  const wrong = (body: unknown) =>
    (body as { facts: { fields: { field: string; fault: { code: string } }[] } }).facts.fields.map(
      ({ field, fault }) => `${field} ${fault.code}`,
    );

  test('facts and alternatives should be kept with the times of the file, and undone', async () => {
    const { clip, change, now } = await made();
    const hips = fact();
    const until = clip.in.frame + 5;
    const other = {
      ...BARE_ALTERNATIVE,
      ...{ id: newId(), by: 'opponent', what: 'hips-out', isAction: false, why: 'late', text: 'the window was short' },
      ...{ until: at(until), opens: { kind: 'state', position: 'mount', role: 'top' } },
    };
    expect((await change({ facts: [hips], alternatives: [other], form: 'by sitting up' })).status).toBe(200);
    const kept = await now();
    expect(kept).toMatchObject({ facts: [hips], form: 'by sitting up' });
    expect(kept.alternatives).toEqual([{ ...other, until: { frame: until, pts: expect.any(Number) } }]);
    expect(kept.alternatives[0]!.until!.pts).toBeGreaterThan(clip.in.pts);
    await coach.ask('POST', '/api/undo', { editId: newId() });
    expect(await now()).toMatchObject({ facts: [], alternatives: [], form: '' });
  });

  test('what cannot be so should be refused by name, and change nothing', async () => {
    const { clip, change, now } = await made();
    const facts = [
      fact({ value: 'sideways' }),
      fact({ side: 'left', when: 'end' }),
      fact({ fact: 'distance', value: 'long' }),
      fact({ value: 'off' }),
    ];
    expect(wrong((await change({ facts })).body)).toEqual([
      'changes.facts.0.value not-one-of',
      'changes.facts.1.side not-possible',
      'changes.facts.2.whose not-possible',
      'changes.facts.3 twice',
    ]);
    expect(wrong((await change({ facts: [fact({ fact: 'no-such-fact' })] })).body)).toEqual([
      'changes.facts.0.fact not-here',
    ]);
    const other = {
      ...BARE_ALTERNATIVE,
      ...{ id: newId(), by: 'subject', what: 'frames', isAction: false },
      ...{ from: at(clip.in.frame + 9), until: at(clip.in.frame + 5) },
    };
    expect(wrong((await change({ alternatives: [other] })).body)).toEqual([
      'changes.alternatives.0.isAction not-possible',
      'changes.alternatives.0.until not-after',
    ]);
    expect(await now()).toMatchObject({ version: 1, facts: [], alternatives: [] });
  });

  test('a link should join details that are told on one footage, and never lead round in a circle', async () => {
    const first = await made();
    const second = await made(first.angleId);
    const elsewhere = await made();
    const told = { state: { position: 'mount', role: 'top' }, action: 'armlock', result: 'failed' };
    for (const one of [first, second, elsewhere]) await one.change(told);
    expect((await first.change({ links: [link('state', 'enables', 'action')] })).status).toBe(200);
    expect((await second.change({ links: [link('action', 'forces', 'state', first.attempt.id)] })).status).toBe(200);

    expect(wrong((await first.change({ links: [link('action', 'enables', 'finish')] })).body)).toEqual([
      'changes.links.0.to not-here',
    ]);
    expect(wrong((await first.change({ links: [link('action', 'delays', 'action')] })).body)).toEqual([
      'changes.links.0.to itself',
    ]);
    const far = link('action', 'enables', 'action', elsewhere.attempt.id);
    expect(wrong((await first.change({ links: [far] })).body)).toEqual(['changes.links.0.from other-footage']);
    // the second one's start made this possible, which made that start possible
    const back = [link('state', 'enables', 'action'), link('state', 'enables', 'state', second.attempt.id)];
    expect(wrong((await first.change({ links: back })).body)).toEqual(['changes.links circle']);
    const told2 = [...back.slice(0, 1), link('state', 'exposes', 'state', second.attempt.id)];
    expect((await first.change({ links: told2 })).status).toBe(200);
    expect((await first.now()).links).toEqual(told2);
  });

  test('how a detail is known should be kept once for each, its proof on a camera or a clip of the same footage', async () => {
    const first = await made();
    const second = await made(first.angleId);
    const elsewhere = await made();
    const proof = { kind: 'frame', angleId: first.angleId, frame: 7 };
    const evidence = [
      { part: 'result', how: 'felt', proof, by: null },
      { part: 'state', how: 'hidden', proof: { kind: 'clip', clipId: second.clip.id }, by: null },
    ];
    const bare = evidence.map(({ part, how, proof }) => ({ part, how, proof }));
    expect((await first.change({ evidence: bare })).status).toBe(200);
    expect((await first.now()).evidence).toEqual(evidence);
    for (const far of [
      { ...proof, angleId: elsewhere.angleId },
      { kind: 'clip', clipId: elsewhere.clip.id },
      { kind: 'clip', clipId: newId() },
    ])
      expect(wrong((await first.change({ evidence: [{ part: 'result', how: 'felt', proof: far }] })).body)).toEqual([
        'changes.evidence.0.proof other-footage',
      ]);
    expect((await first.change({ evidence: [evidence[0], evidence[0]] })).status).toBe(400);
  });

  test('who told it should be kept: anybody who is known, one’s own account, and an account that was named before', async () => {
    const told = await made();
    const by = async (teller: object) => {
      const { status, body } = await told.change({
        evidence: [{ part: 'result', how: 'told', proof: null, by: teller }],
      });
      return status === 200 ? (await told.now()).evidence[0]!.by : wrong(body);
    };
    const me = (await coach.ask('GET', '/api/me')).body as { account: { id: string } };
    const own = { kind: 'account', accountId: me.account.id };
    expect(await by(own)).toEqual(own);
    const person = { kind: 'person', personId: (await libraryOf(coach)).persons[0]!.id };
    expect(await by(person)).toEqual(person);
    for (const nobody of [
      { kind: 'person', personId: newId() },
      { kind: 'account', accountId: newId() },
    ])
      expect(await by(nobody)).toEqual(['changes.evidence.0.by not-here']);
  });

  test('an own fact should be kept with its values, be told of an attempt, and be counted where it is used', async () => {
    const { change, now } = await made();
    const key = 'own-chin';
    const definition = {
      ...{ kind: 'fact', sided: false, families: [], whose: 'opponent' },
      values: [
        { key: 'tucked', says: 'chin tucked', aliases: ['chin down'] },
        { key: 'up', says: 'chin up', aliases: [] },
      ],
    };
    const word = {
      ...{ editId: newId(), id: newId(), baseVersion: null, kind: 'fact', key, name: 'chin', hidden: false },
      ...{ aliases: [], definition, scope: { kind: 'academy' } },
    };
    expect((await coach.ask('PUT', '/api/words', word)).status).toBe(200);
    const chin = fact({ fact: key, value: 'tucked', whose: 'opponent' });
    expect((await change({ facts: [chin] })).status).toBe(200);
    expect((await now()).facts).toEqual([chin]);
    expect(wrong((await change({ facts: [{ ...chin, value: 'sideways' }] })).body)).toEqual([
      'changes.facts.0.value not-one-of',
    ]);
  });
});
