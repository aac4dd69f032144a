import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LINK_KINDS, type LinkKind } from '../attempts/index.js';
import { circleIn, takenAway, type Because } from './index.js';

let made = 0;
const link = (from: string, kind: LinkKind, to: string, isSure = true): Because => ({
  id: `${made++}`,
  from,
  to,
  kind,
  isSure,
});
/** An underhook (k) and low hips (h) make an action (a) possible, which makes a finish (f) possible; the underhook keeps a reaction (r) away. */
const PASS = [
  link('k', 'enables', 'a'),
  link('h', 'enables', 'a'),
  link('k', 'prevents', 'r'),
  link('a', 'enables', 'f'),
];
const taken = (details: readonly string[], links: readonly Because[]) => {
  const { falls, comesBack, mayFall } = takenAway(details, links);
  return { falls: [...falls].sort(), comesBack: [...comesBack], mayFall: [...mayFall].sort() };
};

describe('what falls when a detail is taken away', () => {
  test('when another one still makes it possible, only the detail itself should fall, and what it kept away comes back', () => {
    expect(taken(['k'], PASS)).toEqual({ falls: ['k'], comesBack: ['r'], mayFall: [] });
  });

  test('when both are taken away, all that stands on them should fall', () => {
    expect(taken(['k', 'h'], PASS)).toEqual({ falls: ['a', 'f', 'h', 'k'], comesBack: ['r'], mayFall: [] });
  });

  test('when the detail forced it, it should fall though another one makes it possible', () => {
    const forced = [link('k', 'forces', 'a'), ...PASS.slice(1)];
    expect(taken(['k'], forced)).toEqual({ falls: ['a', 'f', 'k'], comesBack: ['r'], mayFall: [] });
  });

  test('when a link is a guess, what follows by it should only perhaps fall', () => {
    const guessed = [link('k', 'enables', 'a', false), link('a', 'enables', 'f')];
    expect(taken(['k'], guessed)).toEqual({ falls: ['k'], comesBack: [], mayFall: ['a', 'f'] });
  });

  test('when something else that stays keeps it away too, it should not come back', () => {
    expect(taken(['k'], [...PASS, link('h', 'prevents', 'r')]).comesBack).toEqual([]);
  });
});

const DETAILS = ['a', 'b', 'c', 'd', 'e', 'f'] as const;
const links = fc.array(
  fc
    .record({
      id: fc.uuid(),
      from: fc.constantFrom(...DETAILS),
      to: fc.constantFrom(...DETAILS),
      kind: fc.constantFrom(...LINK_KINDS),
      isSure: fc.boolean(),
    })
    .filter(({ from, to }) => from !== to),
  { maxLength: 12 },
);
const subsets = Array.from({ length: 2 ** DETAILS.length }, (_, bits) => DETAILS.filter((_d, i) => (bits >> i) & 1));

describe('against every set of details', () => {
  test('what falls should be the smallest set that holds what was taken away and all that follows', () => {
    fc.assert(
      fc.property(links, fc.subarray([...DETAILS], { minLength: 1 }), (all, gone) => {
        const sure = all.filter((l) => l.isSure);
        const isClosed = (set: readonly string[]): boolean =>
          gone.every((d) => set.includes(d)) &&
          DETAILS.every((x) => {
            const enablers = sure.filter((l) => l.kind === 'enables' && l.to === x).map((l) => l.from);
            const mustFall =
              (enablers.length > 0 && enablers.every((e) => set.includes(e))) ||
              sure.some((l) => l.kind === 'forces' && l.to === x && set.includes(l.from));
            return !mustFall || set.includes(x);
          });
        const smallest = subsets.filter(isClosed).sort((a, b) => a.length - b.length)[0]!;
        expect([...takenAway(gone, all).falls].sort()).toEqual([...smallest].sort());
      }),
    );
  });

  test('a way round should be found exactly where a detail leads back to itself by enabling and forcing', () => {
    fc.assert(
      fc.property(links, (all) => {
        const leads = all.filter((l) => l.kind === 'enables' || l.kind === 'forces');
        const reached = (from: string): Set<string> => {
          const found = new Set<string>();
          const open = [from];
          for (let at = open.pop(); at !== undefined; at = open.pop())
            for (const { to } of leads.filter((l) => l.from === at))
              if (!found.has(to)) {
                found.add(to);
                open.push(to);
              }
          return found;
        };
        const circle = circleIn(all);
        expect(circle !== undefined).toBe(DETAILS.some((d) => reached(d).has(d)));
        circle?.forEach((d, i) => {
          const next = circle[(i + 1) % circle.length];
          expect(leads.some((l) => l.from === d && l.to === next)).toBe(true);
        });
      }),
    );
  });
});
