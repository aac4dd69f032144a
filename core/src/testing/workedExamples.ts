import { BARE_REACTION, type Attempt, type Finish, type State } from '../attempts/index.js';
import type { Footage } from '../footage/index.js';
import { BARE_FOOTAGE, draftAttempt } from '../rows/index.js';
import type { Logged } from '../map/index.js';
import type { Role } from '../vocabulary/index.js';

/** The worked examples of the model, one library: footage F1 and F4 competition, F2 training, F3 demonstration; instants in frames of 1 s. */
const footage = (id: string, setting: Footage['setting']): Footage => ({
  ...BARE_FOOTAGE,
  id,
  version: 1,
  title: id,
  setting,
  logged: 'throughout',
  live: true,
  gi: true,
  counted: true,
  date: null,
  athleteA: `${id} a`,
  athleteB: `${id} b`,
  kitA: '',
  kitB: '',
});

export const FOOTAGE = {
  F1: footage('F1', 'competition'),
  F2: footage('F2', 'training'),
  F3: footage('F3', 'demonstration'),
  F4: footage('F4', 'competition'),
} as const;

export const stateOf = (text: string): State => {
  const [position, role] = text.split('/') as [string, Role];
  return { position, role };
};

const finishOf = (text: string): Finish => {
  if (text.startsWith('won:')) return { kind: 'submission', submission: text.slice(4), won: true };
  if (text === 'reset edge') return { kind: 'reset', how: 'edge', restart: stateOf('standing/even') };
  return { kind: 'state', ...stateOf(text) };
};

const at = (frame: number): Attempt['start'] => ({ frame, pts: frame });

export type Told = {
  readonly id: string;
  readonly in: keyof typeof FOOTAGE;
  readonly by: 'a' | 'b';
  readonly at: readonly [start: number, commit: number, end: number];
  readonly from: string;
  readonly action: string;
  readonly to: string;
  readonly result: NonNullable<Attempt['result']>;
  /** What the other side did, in order; a `!` in front = it was itself an attack. */ readonly met?: readonly string[];
  readonly more?: Partial<Attempt>;
};

export const attemptOf = (t: Told): Attempt => ({
  ...draftAttempt({
    id: t.id,
    footageId: t.in,
    angleId: `${t.in} angle`,
    subject: t.by,
    start: at(t.at[0]),
    end: at(t.at[2]),
  }),
  version: 1,
  state: stateOf(t.from),
  action: t.action,
  result: t.result,
  finish: finishOf(t.to),
  commit: at(t.at[1]),
  reactions: (t.met ?? []).map((what, i) => ({
    id: `${t.id} reaction ${i}`,
    what: what.replace('!', ''),
    isAction: what.startsWith('!'),
    ...BARE_REACTION,
  })),
  ...t.more,
});

const half = 'half-guard/top',
  side = 'side-control/top',
  closed = 'closed-guard/bottom',
  mount = 'mount/top',
  back = 'back/attacker',
  sleeves = 'two-sleeve/bottom';

/** c and d of the training round stand as its athletes a and b. */
export const TOLD: readonly Told[] = [
  {
    id: '01',
    in: 'F1',
    by: 'a',
    at: [45, 47, 60],
    from: half,
    action: 'head-and-arm-pass',
    to: side,
    result: 'success',
    met: ['frames', 'hips-out'],
  },
  {
    id: '02',
    in: 'F4',
    by: 'a',
    at: [20, 21, 24],
    from: closed,
    action: 'hip-bump',
    to: closed,
    result: 'failed',
    met: ['posts'],
  },
  {
    id: '03',
    in: 'F4',
    by: 'a',
    at: [24, 25, 33],
    from: closed,
    action: 'double-wrist-lock',
    to: 'won:double-wrist-lock',
    result: 'success',
  },
  {
    id: '04',
    in: 'F1',
    by: 'a',
    at: [10, 11, 18],
    from: 'standing/even',
    action: 'double-leg',
    to: 'turtle/bottom',
    result: 'failed',
    met: ['!go-behind'],
  },
  {
    id: '05',
    in: 'F1',
    by: 'b',
    at: [13, 14, 18],
    from: 'front-headlock/top',
    action: 'go-behind',
    to: 'turtle/top',
    result: 'success',
    more: { counterOfId: '04' },
  },
  {
    id: '06',
    in: 'F2',
    by: 'a',
    at: [60, 61, 70],
    from: 'fifty-fifty/even',
    action: 'ankle-lock',
    to: 'reset edge',
    result: 'failed',
  },
  {
    id: '07',
    in: 'F2',
    by: 'b',
    at: [61, 62, 70],
    from: 'fifty-fifty/even',
    action: 'foot-twist',
    to: 'reset edge',
    result: 'failed',
    more: { depth: 3 },
  },
  {
    id: '08',
    in: 'F2',
    by: 'a',
    at: [80, 82, 90],
    from: 'butterfly/top',
    action: 'body-lock-pass',
    to: 'turtle/top',
    result: 'partial',
    met: ['turtles'],
  },
  {
    id: '09',
    in: 'F2',
    by: 'a',
    at: [90, 91, 96],
    from: 'turtle/top',
    action: 'back-take',
    to: back,
    result: 'success',
  },
  {
    id: '10',
    in: 'F2',
    by: 'a',
    at: [97, 99, 115],
    from: back,
    action: 'rear-choke',
    to: back,
    result: 'failed',
    met: ['holds-hand'],
    more: { depth: 3 },
  },
  {
    id: '11',
    in: 'F2',
    by: 'b',
    at: [130, 131, 133],
    from: mount,
    action: 'collar-choke',
    to: mount,
    result: 'success',
    met: ['hands-to-collar'],
    more: { intent: 'bait' },
  },
  {
    id: '12',
    in: 'F2',
    by: 'b',
    at: [133, 134, 140],
    from: mount,
    action: 'armlock',
    to: 'armlock-hold/attacker',
    result: 'partial',
    met: ['clasps'],
  },
  {
    id: '13',
    in: 'F2',
    by: 'b',
    at: [144, 145, 150],
    from: 'armlock-hold/attacker',
    action: 'armlock',
    to: 'won:straight-armlock',
    result: 'success',
    more: { series: 2 },
  },
  {
    id: '14',
    in: 'F1',
    by: 'a',
    at: [25, 27, 30],
    from: sleeves,
    action: 'overhead-sweep',
    to: mount,
    result: 'success',
  },
  {
    id: '15',
    in: 'F2',
    by: 'b',
    at: [200, 201, 206],
    from: sleeves,
    action: 'overhead-sweep',
    to: 'side-control/bottom',
    result: 'failed',
  },
  { id: '16', in: 'F3', by: 'a', at: [1, 2, 5], from: sleeves, action: 'overhead-sweep', to: mount, result: 'shown' },
  {
    id: '17',
    in: 'F2',
    by: 'a',
    at: [300, 301, 305],
    from: sleeves,
    action: 'overhead-sweep',
    to: mount,
    result: 'success',
    more: { resisted: false },
  },
  {
    id: '18',
    in: 'F4',
    by: 'a',
    at: [5, 6, 9],
    from: back,
    action: 'step-down',
    to: mount,
    result: 'success',
    more: { lead: 'left' },
  },
  {
    id: '19',
    in: 'F2',
    by: 'a',
    at: [121, 122, 125],
    from: back,
    action: 'step-down',
    to: mount,
    result: 'success',
    more: { lead: 'right' },
  },
];

export const LOGGED: readonly Logged[] = TOLD.map((t) => ({
  attempt: attemptOf(t),
  footage: FOOTAGE[t.in],
  isThorough: true,
}));
