import {
  FAMILIES,
  LIMBS,
  SHIPPED_WORDS,
  otherRole,
  shippedWords,
  BARE_ANGLE,
  BARE_ATTEMPT,
  BARE_CLIP,
  BARE_HOLD,
  BARE_REACTION,
  BARE_FOOTAGE,
  withChanges,
  type ActionWord,
  type Angle,
  type Aim,
  type Attempt,
  type Clip,
  type Control,
  type Finish,
  type Footage,
  NO_ROWS,
  type Library,
  type MediaFile,
  type Person,
  type PositionWord,
  type Result,
  type Role,
  type State,
  type TargetWord,
  type WordChange,
  type Words,
} from '@odograph/core';
import { idAt, pick, randomOf, type Random } from './random.js';

/** The sizes of the seeded libraries: places and clips. */
export const SIZES = {
  S: { states: 60, clips: 1_000 },
  M: { states: 200, clips: 10_000 },
  L: { states: 500, clips: 100_000 },
  /** As many places as L with few clips: a wide map. */ W: { states: 500, clips: 7_400 },
} as const;
export type SizeName = keyof typeof SIZES;

/** A media file that footage lies on: real presentation times are needed for edges that can be shown. */
export type SeededFile = { readonly file: MediaFile; readonly ticks: readonly number[] };

const FIRST_NAMES = ['Ada', 'Bero', 'Cale', 'Dovi', 'Emre', 'Fenna', 'Gil', 'Hale', 'Iva', 'Joss', 'Kerr', 'Lio'];
const LAST_NAMES = ['Ashgrove', 'Brindle', 'Copperway', 'Dunmarsh', 'Elmsley', 'Fairwold', 'Greyfen', 'Hollowell'];
const CLIPS_A_PIECE = 25;
const START_MS = Date.UTC(2029, 0, 1);
const DAY_MS = 86_400_000;

const needed = <T>(value: T | undefined): T => {
  if (value === undefined) throw new Error('a seeded library needs a footage file');
  return value;
};

/** Own positions until there are as many places as wanted: named by number, in families and heights like the shipped ones. */
const morePositions = (random: Random, states: number, at: () => string): readonly WordChange[] => {
  const shipped = shippedWords().of('position');
  let places = shipped.reduce((n, p) => n + p.roles.length, 0);
  const made: WordChange[] = [];
  while (places < states) {
    const family = pick(random, FAMILIES);
    const roles: readonly Role[] =
      family === 'standing' || family === 'scramble'
        ? ['even']
        : family === 'back'
          ? ['attacker', 'defender']
          : ['bottom', 'top'];
    made.push({
      id: at(),
      version: 1,
      kind: 'position',
      key: `own-${family.replace(' ', '-')}-${made.length + 1}`,
      name: `${family} number ${made.length + 1}`,
      definition: {
        kind: 'position',
        family,
        roles,
        height: roles[0] === 'even' ? 0 : Math.round((random() * 6 - 2) * 4) / 4,
      },
    });
    places += roles.length;
  }
  return made;
};

/** So many of a list, of each kind in turn: a small library has something of everything. */
const spread = <T>(all: readonly T[], kindOf: (item: T) => string, many: number): readonly T[] => {
  const kinds = new Map<string, T[]>();
  for (const item of all) kinds.set(kindOf(item), [...(kinds.get(kindOf(item)) ?? []), item]);
  const lists = [...kinds.values()];
  const longest = Math.max(...lists.map((l) => l.length));
  return Array.from({ length: longest }, (_, i) => lists.flatMap((l) => l.slice(i, i + 1)))
    .flat()
    .slice(0, many);
};

/** Who does not do this: a pass is the top's, a sweep the bottom's. */
const NOT_BY: Partial<Record<ActionWord['does'], Role>> = {
  pass: 'bottom',
  sweep: 'top',
  'guard pull': 'top',
  retention: 'top',
};

