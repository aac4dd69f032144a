import { describe, expect, test } from '@jest/globals';
import { evidenceText } from '../../design/index.js';
import { failureText, fieldName, refusalText } from './refusal.text.js';

describe('what went wrong, in words', () => {
  test('when fields are wrong, each should be named in the words of the interface', () => {
    expect(
      refusalText({
        code: 'invalid',
        facts: {
          fields: [{ field: 'clip.outFrame', fault: { code: 'not-after', facts: { field: 'inFrame' } } }],
        },
      }),
    ).toBe('out: has to come after in');
    expect(fieldName('attempt.state.position')).toBe('position');
    expect(fieldName('something.else')).toBe('something.else');
  });

  test('when somebody else was faster, it should say what they changed', () => {
    expect(
      refusalText({
        code: 'stale',
        facts: { version: 2, fields: [{ field: 'action', yours: 1, theirs: 2 }] },
      }),
    ).toContain('entry');
  });

  test('when the server is not there, it should say that nothing was sent', () => {
    expect(failureText({ status: 'FETCH_ERROR' })).toContain('Can’t reach the server');
    expect(failureText({ status: 401, data: { code: 'wrong-sign-in', facts: {} } })).toContain('don’t match');
    expect(failureText(undefined)).toContain('went wrong');
  });
});

describe('evidence in words', () => {
  const line = {
    attempts: 12,
    worked: 8,
    count: 7,
    successes: 5,
    picked: 0,
    shown: 0,
    proposed: 0,
    given: 0,
    thrown: 0,
    interval: undefined,
  };

  test('when attempts ended in several places, it should say how many ended here', () => {
    expect(evidenceText(line)).toBe('worked 8 of 12, led there 7 of 12 (5 by working)');
    expect(evidenceText({ ...line, successes: 0 }, 'here')).toBe('worked 8 of 12, led here 7 of 12 (none by working)');
    expect(evidenceText({ ...line, count: 12, successes: 8 })).toBe('worked 8 of 12');
    // a takedown that worked both times and ended in two places
    const both = { ...line, attempts: 2, worked: 2, count: 1, successes: 1 };
    expect(evidenceText(both)).toBe('worked 2 of 2, led there 1 of 2');
  });

  test('when some of it was only proposed, that should stand beside the figure', () => {
    expect(evidenceText({ ...line, proposed: 2 })).toBe(`${evidenceText(line)}; of these 2 proposed`);
  });

  test('when a mistake that nobody brought about decided it, that should stand beside the figure', () => {
    expect(evidenceText({ ...line, given: 2, thrown: 1 })).toBe(`${evidenceText(line)}; 2 given; 1 thrown away`);
  });

  test('when clips were picked or only shown, no rate should be claimed', () => {
    expect(evidenceText({ ...line, attempts: 0, picked: 3 })).toBe('seen 3, highlights only');
    expect(evidenceText({ ...line, attempts: 0, shown: 2 })).toBe('shown 2; nothing known of how well it works');
  });
});
