import { isAim, placeFamily, proposedResult, stateId, type PlaceId, type Result } from '../attempts/index.js';
import { otherRole, type Aim, type Role, type Words } from '../vocabulary/index.js';
import type { Reading } from './readings.js';
import type { Meant, PhraseContext, PhrasePart, PhraseReading, SaidFinish, SaidPlace } from './types.js';

/** The side of a place that an action is begun from, by what kind it is. */
const usualRole = (position: string, action: string | null, words: Words): Role | null => {
  const word = words.position(position);
  if (!word) return null;
  if (word.roles.length <= 1) return word.roles[0] ?? null;
  const does = action === null ? undefined : words.action(action)?.does;
  const [first, second] = word.roles as [Role, Role];
  const better = word.height >= 0 ? first : second;
  const worse = better === first ? second : first;
  const isGuard = word.family.endsWith('guard');
  const vertical = (role: 'top' | 'bottom'): Role =>
    word.roles.find((r) => r === role) ?? ((role === 'top') !== isGuard ? better : worse);
  switch (does) {
    case 'pass':
    case 'yield':
      return vertical('top');
    // out of a guard, whoever comes up from below takes down
    case 'takedown':
      return vertical(isGuard ? 'bottom' : 'top');
    case 'sweep':
    case 'guard pull':
    case 'retention':
    case 'off-balance':
      return vertical('bottom');
    case 'escape':
      return isGuard ? vertical('bottom') : worse;
    case 'advance':
    case 'back take':
    case 'submission':
      return isGuard ? vertical('bottom') : better;
    default:
      return better;
  }
};

const idOf = (place: SaidPlace): PlaceId | null =>
  place.role === null ? null : stateId({ position: place.position, role: place.role });

type Of<P extends Meant['part']> = Extract<Meant, { part: P }>;

/** What was concluded from what, in words. */
const BECAUSE = {
  onlyRole: 'it has no other side',
  left: 'where things were left',
  action: 'by what is done',
  aim: 'by what is aimed at',
  same: 'as where it began',
  onTop: 'by who was on top',
  sprawled: 'whoever shot is under a sprawl',
  usual: 'as it mostly is',
  tap: 'they tapped to it',
  places: 'from one place to the other',
  chain: 'where the one before ended',
  named: 'the other one was named',
  finish: 'by where it ended',
} as const;

/** The same place from its other side. */
const otherSide = (meant: Of<'position'>): Meant => ({
  ...meant,
  place: { ...meant.place, role: meant.place.role && otherRole(meant.place.role) },
});

type Roled<T> = {
  readonly is: T;
  readonly because: string | null;
  /** It may as well be the other side. */ readonly isOpen?: boolean;
};

/** What is known of one attempt before anything is concluded. */
type Told = {
  readonly attempt: number;
  readonly parts: readonly PhrasePart[];
  /** Where things were left. */ readonly left: SaidPlace | null;
  /** Where it begins: as it was said, with its side, or where things were left. */ readonly from: SaidPlace | null;
  /** Nobody said on which side it began, and nothing decides. */ readonly isUsual: boolean;
  readonly action: string | null;
  /** The action that its side is told by: one that is asked about will do. */ readonly likely: string | null;
  readonly aims: readonly Aim[];
  readonly result: Result | undefined;
  /** What is done in the attempt that follows. */ readonly next: string | null;
  readonly words: Words;
};

const saidIn = <P extends Meant['part']>(parts: readonly PhrasePart[], part: P): Of<P> | undefined =>
  parts.find((p) => p.meant.part === part && p.status !== 'asked')?.meant as Of<P> | undefined;

