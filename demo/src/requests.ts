import type { NewClip, NewFootage, NewPerson } from '@odograph/core/contract';
import { seededId } from './ids.js';
import { demoFootage, type DemoClip, type DemoFootage } from './library.js';

const footageRequest = (f: DemoFootage): NewFootage => ({
  editId: seededId(`edit footage ${f.bout.id}`),
  id: f.footageId,
  angleId: f.angleId,
  fileId: f.fileId,
  title: f.bout.title,
  setting: f.bout.setting,
  logged: 'throughout',
  live: true,
  gi: f.bout.gi,
  counted: true,
  date: f.bout.date,
  athleteA: f.athletes[0],
  athleteB: f.athletes[1],
  kitA: f.bout.kitNames[0],
  kitB: f.bout.kitNames[1],
});

const clipRequest = (f: DemoFootage, c: DemoClip): NewClip => ({
  editId: seededId(`edit clip ${c.clipId}`),
  attempt: {
    id: c.attemptId,
    subject: c.said.subject,
    state: c.state,
    action: c.said.action,
    result: c.said.result,
    depth: c.said.depth ?? null,
    finish: c.finish,
    controls: c.controls,
    reactions: (c.said.reactions ?? []).map((what, i, all) => ({
      id: seededId(`reaction ${c.attemptId} ${i}`),
      what,
      isAction: false,
      deciding: i === all.length - 1,
    })),
    reasons: (c.said.reasons ?? []).map((reason, i) => ({
      id: seededId(`reason ${c.attemptId} ${i}`),
      reason,
      main: i === 0,
    })),
    startFrame: c.startFrame,
    commitFrame: c.commitFrame,
    endFrame: c.endFrame,
  },
  clip: { id: c.clipId, angleId: f.angleId, inFrame: c.inFrame, outFrame: c.outFrame, note: c.said.note ?? '' },
});

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
    accountId: null,
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
        files: footage.map((f) => ({ id: f.fileId, path: `${f.bout.id}.mp4` })),
        footage: footage.map(footageRequest),
        clips: footage.flatMap((f) => f.clips.map((c) => clipRequest(f, c))),
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
        clips: [],
      },
    ],
  };
};
