import { describe, expect, test } from '@jest/globals';
import { BARE_ALTERNATIVE, type Attempt, type Clip } from '../attempts/index.js';
import type { MediaFile } from '../footage/index.js';
import { BARE_CLIP } from '../rows/index.js';
import { NO_ROWS, type Library } from '../library/index.js';
import { FOOTAGE, LOGGED } from '../testing/workedExamples.js';
import { timeTable } from '../timecode/index.js';
import { shippedWords } from '../vocabulary/index.js';
import { evidenceOf, sayPart } from '../why/index.js';
import { attemptRead, clipsCsv, guessMapping, readClips, readCsv, type ReadClip } from './index.js';

const words = shippedWords();
const table = timeTable(
  Array.from({ length: 9000 }, (_, i) => i),
  1,
  25,
);
const pieces = Object.values(FOOTAGE);
const person = {
  version: 1,
  athlete: true,
  member: false,
  accountId: null,
  level: null,
  age: null,
  filming: null,
  shownTo: null,
};
const attempts: readonly Attempt[] = LOGGED.map(({ attempt, footage }, i) => ({
  ...attempt,
  angleId: `angle ${footage.id}`,
  start: { frame: i * 40, pts: i * 40 },
  end: { frame: i * 40 + 30, pts: i * 40 + 30 },
}));
const clips: readonly Clip[] = attempts.map((a) => ({
  id: `clip ${a.id}`,
  version: 1,
  attemptId: a.id,
  angleId: a.angleId,
  in: a.start,
  out: a.end,
  ...BARE_CLIP,
  note: a.result === 'failed' ? '=looks like a formula, "quoted"\nand goes on' : '',
}));
const library: Library = {
  format: 'odograph-library',
  formatVersion: 1,
  ...NO_ROWS,
  academy: { id: 'x', name: 'x', timeZone: 'UTC' },
  wordChanges: [],
  persons: [...new Set(pieces.flatMap((f) => [f.athleteA, f.athleteB]))].map((id) => ({
    ...person,
    id,
    name: `Person ${id}`,
  })),
  files: [{ id: 'file', name: 'hall.mp4', timeBaseNum: 1, timeBaseDen: 25 } as MediaFile],
  footage: pieces.map((f) => ({ ...f, title: f.title || `Footage ${f.id}` })),
  angles: pieces.map((f) => ({
    id: `angle ${f.id}`,
    version: 1,
    footageId: f.id,
    fileId: 'file',
    fromFrame: 0,
    toFrame: 9000,
    fromPts: 0,
    toPts: 9000,
    offsetMs: 0,
    rate: 1,
    kind: 'live',
    region: null,
    leftMark: '',
    rightMark: '',
  })),
  attempts,
  clips,
};
const footageOf = (a: Attempt) => library.footage.find((f) => f.id === a.footageId)!;
const written = clipsCsv(
  clips.map((clip, i) => ({
    clip,
    attempt: attempts[i]!,
    footage: footageOf(attempts[i]!),
    table,
    camera: 'hall.mp4',
  })),
  library,
  words,
);
const read = (text: string, of: Library = library, map = guessMapping(readCsv(text).head)): readonly ReadClip[] =>
  readClips(readCsv(text), map, of, words, () => table);
const withoutId = <T extends { id: string }>({ id, ...rest }: T): Omit<T, 'id'> => {
  void id;
  return rest;
};