/** A place with its side: as it was left, or by what is done there. */
const settled = (
  place: SaidPlace,
  { left, likely, words }: Pick<Told, 'left' | 'likely' | 'words'>,
): Roled<SaidPlace> => {
  if (place.role !== null) return { is: place, because: null };
  if (left?.position === place.position && left.role !== null)
    return { is: { ...place, role: left.role }, because: BECAUSE.left };
  const role = usualRole(place.position, likely, words);
  const isOnly = (words.position(place.position)?.roles.length ?? 0) <= 1;
  return {
    is: { ...place, role },
    because: role === null ? null : isOnly ? BECAUSE.onlyRole : likely === null ? BECAUSE.usual : BECAUSE.action,
  };
};

const toldOf = (
  attempt: number,
  parts: readonly PhrasePart[],
  left: SaidPlace | null,
  next: string | null,
  words: Words,
): Told => {
  const action = saidIn(parts, 'entry')?.action ?? null;
  const likely =
    action ?? (parts.find((p) => p.meant.part === 'entry')?.meant as Of<'entry'> | undefined)?.action ?? null;
  const position = saidIn(parts, 'position');
  const began = position ? settled(position.place, { left, likely, words }) : null;
  return {
    ...{ attempt, parts, left, action, likely, next, words },
    from: began ? began.is : left,
    isUsual: began?.because === BECAUSE.usual,
    aims: action === null ? [] : (words.action(action)?.aims ?? []),
    result: saidIn(parts, 'result')?.result,
  };
};

/** Whether whoever acts is on top, or has begun standing: nobody said where it began: passes and takedowns are the top's. */
const isOnTop = ({ from, likely, words }: Told): boolean => {
  const begun = from && idOf(from);
  const does = from || likely === null ? undefined : words.action(likely)?.does;
  return (
    does === 'pass' ||
    does === 'takedown' ||
    from?.role === 'top' ||
    from?.role === 'attacker' ||
    (begun !== null && placeFamily(begun, words) === 'standing')
  );
};

const isSprawled = ({ parts, likely, words }: Told): boolean =>
  (likely === null || words.action(likely)?.does === 'takedown') &&
  parts.some(({ meant }) => meant.part === 'reaction' && meant.what === 'sprawls');

/** Where it ended, with its side: by the aim, as it began, or by who was on top. */
const endedIn = (finish: SaidFinish, told: Told): Roled<SaidFinish> => {
  const { from, likely, result, words } = told;
  const aims = likely === null ? [] : (words.action(likely)?.aims ?? []);
  if (finish.kind !== 'state' || finish.role !== null) return { is: finish, because: null };
  const word = words.position(finish.position);
  if (!word) return { is: finish, because: null };
  const as = (role: Role | null, because: string): Roled<SaidFinish> => ({ is: { ...finish, role }, because });
  if (word.roles.length <= 1) return as(word.roles[0] ?? null, BECAUSE.onlyRole);
  // *X guard sweep, he posts, back to X guard*: nothing came of it
  const isMet = told.parts.some(({ meant }) => meant.part === 'reaction');
  if (!from && isMet && result !== 'success' && likely !== null && words.action(likely)?.from.includes(word.family))
    return as(usualRole(finish.position, likely, words), BECAUSE.same);
  // *single leg, they sprawl, front headlock*: whoever shot is under it
  const isUnder = word.family === 'turtle' && result !== 'success' && isSprawled(told);
  if (isUnder && word.roles.includes('bottom')) return as('bottom', BECAUSE.sprawled);
  const aim = aims.find((a) => !('submission' in a) && isAim(a, finish, words));
  if (aim && 'role' in aim && word.roles.includes(aim.role)) return as(aim.role, BECAUSE.aim);
  if (from?.position === finish.position) return as(from.role, BECAUSE.same);
  // *K guard bottom, backside fifty-fifty, heel hook*: what is done from there says on which side they are
  if (likely === null && told.next !== null) {
    const role = usualRole(finish.position, told.next, words);
    if (role !== null) return as(role, BECAUSE.action);
  }
  const onTop = isOnTop(told);
  const better = word.height >= 0 ? word.roles[0]! : word.roles[1]!;
  if (word.family.endsWith('guard') && word.roles.includes('top')) return as(onTop ? 'top' : 'bottom', BECAUSE.onTop);
  const isBetter = result === 'success' || result === 'partial' || onTop;
  if (isBetter) return as(better, BECAUSE.onTop);
  // *elevated them from butterfly and landed in mount*: nobody knows how
  return { ...as(word.roles.find((r) => r !== better) ?? better, BECAUSE.onTop), isOpen: told.action === null };
};

