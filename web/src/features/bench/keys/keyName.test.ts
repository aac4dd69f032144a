import { describe, expect, test } from '@jest/globals';
import { keyName } from './usePictureKeys.js';

describe('keys', () => {
  test.each([
    [{ key: 'I' }, 'i'],
    [{ key: 'ArrowLeft', shiftKey: true }, 'shift+ArrowLeft'],
    [{ key: 'z', ctrlKey: true }, 'ctrl+z'],
    [{ key: 'z', metaKey: true }, 'ctrl+z'],
    [{ key: ' ' }, ' '],
  ])('when %o is pressed, it should be called "%s"', (event, name) => {
    expect(keyName({ shiftKey: false, ctrlKey: false, metaKey: false, ...event })).toBe(name);
  });
});
