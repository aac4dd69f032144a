// npm run stress -- coaches: fifty coaches at once for three minutes, as five in each of ten academies, then all in one.
import { setTimeout as pause } from 'node:timers/promises';
import { givenAway } from '../bench/report.mjs';
import { note } from '../say.mjs';
import { Clock, academyWith, newId, untilReady } from './world.mjs';

const SECONDS = Number(process.env.ODOGRAPH_STRESS_S ?? 180);
const COACHES = 50;
const CLIPS = 300;
/** In so many academies, and the goal for it, in ms. */
const GOALS = [
  [10, 200],
  [1, 400],
];
const KINDS = ['edit', 'news', 'list'];

const between = (least, most) => least + Math.random() * (most - least);

/** One coach: edits every 2 to 5 s, hears of what others do and asks for it, looks at lists and pictures. */
const coach = async (guest, academy, place, clock, until) => {
  const { attempt, clip } = academy.made[place];
  let [known, asking] = [undefined, Promise.resolve()];
  const timed = (kind) => ({ clock, kind });
  const leave = guest.listen((version) => {
    if (known === undefined) known = version;
    if (version <= known) return;
    // one after the other, as the page does
    asking = asking.then(async () => {
      if (version <= known) return;
      const answer = await guest.ask('GET', `/api/news/since?version=${known}`, undefined, timed('news'));
      if (answer.status === 200) known = JSON.parse(answer.body).version;
    });
  });
  let rows = JSON.parse((await guest.ask('GET', '/api/news/since')).body).version;
  for (let turn = 0; Date.now() < until; turn++) {
    await pause(between(2000, 5000));
    const changes = { depth: turn % 5, series: 1 + (turn % 3) };
    const sent = { editId: newId(), baseVersion: academy.made[place].version ?? 1, changes };
    const answer = await guest.ask('PATCH', `/api/attempts/${attempt.id}`, sent, timed('edit'));
    if (answer.status === 200) academy.made[place].version = JSON.parse(answer.body).attempts[0].version;
    if (turn % 3 === 0) await guest.ask('GET', '/api/library/part', undefined, timed('list'));
    if (turn % 4 === 1) {
      const told = await guest.ask('GET', `/api/map/rows?since=${rows}`, undefined, timed('rows'));
      if (told.status === 200) rows = Number(/-(\d+)"$/.exec(told.headers.etag)?.[1] ?? rows);
    }
    if (turn % 5 === 2) {
      await Promise.all(
        [0, 3, 6].map((by) =>
          guest.ask('GET', `/api/files/${academy.fileId}/stills/${clip.inFrame + by}.jpg`, undefined, timed('still')),
        ),
      );
      await guest.ask('GET', `/api/files/${academy.fileId}/strip`, undefined, timed('strip'));
    }
    if (turn % 6 === 3) await guest.ask('GET', '/api/me', undefined, timed('me'));
  }
  leave();
  await asking;
};

const together = async (academies, seconds, clock) => {
  const until = Date.now() + seconds * 1000;
  await Promise.all(
    academies.flatMap((academy) => academy.people.map((guest, place) => coach(guest, academy, place, clock, until))),
  );
};

export const coaches = async (world) => {
  for (const [count, goalMs] of GOALS) {
    note(`${COACHES} coaches in ${count} academies: inviting them …`);
    const academies = [];
    for (let i = 0; i < count; i++) academies.push(await academyWith(world.url, world.folder, COACHES / count, CLIPS));
    for (const academy of academies) await untilReady(academy);
    await together(academies, 20, new Clock());
    note(`… at work for ${SECONDS} s`);
    const clock = new Clock();
    const away = givenAway();
    await together(academies, SECONDS, clock);
    const held = KINDS.every((kind) => clock.at(kind, 0.95) <= goalMs) && clock.failed.size === 0;
    world.say(
      `${COACHES} coaches of ${count === 1 ? 'one academy' : `${count} academies`} for ${SECONDS} s (medians/p95/p99): ${clock.told()}; refused or failed: ${clock.faults()}; ${away()} % of the processors went to others outside this machine; goal p95 at most ${goalMs} ms for ${KINDS.join(', ')}: ${held ? 'held' : '**missed**'}`,
    );
  }
};
