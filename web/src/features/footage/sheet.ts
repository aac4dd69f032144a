import {
  isForAcademy,
  type Doing,
  type Footage,
  type Library,
  type Person,
  type Setting,
  type Skew,
} from '@odograph/core';
import type { AthleteRef, FootageFields } from '@odograph/core/contract';
import { v7 as newId } from 'uuid';

/** The footage sheet as it is filled in. */
export type Sheet = {
  readonly title: string;
  readonly first: string;
  readonly second: string;
  readonly kitA: string;
  readonly kitB: string;
  readonly setting: Setting;
  readonly gi: boolean;
  /** '' = not said yet: it decides whether rates can be given, so nobody is taken at a default. */ readonly logged:
    Footage['logged'] | '';
  readonly date: string;
  readonly ruleset: string;
  readonly level: string;
  readonly place: string;
  /** Who talks on it. */ readonly speaker: string;
  readonly surroundings: 'open' | 'edge' | 'wall' | '';
  readonly context: string;
  readonly skewedBy: Skew | '';
  /** Whether it counts, and whether training on it was live. */ readonly counted: boolean;
  readonly live: boolean;
  readonly audience: Footage['audience'];
  /** Who of the two has agreed, as whoever fills in the sheet says now, to be shown to the academy. */ readonly agreed: readonly (
    'first' | 'second'
  )[];
};

/** A fresh sheet for a file: its name, without the ending, as the title. */
export const sheetForFile = (fileName: string, logged: Sheet['logged'] = ''): Sheet => ({
  title: fileName
    .replace(/\.[a-z0-9]{2,4}$/i, '')
    .replace(/[_-]+/g, ' ')
    .trim(),
  first: '',
  second: '',
  kitA: '',
  kitB: '',
  setting: 'training',
  gi: true,
  logged,
  date: '',
  ruleset: '',
  level: '',
  place: '',
  speaker: '',
  surroundings: '',
  context: '',
  skewedBy: '',
  counted: true,
  live: true,
  audience: 'academy',
  agreed: [],
});

export const sheetOf = (footage: Footage, persons: Library['persons']): Sheet => {
  const name = (id: string): string => persons.find((p) => p.id === id)?.name ?? '';
  const { title, kitA, kitB, setting, gi, logged, ruleset, level, place, speaker, context, audience, counted, live } =
    footage;
  return {
    title,
    kitA,
    kitB,
    setting,
    gi,
    logged,
    first: name(footage.athleteA),
    second: name(footage.athleteB),
    date: footage.date ?? '',
    ruleset,
    level,
    place,
    speaker,
    surroundings: footage.surroundings ?? '',
    context,
    skewedBy: footage.skewedBy ?? '',
    counted,
    live,
    audience,
    agreed: [],
  };
};

export type SheetProblem = { readonly field: 'title' | 'logged' | 'first' | 'second'; readonly why: string };

/** The longest name of footage or of somebody, in characters; the server says the same. */
const LONGEST = 120;

export const sheetProblems = (sheet: Sheet): readonly SheetProblem[] => {
  const problems: SheetProblem[] = [];
  const named = (field: 'title' | 'first' | 'second'): void => {
    const { length } = sheet[field].trim();
    if (!length) problems.push({ field, why: 'needs a name' });
    else if (length > LONGEST) problems.push({ field, why: `can have ${LONGEST} characters` });
  };
  named('title');
  if (!sheet.logged) problems.push({ field: 'logged', why: 'pick one' });
  named('first');
  named('second');
  if (sheet.second.trim() && sheet.first.trim().toLowerCase() === sheet.second.trim().toLowerCase())
    problems.push({ field: 'second', why: 'must be somebody else' });
  return problems;
};

const personCalled = (name: string, persons: Library['persons']): Person | undefined =>
  persons.find((p) => p.name.toLowerCase() === name.toLowerCase());

/** Who on the sheet nobody has said of yet that students may see them, though it is for the academy: until then students don't see it. */
export const notAgreed = (
  sheet: Sheet,
  persons: Library['persons'],
): readonly { readonly who: 'first' | 'second'; readonly name: string }[] =>
  sheet.audience === 'coaches'
    ? []
    : (['first', 'second'] as const).flatMap((who) => {
        const name = sheet[who].trim();
        return name && !isForAcademy(personCalled(name, persons)) ? [{ who, name }] : [];
      });

/** A person by name: one of the academy where the name is known, otherwise a new one. */
export const athleteRef = (name: string, persons: Library['persons']): AthleteRef => {
  const wanted = name.trim();
  const known = personCalled(wanted, persons);
  return { id: known?.id ?? newId(), name: known?.name ?? wanted };
};

export const fieldsOf = (sheet: Sheet): Omit<FootageFields, 'clock' | 'spans'> => ({
  title: sheet.title.trim(),
  setting: sheet.setting,
  logged: sheet.logged || 'picked',
  gi: sheet.gi,
  date: sheet.date || null,
  kitA: sheet.kitA.trim(),
  kitB: sheet.kitB.trim(),
  ruleset: sheet.ruleset.trim(),
  level: sheet.level.trim(),
  place: sheet.place.trim(),
  speaker: sheet.speaker.trim(),
  surroundings: sheet.surroundings || null,
  context: sheet.context.trim(),
  skewedBy: sheet.skewedBy || null,
  counted: sheet.counted,
  live: sheet.live,
  audience: sheet.audience,
});

/** The edits that keep who of the two has agreed to be shown to the academy. */
export const agreements = (sheet: Sheet, first: AthleteRef, second: AthleteRef): readonly Doing[] =>
  sheet.agreed.map((who) => ({
    kind: 'person',
    id: (who === 'first' ? first : second).id,
    changes: { shownTo: 'academy' },
  }));