describe('clips as a list', () => {
  test('when clips are written and read into an empty library, every word of them should come back', () => {
    const rows = read(written, { ...library, attempts: [], clips: [] });
    expect(rows.flatMap((r) => r.notUnderstood)).toEqual([]);
    rows.forEach((row, i) => {
      const attempt = attempts[i]!;
      expect(row).toMatchObject({
        does: 'makes',
        angleId: attempt.angleId,
        inFrame: attempt.start.frame,
        outFrame: attempt.end.frame,
        note: clips[i]!.note,
        attempt: {
          subject: attempt.subject,
          state: attempt.state,
          action: attempt.action,
          intent: attempt.intent,
          result: attempt.result,
          depth: attempt.depth,
          controls: attempt.controls.map((c) => ({ ...withoutId(c), gained: null, lost: null })),
          reasons: attempt.reasons.map(withoutId),
        },
      });
    });
    expect(rows.length).toBe(attempts.length);
  });

  test('when it is told why it went so, that should come back, each detail known as it was', () => {
    const attempt: Attempt = {
      ...attempts[0]!,
      facts: [{ id: 'f', fact: 'knees-inside', value: 'one', side: 'left', whose: 'opponent', when: 'commit' }],
      alternatives: [
        { ...BARE_ALTERNATIVE, id: 'x', by: 'opponent', what: 'hips-out', isAction: false, why: 'late' },
        { ...BARE_ALTERNATIVE, id: 'y', by: 'subject', what: 'armlock', isAction: true },
      ],
    };
    const told: Attempt = {
      ...attempt,
      evidence: [
        { part: 'result', how: 'felt', proof: null, by: null },
        { part: 'fact:f', how: 'partly', proof: null, by: null },
        { part: `reaction:${attempt.reactions[0]!.id}`, how: 'hidden', proof: null, by: null },
      ],
    };
    const footage = footageOf(told);
    const list = clipsCsv([{ clip: clips[0]!, attempt: told, footage, table, camera: 'hall.mp4' }], library, words);
    const [row] = read(list, { ...library, attempts: [], clips: [] });
    expect(row!.notUnderstood).toEqual([]);
    if (row?.does !== 'makes') throw new Error('it makes nothing');
    let next = 0;
    const again = attemptRead(row.attempt, attempts[0]!, () => `new ${next++}`);
    expect(again.facts.map(withoutId)).toEqual(told.facts.map(withoutId));
    expect(again.alternatives.map(withoutId)).toEqual(told.alternatives.map(withoutId));
    expect(evidenceOf(again).map(({ part, how }) => [sayPart(again, part, words), how])).toEqual(
      told.evidence.map(({ part, how }) => [sayPart(told, part, words), how]),
    );
  });

  test('when the same list is read again, nothing should be made twice', () => {
    expect(new Set(read(written).map((r) => r.does))).toEqual(new Set(['there already']));
    const twice = read(`${written}${written.split('\r\n')[1]!}`, { ...library, attempts: [], clips: [] });
    expect(twice.at(-1)!.does).toBe('there already');
  });

  test('when footage was filmed twice, each line should come back to the camera that it was cut from', () => {
    const [angle] = library.angles;
    const phone = { ...angle!, id: 'phone angle', fileId: 'phone', offsetMs: 2000 };
    const twice: Library = {
      ...library,
      files: [...library.files, { id: 'phone', name: 'phone.mp4', timeBaseNum: 1, timeBaseDen: 25 } as MediaFile],
      angles: [...library.angles, phone],
      attempts: [],
      clips: [],
    };
    const [clip, attempt] = [clips[0]!, attempts[0]!];
    const footage = library.footage.find((f) => f.id === angle!.footageId)!;
    const line = (camera: string): string => clipsCsv([{ clip, attempt, footage, table, camera }], library, words);
    expect(read(line('phone.mp4'), twice)[0]).toMatchObject({ does: 'makes', angleId: 'phone angle' });
    expect(read(line('phone'), twice)[0]).toMatchObject({ angleId: 'phone angle', notUnderstood: [] });
    expect(read(line(''), twice)[0]).toMatchObject({ angleId: angle!.id, notUnderstood: [] });
    expect(read(line('drone'), twice)[0]).toMatchObject({
      does: 'makes',
      angleId: angle!.id,
      notUnderstood: [{ column: 'camera', text: 'drone' }],
    });
  });

  test('when a note looks like a formula, it should be written as text', () => {
    expect(written).toContain('"\'=looks like a formula, ""quoted""');
  });

  test('when cells are not understood, each should be named, and the clip be made without them', () => {
    const title = library.footage[0]!.title;
    const text = `Match;Start;End;Technique;Position;Outcome;Why\n${title};1:00;1:04;teleport;half guard, top;worked;too late; moon phase`;
    const [row] = read(text.replace('too late; moon phase', '"moon phase"'));
    expect(row).toMatchObject({
      line: 2,
      does: 'makes',
      inFrame: 1500,
      outFrame: 1600,
      attempt: { state: { position: 'half-guard', role: 'top' }, action: null, result: 'success' },
      notUnderstood: [
        { column: 'entry', text: 'teleport' },
        { column: 'why', text: 'moon phase' },
      ],
    });
  });

  test('when cells are said as the line is typed, they should be read as the line reads them', () => {
    const title = library.footage[0]!.title;
    const [row] = read(
      `footage,in,out,from,grips,entry,reaction,finish,result,why\n${title},1:00,1:04,half top,double underhooks; cross collar,kneeslice,framed,side ctrl top,stuffed,no angle cut`,
    );
    expect(row).toMatchObject({
      does: 'makes',
      notUnderstood: [],
      attempt: {
        state: { position: 'half-guard', role: 'top' },
        action: 'knee-through',
        controls: [
          { limb: 'arm', limbSide: 'left', kind: 'underhook' },
          { limb: 'arm', limbSide: 'right', kind: 'underhook' },
          { limb: 'hand', kind: 'grip', target: 'collar', reach: 'cross' },
        ],
        reactions: [{ what: 'frames' }],
        finish: { kind: 'state', position: 'side-control', role: 'top' },
        result: 'failed',
        reasons: [{ reason: 'no-angle' }],
      },
    });
  });

  test('when an athlete is named whom nobody knows, the line should make nothing and ask whose it is', () => {
    const footage = library.footage[0]!;
    const name = library.persons.find((p) => p.id === footage.athleteB)!.name;
    const rows = read(
      `footage,in,out,athlete\n${footage.title},1:00,1:04,Nobody Known\n${footage.title},1:00,1:04,${name}\n${footage.title},2:00,2:04,`,
    );
    expect(rows.map((r) => (r.does === 'makes' ? r.attempt.subject : r.does === 'nothing' && [r.why, r.said]))).toEqual(
      [['athlete', 'Nobody Known'], 'b', 'a'],
    );
  });

  test('when footage or times are missing or wrong, the line should make nothing and say why', () => {
    const title = library.footage[0]!.title;
    const rows = read(`footage,in,out\nnowhere,1,2\n${title},soon,2\n${title},1,99999\n${title},3,2`);
    expect(rows.map((r) => r.does === 'nothing' && r.why)).toEqual(['footage', 'in', 'out', 'out before in']);
  });

  test('when columns are called otherwise, the mapping should be what is chosen', () => {
    expect(guessMapping(['Comment', 'Video', 'who', 'zzz'])).toEqual({ footage: 1, athlete: 2, note: 0 });
    const title = library.footage[0]!.title;
    const [row] = read(`a,b,c\n2,${title},1`, library, { footage: 1, in: 2, out: 0 });
    expect(row).toMatchObject({ does: 'makes', inFrame: 25, outFrame: 50 });
  });
});
