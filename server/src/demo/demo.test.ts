import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import {
  analyse,
  announcedOf,
  casesOf,
  clashesIn,
  clockAt,
  clockText,
  isNearFinish,
  knownForPrinciples,
  toGraphml,
  wordsOf,
  type ClockAnchor,
  type Library,
} from '@odograph/core';
import { libraryFile } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';
import type { Models } from '../database/models.js';
import { MODELS } from '../database/tokens.js';
import { libraryOf } from '../testing/requests.js';
import { COACH, DEMO_FOLDER, OTHER_COACH, TestApp, type Client } from '../testing/testApp.js';
import { DemoService } from './demo.service.js';

describe('the demo library', () => {
  let app: TestApp, coach: Client;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'whole' });
    coach = await app.signedIn(COACH);
  });
  afterAll(() => app.stop());

  test('when it is loaded, its clips over six pieces should be there, none a draft, and a second academy empty', async () => {
    const library = await libraryOf(coach);
    expect([library.footage.length, library.angles.length, library.clips.length]).toEqual([6, 7, 66]);
    expect(analyse(library).totals).toMatchObject({ attempts: 28, picked: 16, shown: 17, drafts: 0, unplaced: 0 });
  });

  test('when what happened is looked over, everything that the map tells apart should be there', async () => {
    const library = await libraryOf(coach);
    const words = wordsOf(library);
    const { attempts, footage } = library;
    const logged = footage.filter((f) => f.logged === 'throughout').map((f) => f.id);
    expect(logged).toHaveLength(2);
    for (const id of logged)
      expect(new Set(attempts.filter((a) => a.footageId === id).map((a) => a.subject))).toEqual(new Set(['a', 'b']));
    expect(attempts.filter((a) => a.intent === 'bait')).toHaveLength(1);
    expect(attempts.filter((a) => a.series > 1 && attempts.some((b) => b.id === a.parentId))).toHaveLength(2);
    expect(attempts.filter((a) => isNearFinish(a, words)).length).toBeGreaterThanOrEqual(3);
    expect(attempts.filter((a) => words.action(a.action ?? '')?.does === 'yield')).toHaveLength(1);
    expect(attempts.filter((a) => a.shownAs === 'mistake')).toHaveLength(2);
    // both act at once: two attempts of one footage that overlap, by the two sides
    const clashes = attempts.flatMap((a) =>
      attempts.filter(
        (b) =>
          b.footageId === a.footageId &&
          a.subject < b.subject &&
          b.start.frame < a.end.frame &&
          a.start.frame < b.end.frame &&
          a.state?.role === 'even',
      ),
    );
    expect(clashes.length).toBeGreaterThanOrEqual(1);
    // one attempt, two looks: three of them on a camera with a clock of its own
    const [first, second] = library.angles.filter(
      (g) => g.offsetMs !== 0 || library.angles.some((h) => h.footageId === g.footageId && h.id !== g.id),
    );
    expect([
      first?.footageId === second?.footageId,
      library.clips.filter((c) => c.angleId === [first, second].find((g) => g?.offsetMs)?.id).length,
    ]).toEqual([true, 3]);
    expect((await libraryOf(await app.signedIn(OTHER_COACH))).clips).toEqual([]);
  });

  test('when it is looked over why things went as they went, it should be told in full often enough, with principles that have clips against them, a clash, and a list with a gap', async () => {
    const library = await libraryOf(coach);
    const words = wordsOf(library);
    const full = library.attempts.filter((a) => a.facts.length && a.alternatives.length && a.links.length);
    expect(full.length).toBeGreaterThanOrEqual(10);
    expect(new Set(full.map((a) => a.footageId)).size).toBeGreaterThanOrEqual(4);
    const known = knownForPrinciples(library, library.principles, words);
    const against = library.principles.filter((p) => casesOf(p, known, words).some((c) => c.side === 'against'));
    expect(against.length).toBeGreaterThanOrEqual(2);
    expect(clashesIn(library.principles, words).length).toBeGreaterThanOrEqual(1);
    const gaps = library.todos.filter((t) => t.kind === 'announced' && announcedOf(t).missing.length > 0);
    expect(gaps.length).toBeGreaterThanOrEqual(1);
    expect(library.attempts.some((a) => a.evidence.some((e) => e.by !== null))).toBe(true);
  });

  test('when the scoreboard of a bout is asked, it should have shown what stands in the picture; of other footage it knows nothing', async () => {
    const { footage } = (await coach.ask('GET', '/api/library')).body as Library;
    const bout = footage.find((f) => f.title.startsWith('Lantern Cup'))!;
    const { body } = await coach.ask('GET', `/api/footage/${bout.id}/scoreboard`);
    const { readings } = body as { readings: ClockAnchor[] };
    // the clock in the picture of this bout starts at five minutes and cuts the rest of a second off
    for (let atS = 0; atS < 43; atS += 0.04) {
      const left = Math.floor(300 - atS);
      const written = `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
      expect([atS, clockText(clockAt(readings, atS * 1000)!.leftMs!)]).toEqual([atS, written]);
    }
    const other = footage.find((f) => f.title.startsWith('Guard class'))!;
    expect((await coach.ask('GET', `/api/footage/${other.id}/scoreboard`)).body).toEqual({ readings: null });
    expect((await coach.ask('GET', `/api/footage/${newId()}/scoreboard`)).status).toBe(404);
    const stranger = await app.signedIn(OTHER_COACH);
    expect((await stranger.ask('GET', `/api/footage/${bout.id}/scoreboard`)).status).toBe(404);
  });

  test('when it is loaded again, or a load was cut short, nothing should be there twice', async () => {
    const before = await libraryOf(coach);
    const models = app.app.get<Models>(MODELS);
    await models.academy.update({ demoLoadedAt: null }, { where: {} });
    await app.app.get(DemoService).load(DEMO_FOLDER);
    expect(await libraryOf(coach)).toEqual(before);
  });

  test('when the library is exported, the file should be one the analysis reads, and give the map that the server exports', async () => {
    const { body, headers } = await coach.ask('GET', '/api/export/library.json');
    expect(headers.get('content-disposition')).toContain('odograph-library.json');
    const read = libraryFile.validate(body);
    expect(read.error).toBeUndefined();
    expect((await coach.ask('GET', '/api/export/map.graphml')).body).toBe(toGraphml(analyse(read.value as Library)));
  });
});