/** Weights that fall off, so that some places and entries carry most, as in a real room. */
const uneven = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() ** 2.2 * list.length)]!;

const RESULTS: readonly (readonly [Result, number])[] = [
  ['success', 0.36],
  ['partial', 0.5],
  ['failed', 0.93],
  ['abandoned', 1],
];
const resultOf = (random: Random): Result => {
  const r = random();
  return RESULTS.find(([, upTo]) => r < upTo)![0];
};

/** What is on the way between two attempts: where things stand, and who acts. */
type Standing = { state: State; subject: Attempt['subject'] };
const TITLES: Readonly<Record<'competition' | 'training' | 'demonstration', string>> = {
  competition: 'Match',
  training: 'Round',
  demonstration: 'Demonstration',
};
const SETTINGS: readonly (keyof typeof TITLES)[] = [
  'competition',
  'competition',
  'training',
  'training',
  'training',
  'demonstration',
];

/** Makes one library; whatever is drawn by lot is drawn in one order, so that the same seed gives the same. */
class Seeding {
  private readonly random: Random;
  private readonly wanted: number;
  private clock = START_MS;
  private readonly wordChanges: readonly WordChange[];
  private readonly words: Words;
  private readonly allStates: readonly State[];
  private readonly known: ReadonlySet<string>;
  private readonly byFamily: ReadonlyMap<string, readonly State[]>;
  private readonly actionsFrom: ReadonlyMap<string, readonly ActionWord[]>;
  private readonly targets: readonly TargetWord[];
  private readonly persons: readonly Person[];
  private readonly footage: Footage[] = [];
  private readonly angles: Angle[] = [];
  private readonly attempts: Attempt[] = [];
  private readonly clips: Clip[] = [];

  constructor(
    private readonly size: SizeName,
    private readonly own: number,
    private readonly files: readonly SeededFile[],
  ) {
    this.random = randomOf(own);
    const { states, clips } = SIZES[size];
    this.wanted = clips;
    this.wordChanges = morePositions(this.random, states, () => this.nextId());
    this.words = withChanges(SHIPPED_WORDS, this.wordChanges);
    const every = this.words
      .of('position')
      .flatMap((p: PositionWord) => p.roles.map((role): State => ({ position: p.key, role })));
    this.allStates = spread(every, (s) => this.familyOf(s), states);
    this.known = new Set(this.allStates.map((s) => `${s.position}/${s.role}`));
    this.byFamily = new Map(FAMILIES.map((f) => [f, this.allStates.filter((s) => this.familyOf(s) === f)]));
    this.actionsFrom = new Map(FAMILIES.map((f) => [f, this.words.of('action').filter((a) => a.from.includes(f))]));
    this.targets = this.words.of('target').filter((t) => !t.grips);
    this.persons = Array.from({ length: 48 }, (_, i) => this.person(i));
  }

  private readonly nextId = (): string => idAt(this.random, (this.clock += 1 + Math.floor(this.random() * 900)));

  private familyOf({ position }: State): string {
    return this.words.position(position)!.family;
  }

  private person(i: number): Person {
    return {
      id: this.nextId(),
      version: 1,
      name: `${FIRST_NAMES[i % FIRST_NAMES.length]!} ${LAST_NAMES[(i * 5 + Math.floor(i / 12)) % LAST_NAMES.length]!}`,
      athlete: true,
      member: i < 20,
      accountId: null,
      level: null,
      age: i % 9 === 8 ? 'minor' : 'adult',
      filming: true,
      shownTo: i % 9 === 8 ? 'coaches' : 'academy',
    };
  }

  private aimed(aim: Aim): Finish | undefined {
    if ('submission' in aim) return { kind: 'submission', submission: aim.submission, won: true };
    const there =
      'position' in aim
        ? this.allStates.filter((s) => s.position === aim.position && s.role === aim.role)
        : this.byFamily.get(aim.family)!.filter((s) => s.role === aim.role);
    return there.length ? { kind: 'state', ...uneven(this.random, there) } : undefined;
  }

