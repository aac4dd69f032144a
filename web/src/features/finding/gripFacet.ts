import { isHeldAt, type Attempt, type Control, type Words } from '@odograph/core';

const KIND_TEXT: Record<Control['kind'], string> = {
  grip: 'on',
  hook: 'hooking',
  frame: 'framing',
  underhook: 'underhook at',
  pin: 'pinning',
  post: 'posted on',
  wedge: 'wedged at',
  lock: 'locked round',
};
export const gripKey = (c: Pick<Control, 'limb' | 'kind' | 'target'>): string => `${c.limb} ${c.kind} ${c.target}`;
export const gripTexts = (value: string, words: Words): readonly string[] => {
  const [limb, kind, target] = value.split(' ') as [string, Control['kind'], string];
  const word = words.target(target);
  return [word?.name ?? target, ...(word?.aliases ?? [])].map((t) => `${limb} ${KIND_TEXT[kind]} ${t}`);
};

/** What the other side holds at commit, or where the attempt starts while no commit is marked. */
export const theirGrips = ({ controls, commit, start }: Attempt): readonly Control[] =>
  controls.filter((c) => c.holder === 'opponent' && isHeldAt(c, (commit ?? start).frame));
