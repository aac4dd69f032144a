import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readCaptions } from './index.js';

describe('captions', () => {
  test('when a WebVTT file has settings, notes, styles and tags, only the words should be read, in their order', () => {
    const text = [
      'WEBVTT - with a title',
      '',
      'NOTE nothing',
      '',
      'STYLE',
      '::cue { color: red }',
      '',
      'two',
      '01:00:02.500 --> 01:00:04.000 align:start position:10%',
      '<v Coach>Knee &amp; elbow</v>',
      'together',
      '',
      '00:01.000 --> 00:02.250',
      'Hips low',
    ].join('\r\n');
    expect(readCaptions(text)).toEqual({
      captions: [
        { fromS: 1, toS: 2.25, text: 'Hips low' },
        { fromS: 3602.5, toS: 3604, text: 'Knee & elbow together' },
      ],
      unread: 0,
    });
  });

  test('when a SubRip file has commas and numbers, it should be read alike; broken blocks are counted', () => {
    const text =
      '\uFEFF1\n00:00:01,000 --> 00:00:02,000\nOne\n\n2\n00:00:05,000 --> 00:00:04,000\nBackwards\n\n3\n00:00:06,000 --> 00:00:07,000\n\n4\nxx --> yy\nNo time';
    const { captions, unread } = readCaptions(text);
    expect(captions.map((c) => c.text)).toEqual(['One']);
    expect(unread).toBe(3);
  });

  test('when anything is given, nothing should be thrown, and captions lie in order with an end behind their beginning', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('00:01.000', ' --> ', '\n', '\n\n', '9:59.9', 'words', '<i>', ':', '--')),
        (parts) => {
          const { captions } = readCaptions(parts.join(''));
          captions.forEach((c, i) => {
            expect(c.toS).toBeGreaterThan(c.fromS);
            expect(c.text).not.toBe('');
            if (i) expect(c.fromS).toBeGreaterThanOrEqual(captions[i - 1]!.fromS);
          });
        },
      ),
    );
  });
});
