import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { normalEmail } from './email.js';

describe('addresses', () => {
  test.each([
    [' Coach@Tidegate.EXAMPLE ', 'coach@tidegate.example'],
    ['coach@tidegate.exàmple', 'coach@tidegate.xn--exmple-jta'],
    // composed and decomposed are the same letter
    ['coach@tidegate.exa\u0300mple', 'coach@tidegate.xn--exmple-jta'],
    ['jose\u0301@room.example', 'jos\u00e9@room.example'],
    // read as the same letters, and so the same address
    ['coach@ｔidegate.example', 'coach@tidegate.example'],
    ['coach@tidegate。example', 'coach@tidegate.example'],
    ['a.b+mats@room.example', 'a.b+mats@room.example'],
    ['coach@localhost', 'coach@localhost'],
  ])('when %j is given, it should be kept as %s', (said, kept) => {
    expect(normalEmail(said)).toBe(kept);
  });

  test.each([
    'coach@tide\u200bgate.example',
    'co\u200bach@tidegate.example',
    'coach\u0000@tidegate.example',
    'coach@tidegate.example\u0000',
    'ｃoach@tidegate.example',
    'coach@tidegate.example\ud800',
    'co\u00adach@tidegate.example',
    'coach @tidegate.example',
    'coach@tide gate.example',
    'coach@',
    '@tidegate.example',
    'coach',
    '',
    'a@b@',
    '.coach@tidegate.example',
    'coach@-tidegate.example',
    'coach@tidegate..example',
    `${'a'.repeat(65)}@tidegate.example`,
    `a@${'b'.repeat(60)}.${'c'.repeat(60)}.${'d'.repeat(60)}.${'e'.repeat(60)}.${'f'.repeat(20)}`,
  ])('when %j is given, it should be refused', (said) => {
    expect(normalEmail(said)).toBeUndefined();
  });

  test('when an address has its form, it should keep it; and no two that read alike should both stand', () => {
    const address = fc.tuple(
      fc.string({ unit: 'grapheme', maxLength: 12 }),
      fc.string({ unit: 'grapheme', maxLength: 12 }),
    );
    fc.assert(
      fc.property(address, ([local, domain]) => {
        const once = normalEmail(`${local}@${domain}.example`);
        if (once === undefined) return;
        expect(normalEmail(once)).toBe(once);
        expect(once.normalize('NFKC')).toBe(once);
        expect(once.split('@')[1]).toMatch(/^[a-z0-9.-]+$/);
      }),
      { numRuns: 500 },
    );
  });
});
