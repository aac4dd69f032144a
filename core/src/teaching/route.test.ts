import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  BARE_STEP,
  waysOf,
  branchCut,
  branchJoined,
  branchPut,
  columnsOf,
  mirrored,
  routeFaults,
  stepStartsElsewhere,
  stepMoved,
  stepPut,
  stepShifted,
  stepTaken,
  stepsOf,
  waysPast,
  type RouteBranch,
  type RouteShape,
  type RouteStep,
} from './index.js';

const step = (id: string, branch: string | null = null, more: Partial<RouteStep> = {}): RouteStep => ({
  ...BARE_STEP,
  ...{ id, branch, ...more },
});
const on = (text: string): RouteBranch['on'] => ({ kind: 'choice', text });
const branch = (id: string, from: string, joins: string | null = null): RouteBranch => ({
  id,
  from,
  on: on(id),
  joins,
});

/** A main line of three steps; x leaves the first and joins the third, y leaves x's step and ends, z leads back from the third to the first. */
const ROUTE: RouteShape = {
  steps: [step('1'), step('2'), step('x1', 'x'), step('3'), step('y1', 'y'), step('y2', 'y'), step('z1', 'z')],
  branches: [branch('x', '1', '3'), branch('y', 'x1'), branch('z', '3', '1')],
};
const said = (shape: RouteShape): readonly string[] =>
  waysOf(shape).map((a) => `${a.from}${a.on ? ` ${a.branchId}` : ''}${a.isBack ? ' back' : ''} ${a.to}`);
const faultsOf = (shape: RouteShape): readonly string[] =>
  routeFaults(shape).map((f) => `${f.fault} ${'branch' in f ? f.branch : 'step' in f ? f.step : ''}`.trim());

describe('how a route runs', () => {
  test('when it has branches, each way should be told once: along its line, where a branch leaves, where it joins or goes back', () => {
    expect(said(ROUTE)).toEqual(['1 2', '2 3', 'y1 y2', '1 x x1', 'x1 3', 'x1 y y1', '3 z z1', 'z1 back 1']);
    expect(routeFaults(ROUTE)).toEqual([]);
  });

  test('when steps are set out, each should stand as far on as the longest way there, and ways back not count', () => {
    const longer = stepPut(ROUTE, 'x1', step('x2'));
    const more = stepPut(longer, 'x2', step('x3'));
    expect(Object.fromEntries(columnsOf(ROUTE))).toEqual({ '1': 0, '2': 1, x1: 1, '3': 2, y1: 2, y2: 3, z1: 3 });
    expect(columnsOf(more).get('3')).toBe(4);
  });

  test('when it cannot be so, what is wrong should be named', () => {
    expect(faultsOf({ steps: [], branches: [] })).toEqual(['no start']);
    expect(faultsOf({ steps: [step('1'), step('2', 'gone')], branches: [] })).toEqual(['unknown branch 1']);
    const one = [step('1')];
    expect(faultsOf({ steps: one, branches: [branch('a', 'nowhere', '1')] })).toEqual(['leaves nowhere 0']);
    expect(faultsOf({ steps: one, branches: [branch('a', '1', 'nowhere')] })).toEqual(['joins nowhere 0']);
    expect(faultsOf({ steps: one, branches: [branch('a', '1')] })).toEqual(['leads nowhere 0']);
    const twice = [branch('a', '1', '2'), { ...branch('b', '1', '2'), on: on('A') }];
    expect(faultsOf({ steps: [step('1'), step('2')], branches: twice })).toEqual(['twice 1']);
    // two branches that hang on each other can't be reached
    const each = [branch('a', 'b1'), branch('b', 'a1')];
    expect(faultsOf({ steps: [step('1'), step('a1', 'a'), step('b1', 'b')], branches: each })).toEqual([
      'leaves nowhere 0',
      'leaves nowhere 1',
    ]);
    // each joins the other: neither goes back on its own way
    const round = [branch('a', '1', 'b1'), branch('b', '1', 'a1')];
    expect(faultsOf({ steps: [step('1'), step('a1', 'a'), step('b1', 'b')], branches: round })).toEqual(['circle 1']);
  });
});

test('when steps are left out, ways should lead past them along the line, and those that lead nowhere be gone', () => {
  const left = (ids: readonly string[]): readonly string[] =>
    waysPast(waysOf(ROUTE), new Set(ids)).map((w) => `${w.from}${w.on ? ` ${w.branchId}` : ''} ${w.to}`);
  expect(left(['1', '3', 'x1'])).toEqual(['1 3', '1 x x1', 'x1 3', '3 z 1']);
  // without the branch's own step it leads straight to where it joined; back to itself is no way
  expect(left(['1', '3'])).toEqual(['1 3', '1 x 3', '3 z 1']);
  expect(left(['1'])).toEqual([]);
});