  /** Where it ends: reached is what the action aims at; missed mostly leaves it as it was, or ends in a place near by; sometimes out of bounds or in the other side's submission. */
  private finishOf(state: State, action: ActionWord, result: Result): Finish {
    const { random } = this;
    const r = random();
    const stays: Finish = { kind: 'state', ...state };
    if (r > 0.985) return { kind: 'reset', how: 'edge', restart: { position: 'standing', role: 'even' } };
    if (result === 'success' || result === 'shown')
      return (action.aims.length ? this.aimed(uneven(random, action.aims)) : undefined) ?? stays;
    if (r < 0.02)
      return { kind: 'submission', submission: uneven(random, this.words.of('submission')).key, won: false };
    const near = this.byFamily.get(this.familyOf(state))!.filter((s) => s.role === state.role);
    return r < 0.7 || !near.length ? stays : { kind: 'state', ...uneven(random, near) };
  }

  private control(gi: boolean): Control {
    const { random } = this;
    const target = pick(random, this.targets);
    const limb = pick(random, LIMBS);
    return {
      id: this.nextId(),
      holder: random() < 0.85 ? 'subject' : 'opponent',
      limb,
      limbSide: pick(random, ['left', 'right', null]),
      kind: limb === 'hand' ? 'grip' : limb === 'foot' ? 'hook' : 'frame',
      target: target.key,
      targetOwner: 'other',
      targetSide: target.sided ? pick(random, ['left', 'right', null]) : null,
      ...BARE_HOLD,
      cloth: gi && target.cloth,
      gained: null,
      lost: null,
    };
  }

  /** Footage on a file, with the one angle that shows it from its first frame to its last. */
  private piece(nth: number): { readonly one: Footage; readonly angle: Angle; readonly ticks: readonly number[] } {
    const { random } = this;
    this.clock = START_MS + nth * ((3 * 365 * DAY_MS) / Math.ceil(this.wanted / CLIPS_A_PIECE));
    const { file, ticks } = needed(this.files[nth % this.files.length]);
    const setting = pick(random, SETTINGS);
    const a = uneven(random, this.persons);
    const others = this.persons.filter((p) => p.id !== a.id);
    const gi = random() < 0.6;
    const one: Footage = {
      ...BARE_FOOTAGE,
      id: this.nextId(),
      version: 1,
      title: `${TITLES[setting]} ${nth + 1}`,
      setting,
      logged: random() < 0.7 ? 'throughout' : 'picked',
      live: setting !== 'demonstration',
      gi,
      counted: true,
      date: new Date(this.clock).toISOString().slice(0, 10),
      athleteA: a.id,
      athleteB: uneven(random, others).id,
      kitA: 'white kit',
      kitB: 'dark kit',
    };
    const end = ticks.length - 1;
    const angle: Angle = {
      ...BARE_ANGLE,
      id: this.nextId(),
      version: 1,
      footageId: one.id,
      fileId: file.id,
      fromFrame: 0,
      toFrame: end,
      fromPts: ticks[0]!,
      toPts: ticks[end]!,
      offsetMs: 0,
    };
    return { one, angle, ticks };
  }

