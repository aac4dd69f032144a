import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  SHIPPED_WORDS,
  shippedWords,
  withChanges,
  type Word,
  type WordChange,
  type Words,
} from '../vocabulary/index.js';
import { harmless, readCsv, readWords, wordsCsv, writeCsv, type WordLine } from './index.js';

const read = (text: string, words: Words): readonly WordLine[] => {
  const lines = readWords(text, words);
  if (lines === 'head missing') throw new Error(lines);
  return lines;
};

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

/** Words of somebody's own, of every kind and with all that can be said of them. */
const OWN: readonly WordChange[] = [
  {
    ...{ id: '1', version: 1, kind: 'position', key: 'own-ladder-guard', name: 'ladder guard' },
    aliases: [
      { id: 'a', alias: 'hashigo', scope: { kind: 'academy' }, language: 'ja' },
      { id: 'b', alias: 'rungs', scope: { kind: 'academy' } },
    ],
    definition: {
      ...{ kind: 'position', family: 'open guard', roles: ['bottom', 'top'], height: 0.5, parent: 'open-guard' },
      lead: { role: 'top', limb: 'leg' },
      requires: [{ holder: 'bottom', limb: 'hand', kind: 'grip', target: 'sleeve', cloth: true, bothSides: true }],
    },
  },
  {
    ...{ id: '2', version: 1, kind: 'action', key: 'own-rung-sweep', name: 'rung sweep' },
    definition: {
      ...{ kind: 'action', does: 'sweep', from: ['open guard', 'half guard'], parent: 'sweep', dangers: ['knee'] },
      aims: [
        { position: 'own-ladder-guard', role: 'top' },
        { family: 'pin', role: 'top' },
        { submission: 'own-harbour-clamp' },
      ],
      ladder: ['not begun', 'first rung', 'second rung', 'third rung', 'over'],
    },
  },
  {
    ...{ id: '3', version: 1, kind: 'submission', key: 'own-harbour-clamp', name: 'harbour clamp' },
    definition: {
      kind: 'submission',
      risk: { injures: 'elbow', class: 'joint lock', pain: 'warns', care: 'Slowly; tap early.' },
    },
  },
  {
    ...{ id: '4', version: 1, kind: 'target', key: 'own-rope-grip', name: 'rope grip' },
    definition: {
      ...{ kind: 'target', cloth: false, sided: false },
      grips: [
        { limb: 'hand', limbSide: 'left', kind: 'grip', target: 'wrist' },
        { limb: 'arm', kind: 'lock', target: 'neck' },
      ],
    },
  },
  { ...{ id: '5', version: 1, kind: 'reason', key: 'own-high-sea', name: 'high sea' }, definition: { kind: 'reason' } },
  {
    ...{ id: '6', version: 1, kind: 'fact', key: 'own-chin', name: 'chin' },
    definition: {
      ...{ kind: 'fact', sided: false, families: ['back'], whose: 'opponent' },
      values: [
        { key: 'chin-tucked', says: 'chin tucked', aliases: ['chin down', 'chin hidden'] },
        { key: 'chin-up', says: 'chin up', aliases: [] },
      ],
    },
  },
];

