import { lineReaction, stateId, type Alternative, type Attempt } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import type { Pattern } from '../why/index.js';
import type { Principle, PrincipleScope } from './types.js';

/** How two principles advise opposite things. */
export type ClashKind = 'required and never' | 'other values' | 'other answers';
export type Clash = { readonly one: Principle; readonly other: Principle; readonly kind: ClashKind };

const agree = <T>(a: T | null, b: T | null, are: (a: T, b: T) => boolean): boolean =>
  a === null || b === null || are(a, b);

const isSameOrChild = (key: string, other: string, parent: (key: string) => string | undefined): boolean =>
  key === other || parent(key) === other || parent(other) === key;

/** Whether one attempt can be in both scopes. Of reactions each is met on its own, so two different ones never are. */
export const canHoldAtOnce = (a: PrincipleScope, b: PrincipleScope, words: Words): boolean => {
  const parentOf = (key: string): string | undefined => words.action(key)?.parent;
  const does = (scope: PrincipleScope): string | null =>
    scope.does ?? (scope.action === null ? null : (words.action(scope.action)?.does ?? null));
  return (
    agree(
      a.state,
      b.state,
      (p, q) =>
        agree(p.role, q.role, (x, y) => x === y) &&
        isSameOrChild(p.position, q.position, (key) => words.position(key)?.parent),
    ) &&
    agree(a.action, b.action, (x, y) => isSameOrChild(x, y, parentOf)) &&
    agree(does(a), does(b), (x, y) => x === y) &&
    agree(a.reaction, b.reaction, (x, y) => x === y)
  );
};

const agreeOnWhen = (a: Pattern, b: Pattern): boolean =>
  a.kind !== 'fact' || b.kind !== 'fact' || agree(a.when, b.when, (x, y) => x === y);

/** Whether two patterns ask for the same thing. */
const isSamePattern = (a: Pattern, b: Pattern): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
const sorted = (pattern: Pattern): unknown => Object.entries(pattern).sort(([a], [b]) => (a < b ? -1 : 1));

/** Whether two patterns name one fact with different values, or one limb with different targets. */
const areOpposed = (a: Pattern, b: Pattern): boolean => {
  if (a.kind === 'fact' && b.kind === 'fact')
    return a.fact === b.fact && a.whose === b.whose && a.side === b.side && agreeOnWhen(a, b) && a.value !== b.value;
  return a.kind === 'hold' && b.kind === 'hold' && a.holder === b.holder && a.limb === b.limb && a.sides === b.sides
    ? a.target !== b.target
    : false;
};

const kindOf = (a: Principle, b: Principle): ClashKind | null => {
  const [isNeverA, isNeverB] = [a.strength === 'never', b.strength === 'never'];
  if (a.pattern && b.pattern) {
    if (isSamePattern(a.pattern, b.pattern)) {
      const isRequired = (isNeverA ? b : a).strength === 'required';
      return isNeverA !== isNeverB && isRequired ? 'required and never' : null;
    }
    if (!isNeverA && !isNeverB && areOpposed(a.pattern, b.pattern)) return 'other values';
  }
  const areAnswers = a.answer !== null && b.answer !== null && a.scope.reaction !== null;
  if (!areAnswers || a.scope.reaction !== b.scope.reaction) return null;
  if (a.answer === b.answer)
    return isNeverA !== isNeverB && (isNeverA ? b : a).strength === 'required' ? 'required and never' : null;
  return isNeverA || isNeverB ? null : 'other answers';
};

/** Habits of two athletes are two ways of doing it. */
const areOfTwo = (a: Principle, b: Principle): boolean =>
  a.habitOf !== null && b.habitOf !== null && a.habitOf !== b.habitOf;

/** Pairs of principles that advise opposite things where both apply, not both of them another view; each once, in the order of ids. */
export const clashesIn = (principles: readonly Principle[], words: Words): readonly Clash[] => {
  const all = [...principles].sort((a, b) => (a.id < b.id ? -1 : 1));
  return all.flatMap((one, i) =>
    all.slice(i + 1).flatMap((other): Clash[] => {
      if ((one.standing === 'other' && other.standing === 'other') || areOfTwo(one, other)) return [];
      const kind = canHoldAtOnce(one.scope, other.scope, words) ? kindOf(one, other) : null;
      return kind ? [{ one, other, kind }] : [];
    }),
  );
};

/** What somebody should have done, told differently of attempts that are alike: two views, no clash. */
export type TwoViews = {
  readonly by: Alternative['by'];
  readonly views: readonly {
    readonly what: string;
    readonly isAction: boolean;
    readonly attemptIds: readonly string[];
  }[];
};

/** Alternatives of attempts with one state, action and reaction that name different things for the same side. */
export const twoViewsIn = (attempts: readonly Attempt[]): readonly TwoViews[] => {
  type View = { readonly alternative: Alternative; readonly ids: string[] };
  const groups = new Map<string, { readonly by: Alternative['by']; readonly views: Map<string, View> }>();
  for (const attempt of attempts) {
    const { state, action, alternatives } = attempt;
    if (!state || action === null) continue;
    for (const alternative of alternatives) {
      const key = [stateId(state), action, lineReaction(attempt)?.what ?? '', alternative.by].join(' ');
      const group = groups.get(key) ?? { by: alternative.by, views: new Map<string, View>() };
      const what = `${alternative.isAction} ${alternative.what}`;
      const view = group.views.get(what) ?? { alternative, ids: [] };
      if (!view.ids.includes(attempt.id)) view.ids.push(attempt.id);
      group.views.set(what, view);
      groups.set(key, group);
    }
  }
  // what one attempt alone had twice is two chances, not two views
  return [...groups.values()]
    .filter(({ views }) => views.size > 1 && new Set([...views.values()].flatMap((v) => v.ids)).size > 1)
    .map(({ by, views }) => ({
      by,
      views: [...views.values()].map(({ alternative: { what, isAction }, ids }) => ({
        what,
        isAction,
        attemptIds: ids,
      })),
    }));
};