const filled = (meant: Meant, told: Told): Roled<Meant> => {
  if (meant.part === 'position') {
    const { is, because } = settled(meant.place, told);
    return { is: { ...meant, place: is }, because };
  }
  if (meant.part === 'finish') {
    const { is, ...how } = endedIn(meant.finish, told);
    return { is: { ...meant, finish: is }, ...how };
  }
  return { is: meant, because: null };
};

/** A part with the side that nobody said. */
const roled = (p: PhrasePart, told: Told): PhrasePart => {
  const { is, because, isOpen = false } = filled(p.meant, told);
  const isSideOpen = because === BECAUSE.usual || (because === BECAUSE.action && told.action === null);
  // what they did about it may have turned things over
  const isMet = told.result === undefined && told.parts.some(({ meant }) => meant.part === 'reaction');
  const isEndOpen =
    isOpen ||
    (because === BECAUSE.onTop && isMet) ||
    ((because === BECAUSE.onTop || because === BECAUSE.same) && (told.isUsual || !told.from));
  return {
    ...p,
    meant: is,
    others: p.others.map((o) => filled(o, told).is),
    ...(because === null || because === BECAUSE.onlyRole ? {} : { because }),
    // on which side nobody said, and nothing decides: that is asked
    ...(isSideOpen && is.part === 'position' && p.status === 'certain'
      ? { status: 'asked' as const, others: [...p.others, otherSide(is)] }
      : {}),
    // and so is where it ended, by who was on top, as long as that is asked
    ...(isEndOpen && p.status === 'certain' ? { status: 'asked' as const } : {}),
  };
};

/** What follows though nobody said it, and from what: where it began, where it ended, what was done, how it went. */
const following = (
  told: Told,
  finish: Of<'finish'> | undefined,
  leftBefore: SaidPlace | null,
): readonly (readonly [meant: Meant, because: string])[] => {
  const { attempt, parts, aims, action, from, result, words } = told;
  const has = (part: Meant['part']): boolean => parts.some((p) => p.meant.part === part);
  const all: (readonly [Meant, string])[] = [];
  if (attempt > 0 && !has('position') && leftBefore && leftBefore.role !== null)
    all.push([{ part: 'position', place: leftBefore }, BECAUSE.chain]);
  // a tap is to what was tried
  const [aim] = aims;
  if (!has('finish') && result === 'success' && aims.length === 1 && aim)
    if ('submission' in aim)
      all.push([
        { part: 'finish', finish: { kind: 'submission', submission: aim.submission, won: true } },
        BECAUSE.tap,
      ]);
    else if ('position' in aim)
      all.push([{ part: 'finish', finish: { kind: 'state', position: aim.position, role: aim.role } }, BECAUSE.aim]);
  // from one place to another, and nobody said how
  const entry =
    !has('entry') && finish?.finish.kind === 'state' && from ? wayBetween(from, finish.finish, words) : null;
  if (entry !== null) all.push([{ part: 'entry', action: entry }, BECAUSE.places]);
  // *armbar finish, closed guard*: what was won was tried
  const tried =
    has('entry') || finish?.finish.kind !== 'submission' ? undefined : words.tryOf(finish.finish.submission);
  if (tried) all.push([{ part: 'entry', action: tried.key }, BECAUSE.tap]);
  if (!has('result') && !has('intent') && finish && from?.role && action !== null) {
    const follows = resultOf(from, action, finish.finish, words);
    if (follows !== null) all.push([{ part: 'result', result: follows }, BECAUSE.finish]);
  }
  return all;
};

