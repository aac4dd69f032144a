import { RISK_CLASSES, type Words } from '../vocabulary/index.js';

/** What a submission or an action can do to somebody: the classes of submissions, and falling. */
export const RISKS = [...RISK_CLASSES, 'fall'] as const;
export type RiskClass = (typeof RISKS)[number];

/** How far something is done, from least to most. */
export const FORMS = ['not at all', 'reach and let go', 'light', 'full'] as const;
export type Form = (typeof FORMS)[number];
/** Levels that ship, from least; and ages. */
export const LEVELS = ['first weeks', 'beginner', 'intermediate', 'advanced'] as const;
export type Level = (typeof LEVELS)[number];
export const AGE_GROUPS = ['child', 'teenager', 'adult'] as const;
export type AgeGroup = (typeof AGE_GROUPS)[number];

/** The highest form of each class of risk by level, of adults. */
export type Policy = Readonly<Record<RiskClass, readonly [Form, Form, Form, Form]>>;

const [NOT, REACH, LIGHT, FULL] = FORMS;
const row = (...forms: [Form, Form, Form, Form]): readonly [Form, Form, Form, Form] => forms;
/** Two that ship, to be read and changed by the academy: usual practice, no judgement of safety. */
export const SHIPPED_POLICIES = {
  'hold back': {
    'joint lock': row(REACH, LIGHT, FULL, FULL),
    choke: row(REACH, LIGHT, FULL, FULL),
    compression: row(NOT, NOT, REACH, LIGHT),
    'twisting lock': row(NOT, NOT, NOT, LIGHT),
    'neck and spine': row(NOT, NOT, NOT, REACH),
    fall: row(NOT, REACH, LIGHT, FULL),
  },
  'early, controlled': {
    'joint lock': row(REACH, LIGHT, FULL, FULL),
    choke: row(REACH, LIGHT, FULL, FULL),
    compression: row(REACH, REACH, LIGHT, LIGHT),
    'twisting lock': row(REACH, REACH, REACH, LIGHT),
    'neck and spine': row(NOT, NOT, NOT, REACH),
    fall: row(REACH, LIGHT, LIGHT, FULL),
  },
} as const satisfies Readonly<Record<string, Policy>>;
export type ShippedPolicy = keyof typeof SHIPPED_POLICIES;

export const lowerOf = (a: Form, b: Form): Form => (FORMS.indexOf(a) <= FORMS.indexOf(b) ? a : b);
const oneLower = (form: Form): Form => FORMS[Math.max(0, FORMS.indexOf(form) - 1)]!;

/** Somebody in the room; what nobody said counts as the lowest. */
export type InTheRoom = { readonly level: Level | null; readonly age: AgeGroup | null };

/** The highest form that a policy lets one person do something in. */
export const formFor = (risk: RiskClass, { level, age }: InTheRoom, policy: Policy): Form => {
  const form = policy[risk][LEVELS.indexOf(level ?? 'first weeks')]!;
  switch (age ?? 'child') {
    case 'adult':
      return form;
    case 'teenager':
      if (risk === 'neck and spine') return NOT;
      return risk === 'joint lock' ? form : oneLower(form);
    case 'child':
      return risk === 'compression' || risk === 'twisting lock' || risk === 'neck and spine'
        ? NOT
        : lowerOf(form, REACH);
  }
};

/** The highest form for all who are there: the lowest of theirs. Nobody there: not at all. */
export const formForAll = (risk: RiskClass, people: readonly InTheRoom[], policy: Policy): Form =>
  people.length ? people.map((who) => formFor(risk, who, policy)).reduce(lowerOf) : NOT;

/** What the academy says otherwise of one class of risk, level by level. */
export type PolicyRow = {
  readonly risk: RiskClass;
  readonly firstWeeks: Form;
  readonly beginner: Form;
  readonly intermediate: Form;
  readonly advanced: Form;
};
/** The policy of an academy: which of the two schools it follows, and what it says otherwise. */
export type AcademyPolicy = {
  readonly id: string;
  readonly version: number;
  readonly school: ShippedPolicy;
  readonly rows: readonly PolicyRow[];
};
export const SCHOOLS = Object.keys(SHIPPED_POLICIES) as readonly ShippedPolicy[];

/** The table that holds in an academy; where nobody has said anything, the one that holds back. */
export const policyOf = (said: Pick<AcademyPolicy, 'school' | 'rows'> | undefined): Policy => ({
  ...SHIPPED_POLICIES[said?.school ?? 'hold back'],
  ...Object.fromEntries(
    (said?.rows ?? []).map((r) => [r.risk, [r.firstWeeks, r.beginner, r.intermediate, r.advanced] as const]),
  ),
});

/** What a step can do to somebody: of the submission it ends in and those it aims at, by falling, and what the action itself can do. None: nothing is recorded, which does not mean safe. */
export const risksOf = (
  words: Words,
  of: { readonly action: string | null; readonly submission?: string | null },
): readonly RiskClass[] => {
  const action = words.action(of.action ?? '');
  const aims = action?.aims.flatMap((aim) => ('submission' in aim ? [aim.submission] : [])) ?? [];
  const submissions = [...(of.submission ? [of.submission] : []), ...aims];
  const dangers: Readonly<Record<NonNullable<NonNullable<typeof action>['dangers']>[number], RiskClass>> = {
    ...{ falls: 'fall', slam: 'fall', jump: 'fall', knee: 'twisting lock', neck: 'neck and spine' },
  };
  return [
    ...new Set([
      ...submissions.flatMap((key) => words.submission(key)?.risk.class ?? []),
      ...(action?.does === 'takedown' ? (['fall'] as const) : []),
      ...(action?.dangers ?? []).map((danger) => dangers[danger]),
    ]),
  ];
};

/** The highest form of a step for people: the lowest over all that it can do. Full where nothing is recorded. */
export const stepForm = (risks: readonly RiskClass[], people: readonly InTheRoom[], policy: Policy): Form =>
  risks.map((risk) => formForAll(risk, people, policy)).reduce<Form>(lowerOf, FULL);