  /** What is tried between two frames, by whoever acts, from where things stand. */
  private attempt(
    { one, angle, ticks }: ReturnType<Seeding['piece']>,
    { state, subject }: Standing,
    from: number,
    to: number,
  ): Attempt & { readonly finish: Finish } {
    const { random } = this;
    const at = (frame: number): Attempt['start'] => ({ frame, pts: ticks[frame]! });
    const here = this.actionsFrom.get(this.familyOf(state))!.filter((w) => NOT_BY[w.does] !== state.role);
    const action = uneven(random, here.length ? here : this.words.of('action'));
    const result = one.setting === 'demonstration' ? 'shown' : resultOf(random);
    const finish = this.finishOf(state, action, result);
    const reactions = this.words.of('reaction');
    const reasons = this.words.of('reason');
    return {
      ...BARE_ATTEMPT,
      id: this.nextId(),
      version: 1,
      footageId: one.id,
      angleId: angle.id,
      subject,
      state,
      lead: pick(random, ['left', 'right', null]),
      action: action.key,
      intent: random() < 0.03 ? 'bait' : 'own',
      result,
      depth: result === 'success' ? 4 : Math.floor(random() * 4),
      finish,
      start: at(from),
      commit: at(Math.min(to - 1, from + 3)),
      end: at(to - 1),
      controls: Array.from({ length: Math.floor(random() * 4) }, () => this.control(one.gi)),
      reactions:
        random() < 0.6
          ? [{ id: this.nextId(), what: uneven(random, reactions).key, isAction: false, ...BARE_REACTION }]
          : [],
      reasons: result === 'failed' ? [{ id: this.nextId(), reason: uneven(random, reasons).key, main: true }] : [],
    };
  }

  /** The next one goes on from there, by the same side or the other. */
  private after(finish: Finish, { subject }: Standing): Standing {
    const { random, allStates } = this;
    const isOther = random() < 0.4;
    const left: State =
      finish.kind === 'state'
        ? { position: finish.position, role: isOther ? otherRole(finish.role) : finish.role }
        : uneven(random, allStates);
    return {
      subject: isOther ? (subject === 'a' ? 'b' : 'a') : subject,
      state: this.known.has(`${left.position}/${left.role}`) ? left : uneven(random, allStates),
    };
  }

  private fill(nth: number): void {
    const { random } = this;
    const piece = this.piece(nth);
    const { one, angle, ticks } = piece;
    this.footage.push(one);
    this.angles.push(angle);
    const at = (frame: number): Attempt['start'] => ({ frame, pts: ticks[frame]! });
    const end = ticks.length - 1;
    let standing: Standing = { state: uneven(random, this.allStates), subject: random() < 0.5 ? 'a' : 'b' };
    const many = Math.min(CLIPS_A_PIECE, this.wanted - this.clips.length);
    for (let k = 0; k < many; k++) {
      const from = Math.floor((k / many) * (end - 12));
      const to = Math.min(end, from + 8 + Math.floor(random() * ((end / many) * 1.2)));
      const attempt = this.attempt(piece, standing, from, to);
      this.attempts.push(attempt);
      this.clips.push({
        id: this.nextId(),
        version: 1,
        attemptId: attempt.id,
        angleId: angle.id,
        in: at(from),
        out: at(to),
        ...BARE_CLIP,
        note: random() < 0.2 ? 'Weight first, then the step.' : '',
      });
      standing = this.after(attempt.finish, standing);
    }
  }

  library(): Library {
    for (let nth = 0; this.clips.length < this.wanted; nth++) this.fill(nth);
    const byId = (x: { readonly id: string }, y: { readonly id: string }): number => (x.id < y.id ? -1 : 1);
    return {
      format: 'odograph-library',
      formatVersion: 1,
      ...NO_ROWS,
      academy: {
        id: idAt(randomOf(this.own + 0x5eed), START_MS),
        name: `Seeded ${this.size}`,
        timeZone: 'UTC',
      },
      wordChanges: this.wordChanges,
      persons: this.persons,
      files: this.files.map((f) => f.file),
      footage: this.footage.sort(byId),
      angles: this.angles.sort(byId),
      attempts: this.attempts.sort(byId),
      clips: this.clips.sort(byId),
    };
  }
}

/**
 * A library of a size, the same for the same seed: people, footage over three years in all settings, attempts that follow on from each other, with grips,
 * reactions and reasons. Every clip lies inside the frames of its file. Each size has numbers of its own: one seed gives three libraries, no two of the same academy.
 */
export const seededLibrary = (size: SizeName, seed: number, files: readonly SeededFile[]): Library =>
  new Seeding(size, seed * Object.keys(SIZES).length + Object.keys(SIZES).indexOf(size), files).library();
