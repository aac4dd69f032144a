import { BARE_REACTION, BARE_FOOTAGE, type ClockAnchor } from '@odograph/core';
import type { NewAngle, NewClip, NewFootage, NewLook, NewPerson } from '@odograph/core/contract';
import { besideRequests } from './beside.js';
import { seededId } from './ids.js';
import { WHYS } from './bouts/index.js';
import { demoFootage, type DemoClip, type DemoFootage } from './library.js';
import { withWhy } from './why.js';

const footageRequest = (f: DemoFootage): NewFootage => ({
  ...BARE_FOOTAGE,
  editId: seededId(`edit footage ${f.bout.id}`),
  id: f.footageId,
  angleId: f.cameras[0]!.angleId,
  fromFrame: null,
  toFrame: null,
  fileId: f.cameras[0]!.fileId,
  title: f.bout.title,
  setting: f.bout.setting,
  logged: f.bout.logged,
  live: true,
  gi: f.bout.gi,
  counted: true,
  date: f.bout.date,
  athleteA: f.athletes[0],
  athleteB: f.athletes[1],
  kitA: f.bout.athletes[0].wears,
  kitB: f.bout.athletes[1].wears,
  // whoever shows it explains it
  speaker: f.bout.setting === 'demonstration' ? f.athletes[0].name : '',
});

const toldOf = (c: DemoClip): NewClip['attempt'] => ({
  id: c.attemptId,
  subject: c.said.subject,
  state: c.state,
  action: c.said.action,
  lead: c.said.lead ?? null,
  intent: c.said.bait ? 'bait' : 'own',
  result: c.said.result,
  shownAs: c.said.mistake ? 'mistake' : 'right',
  parentId: c.parentId,
  series: c.said.again?.series ?? 1,
  depth: c.said.depth ?? null,
  finish: c.finish,
  controls: c.controls,
  reactions: [...(c.said.reactions ?? []), ...(c.said.attack ? [c.said.attack] : [])].map((what, i) => ({
    id: seededId(`reaction ${c.attemptId} ${i}`),
    what,
    isAction: what === c.said.attack,
    ...BARE_REACTION,
  })),
  reasons: (c.said.reasons ?? []).map((reason, i) => ({
    id: seededId(`reason ${c.attemptId} ${i}`),
    reason,
    main: i === 0,
  })),
  startFrame: c.startFrame,
  commitFrame: c.commitFrame,
  endFrame: c.endFrame,
});

const clipRequest = (f: DemoFootage, c: DemoClip, nth: number): NewClip => {
  const why = WHYS[f.bout.id]?.[nth];
  return {
    editId: seededId(`edit clip ${c.clipId}`),
    attempt: why ? withWhy(toldOf(c), c, f, why) : toldOf(c),
    clip: {
      id: c.clipId,
      angleId: f.cameras[0]!.angleId,
      inFrame: c.inFrame,
      outFrame: c.outFrame,
      note: c.said.note ?? '',
    },
  };
};

/** Further cameras of a piece, and the clips cut from them: further looks at attempts that are told already. */
const angleRequests = (f: DemoFootage): readonly (NewAngle & { readonly footageId: string })[] =>
  f.cameras.slice(1).map((camera) => ({
    editId: seededId(`edit angle ${camera.file}`),
    footageId: f.footageId,
    id: camera.angleId,
    fileId: camera.fileId,
    offsetMs: camera.offsetMs,
    rate: 1,
    kind: 'live',
    region: null,
    fromFrame: null,
    toFrame: null,
  }));
const lookRequests = (c: DemoClip): readonly (NewLook & { readonly attemptId: string })[] =>
  c.looks.map(({ clipId, camera, inFrame, outFrame }) => ({
    editId: seededId(`edit clip ${clipId}`),
    attemptId: c.attemptId,
    clip: { id: clipId, angleId: camera.angleId, inFrame, outFrame, note: '' },
  }));

const CUT_OFF_MS = 999.5;

/**
 * What the scoreboard beside the mat showed: it was started with the bout and ran down. Its display cuts the rest of a second off, as the clock in the
 * picture does: started at 6:00 it shows 5:59 at once. Nothing where a bout has no clock.
 */
const scoreboardOf = ({
  bout,
  footageId,
}: DemoFootage): readonly { readonly footageId: string; readonly readings: readonly ClockAnchor[] }[] => {
  if (!bout.cameras[0].showsClock) return [];
  const lengthMs = bout.clockStartS * 1000;
  const atMs = Math.round(-bout.cameras[0].startS * 1000);
  return [
    {
      footageId,
      readings: [{ atMs, readingMs: lengthMs - CUT_OFF_MS, direction: 'down', running: true, period: 1, lengthMs }],
    },
  ];
};

/** Those on the footage who have an account, by their name. */
const ACCOUNTS: ReadonlyMap<string, string> = new Map([
  ['Maren Oxblood', seededId('account coach')],
  ['Pell Quarrier', seededId('account student')],
]);

/** Everybody on the demo's footage, all of them adults who agreed to be shown to the academy; those of the room are members. */
const personRequests = (footage: readonly DemoFootage[]): readonly NewPerson[] => {
  const people = new Map(
    footage.flatMap((f) =>
      f.athletes.map((a) => [a.id, { ...a, training: f.bout.setting !== 'competition' }] as const),
    ),
  );
  return [...people.values()].map(({ id, name, training }) => ({
    editId: seededId(`edit person ${id}`),
    id,
    name,
    athlete: true,
    member: training,
    accountId: ACCOUNTS.get(name) ?? null,
    level: null,
    age: 'adult',
    filming: true,
    shownTo: 'academy',
  }));
};

/** Both academies of the demo, as the requests that make them: one with the library, one empty. */
export const demoRequests = (): { readonly academies: readonly unknown[] } => {
  const footage = demoFootage();
  return {
    academies: [
      {
        id: seededId('academy lanternwood'),
        name: 'Lanternwood Grappling Room',
        timeZone: 'Europe/Vienna',
        accounts: [
          {
            id: seededId('account coach'),
            email: 'coach@lanternwood.example',
            password: 'lanternwood-mat-7',
            name: 'Maren Oxblood',
            role: 'head',
          },
          {
            id: seededId('account student'),
            email: 'student@lanternwood.example',
            password: 'lanternwood-mat-8',
            name: 'Pell Quarrier',
            role: 'student',
          },
        ],
        persons: personRequests(footage),
        files: footage.flatMap((f) => f.cameras.map(({ fileId, file }) => ({ id: fileId, path: `${file}.mp4` }))),
        footage: footage.map(footageRequest),
        angles: footage.flatMap(angleRequests),
        clips: footage.flatMap((f) => f.clips.map((c, i) => clipRequest(f, c, i))),
        looks: footage.flatMap((f) => f.clips.flatMap(lookRequests)),
        scoreboards: footage.flatMap(scoreboardOf),
        ...besideRequests(footage),
      },
      {
        id: seededId('academy tidegate'),
        name: 'Tidegate Academy',
        timeZone: 'Atlantic/Reykjavik',
        accounts: [
          {
            id: seededId('account tidegate'),
            email: 'coach@tidegate.example',
            password: 'tidegate-mat-3',
            name: 'Ansel Wickerby',
            role: 'head',
          },
        ],
        persons: [],
        files: [],
        footage: [],
        angles: [],
        clips: [],
        looks: [],
        scoreboards: [],
        principles: [],
        todos: [],
        drawings: [],
      },
    ],
  };
};
