import { describe, expect, test } from '@jest/globals';
import { readPhrase, phraseFacts } from '../phrase/index.js';
import { shippedWords } from '../vocabulary/index.js';
import { readVocabulary, wordsCsv } from './index.js';

const read = (text: string) => {
  const found = readVocabulary(text);
  if (found === 'head missing') throw new Error(found);
  return found;
};
const terms = (line: string, words: ReturnType<typeof read>['words']): readonly string[] =>
  phraseFacts(line, readPhrase(line, words), words).parts.map((p) =>
    [p.part, p.term, p.role].filter(Boolean).join(' '),
  );

describe('a list of words', () => {
  test('when the shipped words go out as a list and come in again, a phrase should read the same', () => {
    const { words, skipped } = read(wordsCsv(shippedWords()));
    expect(skipped).toEqual([]);
    for (const line of ['half top, knee slice, they frame, side control, ok', 'mount, armbar, armlock won'])
      expect(terms(line, words)).toEqual(terms(line, shippedWords()));
  });

  test('when words come that nobody has seen, phrases should be read by them, in any role that is said', () => {
    const { words } = read(
      'Kind,Name,Aliases\nposition,zigzag guard,zz|zig guard\nstate,side pin,\nentry,corkscrew pass,corky\ngrip,sleeve,cuff\nreaction,squirms away,',
    );
    expect(terms('zigzag guard bottom, left cuff, corky, they squirm, side pin top, ok', words)).toEqual([
      'position zigzag guard bottom',
      'grip sleeve',
      'entry corkscrew pass',
      'reaction squirms away',
      'finish side pin top',
      'result worked',
    ]);
    expect(terms('zz, corkscrw pass', words)).toEqual(['position zigzag guard', 'entry corkscrew pass']);
  });

  test('when two lists hold different words, reading by the one should not change reading by the other', () => {
    const line = 'mount, thenn, armbar';
    const before = terms(line, shippedWords());
    const { words } = read('kind,name,alias\nposition,mount,\naction,thenn,\n');
    expect(terms(line, words)).toContain('entry thenn');
    expect(terms(line, shippedWords())).toEqual(before);
  });

  test('when a list says what its words are, they should be full words; a shipped word comes by its name alone, and clashes are said', () => {
    const { words, clashes } = read(
      [
        'kind,name,alias,roles,family,height,lead,parent,does,from,aims,language',
        'position,ladder guard,ladder,bottom|top,open guard,0.3,top leg,,,,,',
        'position,high ladder,,bottom|top,open guard,,,ladder guard,,,,',
        'position,ladder guard,hashigo,,,,,,,,,ja',
        'action,rung sweep,,,,,,,sweep,open guard,ladder guard top|harbour clamp,',
        'submission,harbour clamp,ladder,,,,,,,,,',
        'action,knee slice,,,,,,,,,,',
        'position,other one,ladder,top|bottom,pin,,,,,,,',
      ].join('\n'),
    );
    expect(words.position('ladder-guard')).toMatchObject({
      ...{ family: 'open guard', height: 0.3, roles: ['bottom', 'top'], lead: { role: 'top', limb: 'leg' } },
      ...{ aliases: ['ladder', 'hashigo'], languages: { hashigo: 'ja' } },
    });
    expect(words.position('high-ladder')).toMatchObject({ parent: 'ladder-guard' });
    expect(words.action('rung-sweep')).toMatchObject({
      ...{ does: 'sweep', from: ['open guard'] },
      aims: [{ position: 'ladder-guard', role: 'top' }, { submission: 'harbour-clamp' }],
    });
    // an alias of a shipped word is no shipped word
    expect(words.action('knee-slice')).toMatchObject({ does: 'advance', aims: [] });
    expect(words.action('try-harbour-clamp')).toMatchObject({ aims: [{ submission: 'harbour-clamp' }] });
    expect(clashes).toEqual([{ kind: 'position', alias: 'ladder', name: ['ladder guard', 'other one'] }]);
  });

  test('when a line is of no known kind or names nothing, it should be given back; without a head nothing is read', () => {
    expect(read('kind,name,alias\nmood,cheerful,\nposition,,x\nposition,mount,m').skipped).toEqual([2, 3]);
    expect(readVocabulary('a,b\n1,2')).toBe('head missing');
  });
});
