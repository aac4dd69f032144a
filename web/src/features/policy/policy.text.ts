import type { AgeGroup, Form, Level, RiskClass, ShippedPolicy } from '@odograph/core';

export const POLICY_TEXT = {
  title: 'Policy',
  lead: 'How far your people go, by what something can do to somebody and by their level. It’s what many rooms do, not a judgement of what’s safe: nothing here says that. The instructor in the room, event rules, law and medical advice go before it, and the lowest counts.',
  school: 'The school you follow',
  reset: 'Back to what the school says',
  can: 'It can do',
  other: 'set by you',
  young:
    'Teenagers go one form lower for chokes, compression, twisting locks and falls, and not at all for the neck and spine. Children reach and let go at the most, and never compress, twist or load the spine. Whoever’s level or age nobody said counts as the lowest.',
  onlyHead: 'The head of the academy says this.',
} as const;

export const SCHOOL_TEXT: Readonly<Record<ShippedPolicy, string>> = {
  'hold back': 'hold back',
  'early, controlled': 'early, controlled',
};
export const RISK_TEXT: Readonly<Record<RiskClass, string>> = {
  'joint lock': 'joint lock',
  'twisting lock': 'twisting lock',
  compression: 'compression',
  choke: 'choke',
  'neck and spine': 'neck and spine',
  fall: 'fall: throws, lifts, jumps',
};
export const FORM_TEXT: Readonly<Record<Form, string>> = {
  'not at all': 'not at all',
  'reach and let go': 'reach and let go',
  light: 'light',
  full: 'full',
};
export const LEVEL_TEXT: Readonly<Record<Level, string>> = {
  'first weeks': 'first weeks',
  beginner: 'beginner',
  intermediate: 'intermediate',
  advanced: 'advanced',
};
export const AGE_TEXT: Readonly<Record<AgeGroup, string>> = {
  child: 'children',
  teenager: 'teenagers',
  adult: 'adults',
};
