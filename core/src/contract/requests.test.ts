import { describe, expect, test } from '@jest/globals';
import { attemptEdit, clipEdit, footageEdit, libraryFile, newClip, newFootage, signIn } from './index.js';

const ID = '01c29c88-57ac-7843-a116-b40c6a451c83';
const clip = { editId: ID, attempt: { id: ID, subject: 'a' }, clip: { id: ID, angleId: ID, inFrame: 3, outFrame: 9 } };
const wrongFields = (result: {
  error?: { details: readonly { path: readonly (string | number)[] }[] } | undefined;
}): string[] => result.error?.details.map((d) => d.path.join('.')) ?? [];

describe('requests', () => {
  test('when a clip says no more than its frames and whose action it is, it should be taken', () => {
    expect(wrongFields(newClip.validate(clip))).toEqual([]);
  });

  test.each([
    [{ ...clip, clip: { ...clip.clip, outFrame: 3 } }, 'clip.outFrame'],
    [{ ...clip, clip: { ...clip.clip, inFrame: -1 } }, 'clip.inFrame'],
    [{ ...clip, clip: { ...clip.clip, inFrame: 1.5 } }, 'clip.inFrame'],
    [{ ...clip, clip: { ...clip.clip, note: 'x'.repeat(4001) } }, 'clip.note'],
    [{ ...clip, attempt: { ...clip.attempt, subject: 'c' } }, 'attempt.subject'],
    [{ ...clip, attempt: { ...clip.attempt, state: { position: 'Mount!', role: 'top' } } }, 'attempt.state.position'],
    [{ ...clip, attempt: { ...clip.attempt, depth: 5 } }, 'attempt.depth'],
    [
      { ...clip, attempt: { ...clip.attempt, finish: { kind: 'submission', submission: 'rear-choke' } } },
      'attempt.finish.won',
    ],
    [{ ...clip, attempt: { ...clip.attempt, sneaked: 1 } }, 'attempt.sneaked'],
    [{ ...clip, attempt: { ...clip.attempt, id: '3f0c8f0e-5b0a-4c57-8e3a-1a2b3c4d5e6f' } }, 'attempt.id'],
    [{ ...clip, editId: undefined }, 'editId'],
  ])('when one field is broken, that field should be named (%#)', (body, field) => {
    expect(wrongFields(newClip.validate(body, { abortEarly: false }))).toEqual([field]);
  });

  test('when an edit changes nothing or has no base version, it should be refused', () => {
    expect(wrongFields(attemptEdit.validate({ editId: ID, baseVersion: 1, changes: {} }))).toEqual(['changes']);
    expect(wrongFields(clipEdit.validate({ editId: ID, changes: { note: 'x' } }))).toEqual(['baseVersion']);
    expect(wrongFields(footageEdit.validate({ editId: ID, baseVersion: 1, changes: { title: '  ' } }))).toEqual([
      'changes.title',
    ]);
  });

  test.each([
    ['2031-02-29', false],
    ['2032-02-29', true],
    ['24.5.2031', false],
    ['2031-13-01', false],
  ])('when the day is %s, it should be a day of the calendar or be refused', (date, isDay) => {
    const body = {
      editId: ID,
      id: ID,
      angleId: ID,
      fileId: ID,
      athleteA: { id: ID, name: 'A' },
      athleteB: { id: ID, name: 'B' },
      title: 't',
      setting: 'training',
      gi: true,
      date,
    };
    expect(wrongFields(newFootage.validate(body))).toEqual(isDay ? [] : ['date']);
  });

  test('when somebody signs in, the mail should be trimmed and in lower case', () => {
    expect(signIn.validate({ email: ' Coach@Example.Example ', password: 'x' }).value).toEqual({
      email: 'coach@example.example',
      password: 'x',
    });
  });

  test('when a file is no library, reading it should say which part is missing', () => {
    expect(wrongFields(libraryFile.validate({ format: 'something else' }, { abortEarly: false }))).toEqual(
      expect.arrayContaining(['format', 'formatVersion', 'attempts']),
    );
  });
});
