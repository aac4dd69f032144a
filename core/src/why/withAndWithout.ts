import { isHeldAt, type Attempt, type Control, type FactUse } from '../attempts/index.js';
import type { ControlKind, Limb } from '../vocabulary/index.js';

/** Something that was there or was not: a fact with a value, or a hold. What is null does not matter. */
export type Pattern =
  | {
      readonly kind: 'fact';
      readonly fact: string;
      readonly value: string;
      readonly whose: FactUse['whose'];
      readonly side: FactUse['side'];
      readonly when: FactUse['when'] | null;
    }
  | {
      readonly kind: 'hold';
      readonly holder: Control['holder'];
      readonly limb: Limb;
      readonly control: ControlKind;
      readonly target: string;
      /** The limb's side as the target's, or the other one. */ readonly sides: 'same' | 'cross' | null;
    };

type Told = Pick<Attempt, 'facts' | 'controls' | 'start' | 'commit'>;

const isSides = (control: Control, sides: 'same' | 'cross' | null): boolean =>
  sides === null ||
  (control.limbSide !== null &&
    control.targetSide !== null &&
    (control.limbSide === control.targetSide) === (sides === 'same'));

/** Whether a pattern is in an attempt: undefined where nothing was said of its fact, or of its limb. */
export const hasPattern = (attempt: Told, pattern: Pattern): boolean | undefined => {
  if (pattern.kind === 'fact') {
    const said = attempt.facts.filter(
      (f) =>
        f.fact === pattern.fact &&
        f.whose === pattern.whose &&
        (pattern.side === null || f.side === pattern.side) &&
        (pattern.when === null || f.when === pattern.when),
    );
    return said.length ? said.some((f) => f.value === pattern.value) : undefined;
  }
  const at = (attempt.commit ?? attempt.start).frame;
  const said = attempt.controls.filter(
    (c) => c.holder === pattern.holder && c.limb === pattern.limb && isHeldAt(c, at),
  );
  if (!said.length) return undefined;
  return said.some((c) => c.kind === pattern.control && c.target === pattern.target && isSides(c, pattern.sides));
};

/** Of how many attempts with a pattern, and of how many without it, the aim was reached; and of how many nothing is known of it. */
export type WithAndWithout = {
  readonly with: { readonly worked: number; readonly not: number };
  readonly without: { readonly worked: number; readonly not: number };
  readonly notSaid: number;
  /** Two-sided p of Fisher's exact test. */ readonly p: number;
};

const logFactorials: number[] = [0];
const logFactorial = (n: number): number => {
  for (let i = logFactorials.length; i <= n; i++) logFactorials.push(logFactorials[i - 1]! + Math.log(i));
  return logFactorials[n]!;
};

/**
 * Fisher's exact test of a two by two table, two-sided: the chance of a table with the same sums that is no likelier than this one.
 * @example fisher(1, 0, 0, 2) // 0.333…
 */
export const fisher = (a: number, b: number, c: number, d: number): number => {
  const [r1, r2, c1, n] = [a + b, c + d, a + c, a + b + c + d];
  const fixed = logFactorial(r1) + logFactorial(r2) + logFactorial(c1) + logFactorial(n - c1) - logFactorial(n);
  const chance = (x: number): number =>
    Math.exp(fixed - logFactorial(x) - logFactorial(r1 - x) - logFactorial(c1 - x) - logFactorial(r2 - c1 + x));
  const here = chance(a);
  let sum = 0;
  for (let x = Math.max(0, c1 - r2); x <= Math.min(r1, c1); x++) {
    const p = chance(x);
    // as likely as this one but for rounding
    if (p <= here * (1 + 1e-7)) sum += p;
  }
  return Math.min(1, sum);
};

/** The two by two of something that was there or was not (undefined where nothing was said of it). */
export const twoByTwo = (
  cases: readonly { readonly has: boolean | undefined; readonly worked: boolean }[],
): WithAndWithout => {
  const table = { with: { worked: 0, not: 0 }, without: { worked: 0, not: 0 }, notSaid: 0 };
  for (const { has, worked } of cases) {
    if (has === undefined) table.notSaid++;
    else table[has ? 'with' : 'without'][worked ? 'worked' : 'not']++;
  }
  return {
    ...table,
    p: fisher(table.with.worked, table.with.not, table.without.worked, table.without.not),
  };
};

/** The two by two of a pattern over attempts that count. */
export const withAndWithout = (
  attempts: readonly (Told & Pick<Attempt, 'result'>)[],
  pattern: Pattern,
): WithAndWithout =>
  twoByTwo(attempts.map((attempt) => ({ has: hasPattern(attempt, pattern), worked: attempt.result === 'success' })));