describe('words as a list', () => {
  const words = shippedWords();

  test('when all words are written and read again, every alias should be known already', () => {
    const lines = readWords(wordsCsv(words), words);
    expect(lines).not.toBe('head missing');
    const did = new Set((lines as Exclude<typeof lines, string>).map((l) => (l.does === 'nothing' ? l.why : l.does)));
    expect([...did].filter((d) => d !== 'known' && d !== 'no alias')).toEqual([]);
  });

  test('when a list is read, each line should say what it would do', () => {
    const text =
      'alias,kind,name\nsofa hug,position,closed guard\nSOFA  hug,position,closed guard\nx,posture,mount\nx,position,nowhere\n,position,mount\nguarda fechada,position,closed guard';
    const lines = readWords(text, words) as Exclude<ReturnType<typeof readWords>, string>;
    expect(lines.map((l) => [l.line, l.does === 'nothing' ? l.why : l.does])).toEqual([
      [2, 'adds'],
      [3, 'twice'],
      [4, 'kind'],
      [5, 'name'],
      [6, 'no alias'],
      [7, 'known'],
    ]);
    expect(readWords('art,name,alias\n', words)).toBe('head missing');
  });

  test('when a list says the values of a fact anew, each should stay under the key it had, with what the list does not say', () => {
    const before = { key: 'value-1', says: 'chin tucked', theirs: 'their chin tucked', aliases: ['chin down'] };
    const definition = { kind: 'fact', sided: false, families: [], whose: 'opponent', values: [before] } as const;
    const own = withChanges(SHIPPED_WORDS, [
      { id: '1', version: 1, kind: 'fact', key: 'own-chin', name: 'chin', definition },
    ]);
    const text = 'kind,name,alias,values\nfact,chin,,Chin tucked = chin hidden | chin up\n';
    const [line] = readWords(text, own, () => definition) as readonly WordLine[];
    expect(line).toMatchObject({
      does: 'changes',
      definition: {
        values: [
          { ...before, says: 'Chin tucked', aliases: ['chin hidden'] },
          { key: 'chin-up', says: 'chin up', aliases: [] },
        ],
      },
    });
  });

  test('when an academy’s own words go out as a list, another academy should get them whole, and the first see nothing new in them', () => {
    const own = withChanges(SHIPPED_WORDS, OWN);
    const isOwn = (word: Word): boolean => OWN.some((c) => c.key === word.key);
    const text = wordsCsv(own, isOwn);
    const made = read(text, words).flatMap((l) => (l.does === 'makes' ? [l] : []));
    expect(made.map(({ key, definition, faults }) => ({ key, definition, faults }))).toEqual(
      OWN.map(({ key, definition }) => ({ key, definition, faults: [] })),
    );
    const adds = read(text, words).flatMap((l) => (l.does === 'adds' || l.does === 'makes' ? [l] : []));
    expect(adds.filter((l) => l.alias).map((l) => [l.key, l.alias, l.language])).toEqual([
      ['own-ladder-guard', 'hashigo', 'ja'],
      ['own-ladder-guard', 'rungs', undefined],
    ]);
    const again = readWords(text, own, (_, key) => OWN.find((c) => c.key === key)?.definition);
    expect(
      (again as readonly WordLine[]).filter(
        (l) => l.does !== 'known' && !(l.does === 'nothing' && l.why === 'no alias'),
      ),
    ).toEqual([]);
    const [changed] = readWords(
      text
        .replace('yes,open guard,bottom | top,0.5,top leg', 'yes,open guard,bottom | top,0.75,bottom arm')
        .split('\n')
        .filter((l, i) => i === 0 || l.includes('ladder guard,h'))
        .join('\n'),
      own,
      (_, key) => OWN.find((c) => c.key === key)?.definition,
    ) as readonly WordLine[];
    expect(changed).toMatchObject({
      ...{ does: 'changes', key: 'own-ladder-guard' },
      definition: { height: 0.75, lead: { role: 'bottom', limb: 'arm' }, requires: [{ target: 'sleeve' }] },
    });
  });

  test('when a list names what nobody knows, it should make a word only where it says what that is, and tell what it did not understand', () => {
    const lines = read(
      [
        'kind,name,alias,own,family,roles,lead,parent,injures,care,aims',
        'position,clsed guard,x,,,,,,,,',
        'position,rope guard,,,open guard,bottom|top,top ear,sea guard,,,',
        'position,lone guard,,,pin,top,,,,,',
        'submission,rope lock,,yes,,,,,,,',
        'reaction,swims off,,yes,,,,,,,',
        'action,to the rope,,,,,,,,,rope guard top|nowhere bottom',
      ].join('\n'),
      words,
    );
    expect(lines.map((l) => (l.does === 'nothing' ? l.why : l.does))).toEqual([
      'name',
      'makes',
      'sides',
      'risk',
      'makes',
      'makes',
    ]);
    expect(lines[1]).toMatchObject({
      faults: [
        { column: 'parent', text: 'sea guard' },
        { column: 'lead', text: 'top ear' },
      ],
    });
    expect(lines[5]).toMatchObject({
      definition: { aims: [{ position: 'own-rope-guard', role: 'top' }] },
      faults: [{ column: 'aims', text: 'nowhere bottom' }],
    });
  });

  test('when an alias means something else as well, that should be said', () => {
    const other = words.of('action')[0]!;
    const [line] = readWords(`kind,name,alias\nposition,mount,${other.name}`, words) as Exclude<
      ReturnType<typeof readWords>,
      string
    >;
    expect(line).toMatchObject({ does: 'adds', alsoMeans: [`action: ${other.name}`] });
  });
});