/** The parts of one attempt with the roles that nobody said, and what follows though nobody said it. */
const proposedFor = (
  attempt: number,
  parts: readonly PhrasePart[],
  leftBefore: SaidPlace | null,
  next: string | null,
  words: Words,
  context: PhraseContext,
): { readonly parts: readonly PhrasePart[]; readonly ended: SaidPlace | null } => {
  const told = toldOf(attempt, parts, attempt === 0 ? (context.left ?? null) : leftBefore, next, words);
  const withRoles = parts.map((p) => roled(p, told));
  const finish = saidIn(withRoles, 'finish');
  const more = following(told, finish, leftBefore).map(([meant, because]): PhrasePart => {
    const at = because === BECAUSE.chain ? parts[0] : parts.at(-1);
    return {
      ...{ meant, attempt, status: 'proposed', because, others: [], confidence: 1 },
      ...{ from: at?.from ?? 0, to: at?.to ?? 0 },
    };
  });
  const ends =
    finish?.finish ?? (more.find((p) => p.meant.part === 'finish')?.meant as Of<'finish'> | undefined)?.finish;
  const { result, from } = told;
  const isAsBegun = ends === undefined && (result === 'failed' || result === 'abandoned' || result === undefined);
  return {
    parts: [...withRoles, ...more],
    ended: ends?.kind === 'state' ? { position: ends.position, role: ends.role } : isAsBegun ? from : null,
  };
};

/** What is done where one place leads to another and nobody said how, if only one thing does. */
const wayBetween = (from: SaidPlace, to: Extract<SaidFinish, { kind: 'state' }>, words: Words): string | null => {
  const family = words.position(from.position)?.family;
  if (!family || from.position === to.position) return null;
  const ways = words
    .of('action')
    .filter(
      (a) =>
        (a.does === 'advance' || a.does === 'back take') &&
        a.from.includes(family) &&
        a.aims.some((aim) => 'position' in aim && aim.position === to.position && aim.role === to.role),
    );
  const sole = ways.filter((a) => a.aims.length === 1);
  const [way, ...others] = sole.length ? sole : ways;
  return way && !others.length ? way.key : null;
};

const resultOf = (from: SaidPlace, action: string, finish: SaidFinish, words: Words): Result | null => {
  if (from.role === null || (finish.kind === 'state' && finish.role === null)) return null;
  return proposedResult(
    {
      state: { position: from.position, role: from.role },
      action,
      finish: finish as never,
      intent: 'own',
      aim: null,
      controls: [],
      end: { frame: 0, pts: 0 },
    },
    words,
  );
};

/**
 * Fills in what nobody said: roles of places by what was left and by the action, of finishes by the aim and by who was on top; the finish of a tap, the start of a further
 * attempt, the result that follows from the finish, whose it is where the other side was named. Each says from what it was concluded.
 */
export const withProposals = (
  reading: PhraseReading,
  read: Pick<Reading, 'who'>,
  words: Words,
  context: PhraseContext,
): PhraseReading => {
  const all: PhrasePart[] = [];
  let began: SaidPlace | null = null;
  for (let attempt = 0; attempt < reading.attempts; attempt++) {
    const of = reading.parts.filter((p) => p.attempt === attempt);
    const [next = null] = reading.parts.flatMap(({ attempt: at, meant }) =>
      at === attempt + 1 && meant.part === 'entry' ? [meant.action] : [],
    );
    const done = proposedFor(attempt, of, began, next, words, context);
    began = done.ended;
    all.push(...done.parts);
  }
  const [first] = reading.parts;
  if (read.who !== null && first && !all.some((p) => p.meant.part === 'who'))
    all.unshift({
      meant: { part: 'who', subject: read.who },
      ...{ attempt: 0, status: 'proposed', because: BECAUSE.named, others: [], confidence: 1 },
      ...{ from: first.from, to: first.to },
    });
  return { ...reading, parts: all };
};
