import type { Attempt } from '@odograph/core';

/** Why an attempt of a bout went as it went, in the words in which it would be typed. */
export type Why = {
  readonly form?: string;
  /** What it was for, where its action aims at something else; of a bait what was really wanted. */
  readonly aim?: Attempt['aim'];
  /** What the run is called that it is part of. */ readonly runName?: string;
  readonly facts?: readonly string[];
  /** Of a hold, by its place in the list: where it is, what it is for, and that no camera shows it. */
  readonly holds?: Readonly<Record<number, readonly string[]>>;
  /** Of a reaction, by its place in the list. */
  readonly reactions?: Readonly<Record<number, readonly string[]>>;
  /** What else there was; `until`: so many frames behind the commit it was too late. */
  readonly others?: readonly { readonly could: string; readonly but?: string; readonly until?: number }[];
  readonly links?: readonly string[];
  /** How a detail is known; `camera`: the further camera whose clip of it proves it, by its place in the list; `by`: which of the two athletes says so. */
  readonly known?: readonly { readonly says: string; readonly camera?: number; readonly by?: 0 | 1 }[];
};

/** By bout, and by the place of the attempt in it. */
export const WHYS: Readonly<Record<string, Readonly<Record<number, Why>>>> = {
  'lantern-final': {
    3: {
      facts: ['hips high', 'head inside', 'one knee inside'],
      holds: { 1: ['mid forearm', 'to steer'] },
      reactions: { 1: ['too early', 'decided it'] },
      others: [{ could: 'we could have back-step pass', but: 'hesitated', until: 9 }],
      links: ['hips off the mat enables win the underhook', 'win the underhook prevents knee-through'],
    },
    4: { runName: 'Half guard to the back' },
    5: { runName: 'Half guard to the back' },
    6: {
      runName: 'Half guard to the back',
      facts: ['arms inside', 'their knees inside', 'their back off the mat'],
      holds: { 0: ['deep', 'to pull'], 1: ['not seen'] },
      reactions: { 0: ['with the right hand', 'too late', 'decided it'] },
      others: [
        { could: 'they could have turn in', but: 'hesitated', until: 12 },
        { could: 'we could have straight armlock', but: 'no follow-up', until: 20 },
      ],
      links: [
        'right arm locked enables rear choke',
        'left hand on their head enables rear choke',
        'hold the choking hand prevents rear choke',
      ],
      known: [{ says: 'failed: felt', camera: 1 }],
    },
    8: {
      facts: ['posture upright', 'at middle distance'],
      others: [{ could: 'they could have hip out', but: 'too late', until: 10 }],
      links: ['their posture upright enables post a hand'],
    },
    9: {
      form: 'by going off to the side of the post',
      facts: ['posture bent', 'at middle distance'],
      reactions: { 0: ['the wrong answer'] },
      others: [{ could: 'they could have hip out', but: 'hesitated', until: 12 }],
      links: ['their posture bent enables hip-bump', 'hip-bump forces mount'],
    },
    // shown for the sake of the arm
    11: { aim: { kind: 'submission', submission: 'straight-armlock' } },
  },
  'harbour-open': {
    0: {
      facts: ['long distance', 'head outside'],
      others: [{ could: 'we could have snap down', but: 'too far away' }],
      links: ['at long distance enables sprawl'],
    },
    7: {
      facts: ['left leg held', 'right knee bent'],
      holds: { 0: ['heel', 'to pull'] },
      others: [{ could: 'they could have roll through', until: 8 }],
      links: ['their right knee bent enables heel hook', 'turn in prevents heel hook'],
      known: [{ says: 'failed: felt' }],
    },
    11: {
      facts: ['hips low', 'knees inside', 'head inside'],
      others: [{ could: 'they could have win the underhook', but: 'too late', until: 9 }],
      links: ['right arm underhook enables knee-through', 'hips on the mat prevents frame'],
    },
  },
  'morning-round': {
    2: {
      facts: ['their knees inside', 'one arm inside'],
      reactions: { 0: ['with the left hand', 'the right answer'] },
      others: [{ could: 'we could have straight armlock', but: 'hand free' }],
      links: ['hold the choking hand prevents rear choke'],
    },
    3: {
      facts: ['their knees inside', 'arms inside'],
      others: [{ could: 'they could have hold the choking hand', but: 'too late', until: 10 }],
      links: ['both arms inside enables rear choke'],
      known: [{ says: 'worked: felt', by: 1 }],
    },
    5: {
      facts: ['left leg straight'],
      others: [{ could: 'they could have turn in', but: 'hesitated', until: 20 }],
      links: ['posture up prevents straight ankle lock'],
    },
  },
  'thursday-round': {
    6: {
      facts: ['posture upright', 'their weight back'],
      others: [{ could: 'we could have hip bump', but: 'hesitated', until: 14 }],
      links: ['their weight back enables post a hand'],
    },
    7: {
      facts: ['posture broken', 'close range'],
      others: [{ could: 'they could have posture up', but: 'too late', until: 14 }],
      links: ['their posture broken enables triangle'],
    },
  },
};
