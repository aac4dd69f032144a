import { isAim, placeFamily, proposedResult, stateId, type PlaceId, type Result } from '../attempts/index.js';
import { otherRole, type Role, type Words } from '../vocabulary/index.js';
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

type Roled<T> = { readonly is: T; readonly because: string | null };

/** The parts of one attempt with the roles that nobody said, and what follows though nobody said it. */
const proposedFor = (
  attempt: number,
  parts: readonly PhrasePart[],
  leftBefore: SaidPlace | null,
  words: Words,
  context: PhraseContext,
): { readonly parts: readonly PhrasePart[]; readonly ended: SaidPlace | null } => {
  const said = <P extends Meant['part']>(part: P): Of<P> | undefined =>
    parts.find((p) => p.meant.part === part && p.status !== 'asked')?.meant as Of<P> | undefined;
  const action = said('entry')?.action ?? null;
  /** For whose side it is, also one that is asked about will do. */
  const likely =
    action ?? (parts.find((p) => p.meant.part === 'entry')?.meant as Of<'entry'> | undefined)?.action ?? null;
  const left = attempt === 0 ? (context.left ?? null) : leftBefore;
  const settled = (place: SaidPlace): Roled<SaidPlace> => {
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
  const position = said('position');
  const began = position ? settled(position.place) : null;
  const from = began ? began.is : left;
  /** Nobody said on which side it began, and nothing decides. */
  const isUsual = began?.because === BECAUSE.usual;
  const aims = action === null ? [] : (words.action(action)?.aims ?? []);
  const result = said('result')?.result;
  const ended = (finish: SaidFinish): Roled<SaidFinish> => {
    if (finish.kind !== 'state' || finish.role !== null) return { is: finish, because: null };
    const word = words.position(finish.position);
    if (!word) return { is: finish, because: null };
    const as = (role: Role | null, because: string): Roled<SaidFinish> => ({ is: { ...finish, role }, because });
    if (word.roles.length <= 1) return as(word.roles[0] ?? null, BECAUSE.onlyRole);
    const aim = aims.find((a) => !('submission' in a) && isAim(a, finish, words));
    if (aim && 'role' in aim && word.roles.includes(aim.role)) return as(aim.role, BECAUSE.aim);
    if (from?.position === finish.position) return as(from.role, BECAUSE.same);
    const begun = from && idOf(from);
    // nobody said where it began: passes and takedowns are the top's
    const does = from || action === null ? undefined : words.action(action)?.does;
    const onTop =
      does === 'pass' ||
      does === 'takedown' ||
      from?.role === 'top' ||
      from?.role === 'attacker' ||
      (begun !== null && placeFamily(begun, words) === 'standing');
    const better = word.height >= 0 ? word.roles[0]! : word.roles[1]!;
    if (word.family.endsWith('guard') && word.roles.includes('top')) return as(onTop ? 'top' : 'bottom', BECAUSE.onTop);
    const isBetter = result === 'success' || result === 'partial' || onTop;
    return as(isBetter ? better : (word.roles.find((r) => r !== better) ?? better), BECAUSE.onTop);
  };
  const filled = (meant: Meant): Roled<Meant> => {
    if (meant.part === 'position') {
      const { is, because } = settled(meant.place);
      return { is: { ...meant, place: is }, because };
    }
    if (meant.part === 'finish') {
      const { is, because } = ended(meant.finish);
      return { is: { ...meant, finish: is }, because };
    }
    return { is: meant, because: null };
  };
  const roled = parts.map((p): PhrasePart => {
    const { is, because } = filled(p.meant);
    return {
      ...p,
      meant: is,
      others: p.others.map((o) => filled(o).is),
      ...(because === null || because === BECAUSE.onlyRole ? {} : { because }),
      // on which side nobody said, and nothing decides: that is asked
      ...((because === BECAUSE.usual || (because === BECAUSE.action && action === null)) &&
      is.part === 'position' &&
      p.status === 'certain'
        ? { status: 'asked' as const, others: [...p.others, otherSide(is)] }
        : {}),
      // and so is where it ended, by who was on top, as long as that is asked
      ...((because === BECAUSE.onTop || because === BECAUSE.same) && (isUsual || !from) && p.status === 'certain'
        ? { status: 'asked' as const }
        : {}),
    };
  });
  const last = parts.at(-1);
  const more: PhrasePart[] = [];
  const propose = (meant: Meant, because: string, at: PhrasePart | undefined = last): void =>
    void more.push({
      ...{ meant, attempt, status: 'proposed', because, others: [], confidence: 1 },
      ...{ from: at?.from ?? 0, to: at?.to ?? 0 },
    });
  const has = (part: Meant['part']): boolean => parts.some((p) => p.meant.part === part);
  if (attempt > 0 && !has('position') && leftBefore && leftBefore.role !== null)
    propose({ part: 'position', place: leftBefore }, BECAUSE.chain, parts[0]);
  const finish = roled.find((p) => p.meant.part === 'finish' && p.status !== 'asked')?.meant as
    Of<'finish'> | undefined;
  // a tap is to what was tried
  const [aim] = aims;
  const isTap = result === 'success' && aims.length === 1 && aim && 'submission' in aim;
  if (!has('finish') && isTap)
    propose({ part: 'finish', finish: { kind: 'submission', submission: aim.submission, won: true } }, BECAUSE.tap);
  else if (!has('finish') && result === 'success' && aims.length === 1 && aim && 'position' in aim)
    propose({ part: 'finish', finish: { kind: 'state', position: aim.position, role: aim.role } }, BECAUSE.aim);
  // from one place to another, and nobody said how
  if (!has('entry') && finish?.finish.kind === 'state' && from) {
    const entry = wayBetween(from, finish.finish, words);
    if (entry !== null) propose({ part: 'entry', action: entry }, BECAUSE.places);
  }
  if (!has('result') && finish && from?.role && action !== null) {
    const follows = resultOf(from, action, finish.finish, words);
    const isBait = has('intent');
    if (follows !== null && !isBait) propose({ part: 'result', result: follows }, BECAUSE.finish);
  }
  const ends =
    finish?.finish ?? (more.find((p) => p.meant.part === 'finish')?.meant as Of<'finish'> | undefined)?.finish;
  return {
    parts: [...roled, ...more],
    ended:
      ends?.kind === 'state'
        ? { position: ends.position, role: ends.role }
        : ends === undefined && (result === 'failed' || result === 'abandoned' || result === undefined)
          ? from
          : null,
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
    const done = proposedFor(attempt, of, began, words, context);
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
