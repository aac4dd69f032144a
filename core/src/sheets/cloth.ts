import { gripsAtCommit, type PlaceId } from '../attempts/index.js';
import { isOfLine, workedIn, type Case } from './cases.js';
import type { WayOn } from './lineBehind.js';

const hasCloth = ({ attempt }: Case): boolean => gripsAtCommit(attempt).some((c) => c.cloth);

/** How far a line leans on cloth: attempts of which holds are said, those with a cloth hold when they were committed to, and those without one that worked. */
export type Leaning = {
  readonly said: number;
  readonly withCloth: number;
  readonly workedWithout: number;
  readonly leans: boolean;
};

/** Whether attempts lean on cloth: of those that count and whose holds are said, at least half had hold of cloth, and none worked without. */
export const leaningOf = (cases: readonly Case[]): Leaning => {
  const said = cases.filter((c) => c.isCounted && c.attempt.controls.length > 0);
  const [withCloth, without] = [said.filter(hasCloth), said.filter((c) => !hasCloth(c))];
  const workedWithout = workedIn(without);
  return {
    ...{ said: said.length, withCloth: withCloth.length, workedWithout },
    leans: said.length > 0 && 2 * withCloth.length >= said.length && workedWithout === 0,
  };
};

/** Attempts of the same entry from the same place without cloth held, or where nobody wears a gi: those that worked first, then other counted ones, then by id. */
export const sameWithoutCloth = (cases: readonly Case[], from: PlaceId, action: string): readonly Case[] => {
  const rank = (c: Case): number => (c.isCounted ? (c.attempt.result === 'success' ? 0 : 1) : 2);
  return cases
    .filter((c) => c.from === from && c.action === action && (!c.gi || (c.attempt.controls.length > 0 && !hasCloth(c))))
    .sort((a, b) => rank(a) - rank(b) || (a.attempt.id < b.attempt.id ? -1 : 1));
};

/** What holds are said of the steps of a way: which of them lean on cloth, in their order, each with the same done without, the best first. */
export const clothOnWay = <Step extends WayOn>(
  cases: readonly Case[],
  steps: readonly Step[],
): {
  /** Steps of which somebody said what was held. */ readonly said: number;
  readonly leaning: readonly { readonly step: Step; readonly without: readonly Case[] }[];
} => {
  const told = steps.map((step) => ({
    step,
    leaning: leaningOf(
      cases.filter((c) => isOfLine(c) && c.from === step.from && c.action === step.action && c.to === step.to),
    ),
  }));
  return {
    said: told.filter(({ leaning }) => leaning.said > 0).length,
    leaning: told.flatMap(({ step, leaning: { leans } }) =>
      leans ? [{ step, without: sameWithoutCloth(cases, step.from, step.action) }] : [],
    ),
  };
};

/** Lines that lean on cloth, in the order of their ids: from, entry and place it leads to. */
export const leaningLines = (cases: readonly Case[]): readonly (Leaning & WayOn)[] => {
  const lines = new Map<string, Case[]>();
  for (const c of cases) {
    if (!isOfLine(c)) continue;
    const key = `${c.from} ${c.action} ${c.to}`;
    const line = lines.get(key);
    if (line) line.push(c);
    else lines.set(key, [c]);
  }
  return [...lines.entries()]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([, line]) => ({ ...leaningOf(line), from: line[0]!.from, action: line[0]!.action, to: line[0]!.to }))
    .filter((line) => line.leans);
};
