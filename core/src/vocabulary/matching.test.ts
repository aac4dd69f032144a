import { describe, expect, test } from '@jest/globals';
import { entryChoices, finishChoices, placeChoices, resultChoices } from '../phrase/index.js';
import { matchWords, shippedWords, tokens, type Sayable } from './index.js';

const words = shippedWords();
const best = <T>(typed: string, choices: readonly Sayable<T>[]): T | undefined => matchWords(typed, choices)[0]?.value;

describe('what a typed text means', () => {
  test.each([
    ['half top', 'half-guard/top'],
    ['hlaf guard top', 'half-guard/top'],
    ['meia guarda top', 'half-guard/top'],
    ['z half bottom', 'knee-shield/bottom'],
    ['back att', 'back/attacker'],
    ['full mount on top', 'mount/top'],
    ['fifty fifty', 'fifty-fifty/even'],
  ])('when "%s" is typed for a position, %s should stand first', (typed, place) => {
    const found = best(typed, placeChoices(words))!;
    expect(`${found.position}/${found.role}`).toBe(place);
  });

  test.each([
    ['knee slice', 'knee-through'],
    ['kene slice', 'knee-through'],
    ['armbar', 'armlock'],
    ['upa', 'bridge-and-roll'],
    ['mata leao', 'rear-choke'],
    ['mata leão', 'rear-choke'],
  ])('when "%s" is typed for an entry, %s should stand first', (typed, key) => {
    expect(best(typed, entryChoices(words, null))).toBe(key);
  });

  test('when two entries fit alike, the one that starts from the position should stand first', () => {
    const state = { position: 'turtle', role: 'top' } as const;
    expect(matchWords('', entryChoices(words, state))[0]!.value).toMatch(
      /^(go-behind|back-take|double-wrist-lock|rear-choke|front-choke|turn-in)$/,
    );
    expect(best('ba', entryChoices(words, state))).toBe('back-take');
  });

  test('when a finish is typed, what the action aims at should stand before the rest', () => {
    expect(matchWords('', finishChoices(words, { position: 'mount', role: 'top' }, 'armlock'))[0]!.value).toEqual({
      kind: 'submission',
      submission: 'straight-armlock',
      won: true,
    });
    expect(best('side', finishChoices(words, { position: 'half-guard', role: 'top' }, 'knee-through'))).toEqual({
      kind: 'state',
      position: 'side-control',
      role: 'top',
    });
    expect(best('mount top', finishChoices(words, { position: 'half-guard', role: 'top' }, 'knee-through'))).toEqual({
      kind: 'state',
      position: 'mount',
      role: 'top',
    });
    expect(best('edge', finishChoices(words, null, null))).toEqual({ kind: 'reset', how: 'edge', restart: null });
    expect(best('rear choke caught', finishChoices(words, null, null))).toEqual({
      kind: 'submission',
      submission: 'rear-choke',
      won: false,
    });
  });

  test.each([
    ['ok', 'success'],
    ['worked', 'success'],
    ['no', 'failed'],
    ['part', 'partial'],
    ['drop', 'abandoned'],
  ])('when "%s" is typed for a result, it should be %s', (typed, result) => {
    expect(best(typed, resultChoices())).toBe(result);
  });

  test('when the name of any word is typed whole, that word should stand first', () => {
    for (const kind of ['action', 'submission', 'reaction', 'reason', 'target'] as const) {
      const choices = words.of(kind).map((w) => ({ value: w.key, texts: [w.name, ...w.aliases] }));
      for (const w of words.of(kind)) expect([w.name, best(w.name, choices)]).toEqual([w.name, w.key]);
    }
  });

  test('when nothing sounds like it, nothing should be offered', () => {
    expect(matchWords('zzqx', entryChoices(words, null))).toEqual([]);
    expect(tokens('  Tesoura, À la mode!  ')).toEqual(['tesoura', 'a', 'la', 'mode']);
  });
});