describe('edits of a route', () => {
  test('when a step is taken out, what joined it should go on behind it, and what left it go with it', () => {
    const without3 = stepTaken(ROUTE, '3')!;
    expect(said(without3)).toEqual(['1 2', 'y1 y2', '1 x x1', 'x1 y y1']);
    const without2 = stepTaken(ROUTE, '2')!;
    expect(said(without2)).toContain('1 3');
    const without1 = stepTaken(ROUTE, '1')!;
    expect(said(without1)).toEqual(['2 3', '3 z z1', 'z1 back 2']);
    expect(stepTaken({ steps: [step('1')], branches: [] }, '1')).toBeUndefined();
  });

  test('when a step is moved, its branches should go along; where it can’t go, it should stay', () => {
    expect(stepsOf(stepShifted(ROUTE, '2', -1)!, null).map((s) => s.id)).toEqual(['2', '1', '3']);
    expect(stepShifted(ROUTE, '1', -1)).toBeUndefined();
    const over = stepMoved(ROUTE, '2', 'y1')!;
    expect(stepsOf(over, 'y').map((s) => s.id)).toEqual(['y1', '2', 'y2']);
    // behind its own branch it would hang on itself
    expect(stepMoved(ROUTE, '1', 'x1')).toBeUndefined();
  });

  test('when a branch is put, joined and cut, the rest should stay', () => {
    const more = branchPut(ROUTE, branch('w', '2'), step('w1'))!;
    expect(said(more)).toContain('2 w w1');
    expect(said(branchJoined(more, 'w', '3')!)).toContain('w1 3');
    expect(said(branchJoined(more, 'w', '1')!)).toContain('w1 back 1');
    expect(branchPut(ROUTE, branch('w', '2'), null)).toBeUndefined();
    expect(said(branchCut(ROUTE, 'x')!)).toEqual(['1 2', '2 3', '3 z z1', 'z1 back 1']);
  });

  test('when it is mirrored twice, it should be as it was', () => {
    expect(mirrored(mirrored(ROUTE))).toEqual(ROUTE);
    expect(mirrored(ROUTE).steps.every((s) => s.isMirrored)).toBe(true);
  });

  test('when a step begins elsewhere than what leads to it ended, it should be said', () => {
    const line = (id: string, from: string, to: string): RouteStep => step(id, null, { from, action: 'x', to });
    const shape = { steps: [line('1', 'a', 'b'), line('2', 'b', 'c'), line('3', 'd', 'e')], branches: [] };
    const same = (a: string, b: string): boolean => a === b;
    expect(['1', '2', '3'].map((id) => stepStartsElsewhere(shape, id, same))).toEqual([false, false, true]);
    // a branch leaves in the middle of its step; what joins a step has no say
    const more = {
      steps: [...shape.steps, ...['a', 'b', 'd'].map((from) => ({ ...line(`from ${from}`, from, 'z'), branch: from }))],
      branches: ['a', 'b', 'd'].map((id) => branch(id, '1', '2')),
    };
    const elsewhere = ['from a', 'from b', 'from d', '2'].map((id) => stepStartsElsewhere(more, id, same));
    expect(elsewhere).toEqual([false, false, true, false]);
  });

  test('whatever is done to it, a route should run: one start, each step reached once it is gone through', () => {
    type Do = { readonly what: number; readonly a: number; readonly b: number };
    const doing = fc.record({ what: fc.nat(6), a: fc.nat(20), b: fc.nat(20) });
    fc.assert(
      fc.property(fc.array(doing, { maxLength: 25 }), (all: Do[]) => {
        let shape: RouteShape = { steps: [step('0')], branches: [] };
        let n = 0;
        for (const { what, a, b } of all) {
          const id = shape.steps[a % shape.steps.length]!.id;
          const other = shape.steps[b % shape.steps.length]!.id;
          const way = shape.branches[a % Math.max(1, shape.branches.length)]?.id ?? 'none';
          n++;
          const next = [
            () => stepPut(shape, b % 5 ? id : null, step(`s${n}`)),
            () => stepTaken(shape, id),
            () => stepMoved(shape, id, other),
            () => branchPut(shape, branch(`b${n}`, id), step(`t${n}`)),
            () => branchPut(shape, branch(`b${n}`, id, other), null),
            () => branchJoined(shape, way, other),
            () => branchCut(shape, way),
          ][what]!();
          shape = next ?? shape;
          expect(routeFaults(shape)).toEqual([]);
        }
        const [start] = stepsOf(shape, null);
        const reached = new Set([start!.id]);
        const arcs = waysOf(shape);
        for (let more = true; more;) {
          const before = reached.size;
          for (const { from, to } of arcs) if (reached.has(from)) reached.add(to);
          more = reached.size > before;
        }
        expect(reached.size).toBe(shape.steps.length);
        // on nothing a step leads on to one step at most, and on the same thing to one
        const ways = arcs.map((arc) => `${arc.from} ${arc.on?.kind === 'choice' ? arc.on.text : ''}`);
        expect(new Set(ways).size).toBe(ways.length);
      }),
    );
  });
});
