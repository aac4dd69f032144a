import {
  sayControl,
  BARE_HOLD,
  type Definition,
  type NamedGrip,
  type Scope,
  type Word,
  type WordKind,
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
};
export const KIND_ONE: Record<WordKind, string> = {
  position: 'position',
  action: 'entry',
  target: 'grip target',
  submission: 'submission',
  reaction: 'reaction',
  reason: 'reason',
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
  }
};

/** What a new word of a kind starts with. */
export const freshDefinition = (kind: WordKind): Definition => {
  switch (kind) {
    case 'position':
      return { kind, family: 'open guard', roles: ['bottom', 'top'], height: 0 };
    case 'action':
      return { kind, does: 'sweep', aims: [], from: [] };
    case 'target':
      return { kind, cloth: false, sided: true };
    case 'submission':
      return { kind, risk: { injures: '', class: 'joint lock', pain: 'warns late', care: '' } };
    case 'reaction':
      return { kind };
    case 'reason':
      return { kind };
  }
};

export const scopeText = (scope: Scope, names: (scope: Scope) => string | undefined): string =>
  scope.kind === 'academy' ? 'everybody' : (names(scope) ?? (scope.kind === 'coach' ? 'one coach' : 'one footage'));

export const WORDS_TEXT = {
  title: 'Words',
  lead: 'Every word has one name and any number of other names; all of them are understood wherever something is typed.',
  find: 'Find a word of any kind',
  add: 'New word',
  change: 'Change',
  hidden: 'hidden',
  own: 'own',
  renamed: (name: string): string => `ships as ${name}`,
  none: 'No word is called like that.',
  found: 'Words found',
  language: 'Other names in',
  name: 'Name',
  aliases: 'Also called',
  addAlias: 'Another name',
  forWhom: 'for',
  everybody: 'everybody',
  onlyMe: 'only me',
  hide: 'Do not offer it',
  hideHint: 'It stays readable where it was said before.',
  offered: 'Offered to',
  holds: (whom: string): string => `for ${whom}`,
  holdsFor: 'New name and hiding hold for',
  keep: 'Keep',
  cancel: 'Cancel',
  shipped: 'As it ships',
  toBin: 'Put in the bin',
  needsName: 'needs a name',
  taken: (other: string): string => `is called so already: ${other}`,
  meansAlso: (others: string): string => `also means ${others}; what fits the place is taken first`,
  family: 'Family',
  roles: 'Roles',
  height: 'How good it is for the first role, −5 to +5',
  does: 'What it is for',
  from: 'It starts in',
  aim: 'It aims at',
  noAim: 'not said',
  made: 'Made of',
  sided: 'Left and right',
  injures: 'What it can injure',
  riskClass: 'How it works',
  pain: 'Pain',
  care: 'How to go about it',
  careHint: 'What must be kept in mind: tap early, release at once, who may do it and in which form.',
  save: 'Save as a list',
  read: 'Read a list',
  readLead: 'Lines of kind, name, alias. Nothing is changed before you have seen what each line would do.',
  headMissing: 'The first line has to name the columns: kind, name, alias.',
  takeIn: (n: number): string => (n === 1 ? 'Add this name' : `Add these ${n} names`),
  nothingToAdd: 'No line adds anything.',
} as const;

export const LINE_WHY = {
  'no alias': 'no other name on this line',
  kind: 'no such kind',
  name: 'no word of this name',
  twice: 'stands on an earlier line already',
  unreadable: 'cannot be read',
  'too long': 'longer than 120 characters',
} as const;
