import {
  sayControl,
  BARE_HOLD,
  valuesOf,
  type Danger,
  type NamedGrip,
  type Scope,
  type Word,
  type WordKind,
  type WordLine,
  type Words,
} from '@odograph/core';
import type { ShownLanguage } from './shownLanguage.js';

export const KIND_NAMES: Record<WordKind, string> = {
  position: 'Positions',
  action: 'Entries',
  target: 'Grips',
  submission: 'Submissions',
  reaction: 'Reactions',
  reason: 'Reasons',
  fact: 'How they stood',
};
export const KIND_ONE: Record<WordKind, string> = {
  position: 'position',
  action: 'entry',
  target: 'grip target',
  submission: 'submission',
  reaction: 'reaction',
  reason: 'reason',
  fact: 'fact',
};

export const LANGUAGE_NAMES: Record<ShownLanguage, string> = {
  all: 'all',
  en: 'English',
  ja: 'Japanese',
  pt: 'Portuguese',
};

const heightText = (h: number): string => (h > 0 ? `+${h}` : h < 0 ? `−${-h}` : '0');

/** A hold of a grip that has a name of its own, in words. */
const gripText = (grip: NamedGrip, words: Words): string =>
  sayControl(
    {
      ...BARE_HOLD,
      ...{ id: '', holder: 'subject', targetOwner: 'other', targetSide: null, cloth: false, limbSide: null },
      ...grip,
    },
    words,
  );

/** What a word is beside its names, in a short sentence. */
export const definitionText = (word: Word, words: Words): string => {
  switch (word.kind) {
    case 'position':
      return `${word.family}; ${word.roles.join(', ')}; height ${heightText(word.height)} for ${word.roles[0]}${word.why ? ` (${word.why.replace(/\.$/, '')})` : ''}${word.parent ? `; a kind of ${words.name('position', word.parent)}` : ''}`;
    case 'action':
      return `${word.does}${word.from.length ? ` from ${word.from.join(', ')}` : ''}`;
    case 'target':
      return word.grips
        ? `a grip: ${word.grips.map((g) => gripText(g, words)).join(' and ')}`
        : `${word.cloth ? 'cloth' : 'body'}${word.sided ? ', left and right' : ''}`;
    case 'submission':
      return `${word.risk.class}; can injure the ${word.risk.injures}; pain ${word.risk.pain}`;
    case 'reaction':
    case 'reason':
      return '';
    case 'fact':
      return valuesOf(word)
        .map((v) => v.says)
        .join(', ');
  }
};

export const scopeText = (scope: Scope, names: (scope: Scope) => string | undefined): string =>
  scope.kind === 'academy' ? 'everybody' : (names(scope) ?? (scope.kind === 'coach' ? 'one coach' : 'one footage'));

export const WORDS_TEXT = {
  needed: 'has to be said',
  roleSets: { even: 'even', vertical: 'top and bottom', holding: 'attacker and defender' },
  madeOf: { body: 'body', cloth: 'cloth' },
  many: { yes: 'there are two', no: 'there is one' },
  title: 'Words',
  lead: 'Every word has one name and any number of other names; all of them are understood wherever something is typed.',
  find: 'Find a word of any kind',
  add: 'New word',
  change: 'Change',
  hidden: 'hidden',
  own: 'own',
  renamed: (name: string): string => `ships as ${name}`,
  none: 'No word by that name.',
  found: 'Words found',
  language: 'Other names in',
  name: 'Name',
  aliases: 'Also called',
  addAlias: 'Another name',
  forWhom: 'for',
  everybody: 'everybody',
  onlyMe: 'only me',
  hide: 'Don’t suggest it',
  hideHint: 'It stays readable where it was used before.',
  offered: 'Offered to',
  holds: (whom: string): string => `for ${whom}`,
  holdsFor: 'New name and hiding apply to',
  keep: 'Save',
  cancel: 'Cancel',
  shipped: 'Back to default',
  toBin: 'Move to bin',
  needsName: 'needs a name',
  taken: (other: string): string => `already called that: ${other}`,
  meansAlso: (others: string): string => `also means ${others}; whichever fits comes first`,
  family: 'Family',
  roles: 'Roles',
  height: (role: string): string => `Height of the ${role}, −5 to +5`,
  does: 'What it’s for',
  from: 'It starts in',
  aim: 'It aims at',
  noAim: 'not said',
  notAim: 'Not an aim',
  oneMoreAim: 'and',
  parent: 'A kind of',
  noParent: 'nothing else',
  namedSide: 'The side that is named',
  noLead: 'no side',
  leadOf: (role: string, limb: string): string => `${limb} of ${role === 'even' ? 'whoever acts' : `the ${role}`}`,
  dangers: 'What it can do by itself',
  ladder: 'How far it came, in five steps',
  usualLadder: (rungs: readonly string[]): string => `as usual: ${rungs.join(', ')}`,
  ownLadder: 'in words of its own',
  rung: (depth: number): string => `Step ${depth}`,
  aliasLanguage: (alias: string): string => `Language of ${alias}`,
  what: 'It is',
  placeToHold: 'a place to hold',
  wholeGrip: 'a whole grip',
  made: 'Made of',
  sided: 'Left and right',
  injures: 'What it can injure',
  riskClass: 'How it works',
  pain: 'Pain',
  care: 'How to do it safely',
  careHint: 'What must be kept in mind: tap early, release at once, who may do it and in which form.',
  save: 'Save as a list',
  read: 'Read a list',
  headMissing: 'The first line has to name the columns: kind, name, alias.',
  takeIn: (n: number): string => (n === 1 ? 'Add this line' : `Add these ${n} lines`),
  addsIt: 'adds it',
  makes: (kind: string): string => `a new ${kind} of your own`,
  changes: 'redefines it',
  cellFaults: (faults: readonly string[]): string => `not understood: ${faults.join(', ')}`,
  lines: (lines: readonly WordLine[]): string => {
    const n = (does: WordLine['does']): number => lines.filter((line) => line.does === does).length;
    return [
      `${lines.length === 1 ? '1 line' : `${lines.length} lines`}: other names ${n('adds')}`,
      n('makes') ? `new words ${n('makes')}` : '',
      n('changes') ? `own words changed ${n('changes')}` : '',
      `known already ${n('known')}`,
      `not understood ${n('nothing')}`,
    ]
      .filter(Boolean)
      .join(', ');
  },
  nothingToAdd: 'No line adds anything.',
} as const;

