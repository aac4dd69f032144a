import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedWords } from '../vocabulary/index.js';
import { harmless, readAliases, readCsv, wordsCsv, writeCsv } from './index.js';

describe('comma separated text', () => {
  test('when any texts are written and read again, they should be the same, whatever stands in them', () => {
    const cell = fc.string({ unit: fc.constantFrom('a', 'ã', '"', ',', ';', '\n', '=', '+', '-', '@', "'", '1', ' ') });
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1 }), (rows) => {
        const trimmed = rows.map((row) => row.map((c) => c.trim()));
        const read = readCsv(writeCsv(['one', 'two'], trimmed));
        const kept = trimmed.filter((row) => row.some((c) => c !== ''));
        // an apostrophe before a formula is how such a text is written
        const plain = (c: string): string => (/^'[=+\-@]/.test(c) ? c.slice(1) : c);
        expect(read.rows.map((r) => r.cells)).toEqual(kept.map((row) => row.map(plain)));
      }),
    );
  });

  test.each([
    ['=HYPERLINK("x")', '\'=HYPERLINK("x")'],
    ['+1+1', "'+1+1"],
    ['-2+3', "'-2+3"],
    ['@sum', "'@sum"],
    ['-2.5', '-2.5'],
    ['half guard', 'half guard'],
  ])('when a cell is %s, it should be written so that no spreadsheet computes it', (cell, written) => {
    expect(harmless(cell)).toBe(written);
  });

  test('when lines end or cells hold line ends, each row should know the line it began on', () => {
    const { head, rows } = readCsv('a;b\r\n"x\ny";1\r\n\r\nz;2');
    expect(head).toEqual(['a', 'b']);
    expect(rows).toEqual([
      { line: 2, cells: ['x\ny', '1'] },
      { line: 5, cells: ['z', '2'] },
    ]);
  });
});

describe('words as a list', () => {
  const words = shippedWords();

  test('when all words are written and read again, every alias should be known already', () => {
    const lines = readAliases(wordsCsv(words), words);
    expect(lines).not.toBe('head missing');
    const did = new Set((lines as Exclude<typeof lines, string>).map((l) => (l.does === 'nothing' ? l.why : l.does)));
    expect([...did].filter((d) => d !== 'known' && d !== 'no alias')).toEqual([]);
  });

  test('when a list is read, each line should say what it would do', () => {
    const text =
      'alias,kind,name\nsofa hug,position,closed guard\nSOFA  hug,position,closed guard\nx,posture,mount\nx,position,nowhere\n,position,mount\nguarda fechada,position,closed guard';
    const lines = readAliases(text, words) as Exclude<ReturnType<typeof readAliases>, string>;
    expect(lines.map((l) => [l.line, l.does === 'nothing' ? l.why : l.does])).toEqual([
      [2, 'adds'],
      [3, 'twice'],
      [4, 'kind'],
      [5, 'name'],
      [6, 'no alias'],
      [7, 'known'],
    ]);
    expect(readAliases('art,name,alias\n', words)).toBe('head missing');
  });

  test('when an alias means something else as well, that should be said', () => {
    const other = words.of('action')[0]!;
    const [line] = readAliases(`kind,name,alias\nposition,mount,${other.name}`, words) as Exclude<
      ReturnType<typeof readAliases>,
      string
    >;
    expect(line).toMatchObject({ does: 'adds', alsoMeans: [`action: ${other.name}`] });
  });
});