/** Holds of a position or of a grip, one in a row; rows are counted from 1. */
export const HOLDS_TEXT = {
  ofSide: { left: 'left', right: 'right' },
  requires: 'Made by these holds',
  requiresHint: 'Where grips are told and these are not among them, it’s pointed out.',
  grips: 'The holds it is',
  gripsHint: 'Typed by its name, all of them are kept.',
  add: 'One more hold',
  takeAway: (nth: number): string => `Take hold ${nth} away`,
  holder: (nth: number): string => `Whose, hold ${nth}`,
  limb: (nth: number): string => `With what, hold ${nth}`,
  limbSide: (nth: number): string => `Which side, hold ${nth}`,
  kind: (nth: number): string => `How, hold ${nth}`,
  target: (nth: number): string => `What is held, hold ${nth}`,
  sides: (nth: number): string => `On how many sides, hold ${nth}`,
  anySide: 'either side',
  oneSide: 'on one side',
  bothSides: 'on both sides',
} as const;

/** What a fact may be; values are counted from 1. */
export const FACT_TEXT = {
  whose: 'Mostly about',
  whoseIs: { subject: 'whoever acts', opponent: 'the other side', both: 'both together' },
  sided: 'Left and right',
  sides: { yes: 'has a left and a right', no: 'has no sides' },
  values: 'What it can be, from little to much',
  value: (nth: number): string => `Value ${nth}`,
  valuesHint: 'As you’d say it: hips low = hips down. Without any it’s simply so, or it isn’t.',
  add: 'One more value',
  takeAway: (nth: number): string => `Take value ${nth} away`,
} as const;

/** What an action can do by itself, whatever it ends in. */
export const DANGER_TEXT: Record<Danger, string> = {
  falls: 'a fall',
  slam: 'a slam',
  jump: 'a jump onto somebody',
  knee: 'a twist or weight on the knee',
  neck: 'a wrench of the neck or back',
};

export const LINE_WHY = {
  'no alias': 'no other name on this line',
  kind: 'no such kind',
  name: 'no word by this name',
  twice: 'already on an earlier line',
  unreadable: 'can’t be read',
  'too long': 'longer than 120 characters',
  risk: 'a submission needs injures and care',
  sides: 'roles must be even, or top and bottom, or attacker and defender',
} as const;

export const ALIAS_FIELDS_TEXT = {
  whomHolds: (forWhom: string, alias: string) => `${forWhom} whom ${alias} holds`,
  takeAway: (alias: string) => `Take ${alias} away`,
  addThisName: 'Add this name',
} as const;

export const READ_WORDS_TEXT = {
  known: 'known already',
  whatEachLineWould: 'What each line would do',
  line: 'Line',
  word: 'Word',
  otherName: 'Other name',
  whatItDoes: 'What it does',
} as const;

export const SCOPE_PICKED_TEXT = {
  anotherCoach: 'another coach',
} as const;

export const WORD_LIST_TEXT = {
  kind: 'Kind',
} as const;

export const WORD_ROW_TEXT = {
  changeThe: (kind: string, name: string) => `Change the ${kind} ${name}`,
} as const;
