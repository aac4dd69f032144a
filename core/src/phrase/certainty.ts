import { isEveryday } from './everyday.js';
import { KNOWN } from './listed.js';
import { ARTICLES, SMALL } from './sayings.js';
import type { Piece } from './piece.js';
import type { Reading } from './readings.js';
import type { Token } from './tokens.js';
import type { Meant } from './types.js';
import { isOwner, THEIRS } from './whose.js';
import type { Mark } from './weights.js';

/** One word that is spelled worse than this is asked about. */
const HALF_SURE = 0.76;

/** Of words this short many are a letter apart. */
const SHORT = 3;
const SHORT_SURE = 0.84;

const NEGATIONS = new Set('not never nothing without hardly didn don doesn isn wasn couldn'.split(' '));

/** *couldn't get the underhook*: whether it is said, before a token in its clause, that it was not so. */
const isDenied = (typed: readonly Token[], at: number): boolean => {
  for (let i = at; i >= 0; i--) {
    const { text, from, to, opens } = typed[i]!;
    // *can't*: what hangs on an apostrophe is left off
    const isNot = NEGATIONS.has(text) || text === 'cannot' || (text === 'can' && to - from > text.length);
    if (isNot && i < at) return true;
    if (opens) return false;
  }
  return false;
};
/** *swept*, *flattened*, *stacked*: who did it is left open. */
const isDoneTo = ({ text }: Token): boolean => text.endsWith('ed') || ['swept', 'thrown', 'taken'].includes(text);

const isSmall = ({ text }: Token): boolean => SMALL.has(text) || KNOWN.has(text);

/** What stands behind a place and turns the order in which things are told. */
const BEHIND_PLACE = new Set(['is', 'was', 'after', 'before']);

const INTO = new Set(['into', 'to']);
const STANDING = new Set(['stand', 'standing']);
const GOING = new Set(['go', 'goes', 'went', 'going']);
/** Said of what either side does about the other. */
const EITHER = new Set(['whizzer', 'whizzers', 'overhook', 'overhooks', 'underhook', 'underhooks', 'crossface']);
const LIMBS = new Set(['arms', 'hands', 'legs', 'feet', 'hips', 'knees', 'shoulders']);

const SIDES = new Set(['top', 'bottom']);
/** A side that stands behind in the same clause, a word or two away. */
const isSideBehind = (typed: readonly Token[], at: number): boolean => {
  for (const token of typed.slice(at, at + 3)) {
    if (token.opens) return false;
    if (SIDES.has(token.text)) return true;
  }
  return false;
};

/** Whether the place in which the attempt in hand begins was told of the other side. */
const isToldOfThem = (r: Reading): boolean => {
  for (let step: Reading | null = r; step && step.attempt === r.attempt; step = step.before)
    if (step.meant?.part === 'position') return step.before!.voice === 'they';
  return false;
};

/** A part, and what stands around it. */
type Around = {
  readonly piece: Piece;
  readonly meant: Meant;
  /** What was read before it. */ readonly before: Reading;
  /** Behind its last token. */ readonly at: number;
  readonly marks: readonly Mark[];
  readonly typed: readonly Token[];
  readonly first: Token;
  /** Before and behind it in the same clause. */ readonly previous: Token | undefined;
  readonly next: Token | undefined;
  readonly isOneWord: boolean;
  readonly isPlace: boolean;
  readonly isUnread: (token: Token | undefined) => boolean;
};

/** What only whoever is below does about it. */
const FROM_BELOW = new Set(['re-guards', 'closes-guard', 'knee-in', 'hips-out', 'turtles']);

/** Each is something that leaves open whether a part was meant at all. */
const DOUBTS: readonly ((a: Around) => boolean)[] = [
  // *can't get my underhook*
  ({ meant, piece, typed }) => (meant.part === 'grip' || meant.part === 'entry') && isDenied(typed, piece.from),
  // *closed guard top, …, hook sweep*: the other side does that
  ({ meant, before, marks }) =>
    meant.part === 'entry' && before.action !== null && marks.some(([f, amount]) => f === 'begins' && amount < -1),
  ({ meant, before }) => meant.part === 'reaction' && meant.isAction && before.voice === 'open',
  // *they crossface, flattened*
  ({ meant, before, first, previous }) =>
    meant.part === 'entry' &&
    before.told !== null &&
    (first.opens ? before.voice !== 'open' : previous?.text === 'and' && before.action !== null) &&
    isDoneTo(first),
  // *front headlock for him*
  ({ isPlace, next }) => isPlace && next?.text === 'for',
  // *sweep over the lasso side*
  ({ isPlace, previous, typed, piece }) =>
    isPlace && (previous?.text === 'over' || (previous?.text === 'the' && typed[piece.from - 2]?.text === 'over')),
  // *side control bottom, gets guard back*: whoever is above does not
  ({ meant, before }) =>
    meant.part === 'reaction' &&
    before.voice === 'open' &&
    before.place?.role === 'bottom' &&
    FROM_BELOW.has(meant.what),
  // beside a word that nobody knows it may be a part of a name; a place of several words is one
  ({ meant, isPlace, isOneWord, previous, next, isUnread }) => {
    const isPlain = meant.part === 'who' || meant.part === 'result' || (isPlace && !isOneWord);
    return !isPlain && (isUnread(previous) || isUnread(next));
  },
  // *off a failed double leg*: that was before
  ({ meant, previous }) => meant.part === 'result' && previous !== undefined && ARTICLES.has(previous.text),
  // *turn into half guard*: it may be this side that does
  ({ meant, before, next }) =>
    meant.part === 'reaction' &&
    !meant.isAction &&
    before.voice === 'open' &&
    next !== undefined &&
    INTO.has(next.text),
  // *goes for mount*: they may not have got there
  ({ isPlace, before, piece, typed }) =>
    isPlace &&
    before.voice === 'they' &&
    (before.pointer === 'act' ||
      (typed[piece.from - 1]?.text === 'for' && GOING.has(typed[piece.from - 2]?.text ?? ''))),
  // *he blocks with his hip*: what is held, or with what
  ({ meant, before, first, previous }) =>
    meant.part === 'grip' &&
    before.pointer === 'with' &&
    before.voice === 'they' &&
    (THEIRS.has(first.text) || THEIRS.has(previous?.text ?? '')),
  // *failed, gave it up*: behind the end nobody was told of
  ({ meant, before }) =>
    meant.part === 'reaction' && !meant.isAction && before.voice === 'open' && before.result !== null,
  // *they get the underhook, whizzer*: either side does that
  ({ meant, before, first }) =>
    meant.part === 'reaction' && before.voice === 'they still' && first.opens && EITHER.has(first.text),
  // *worked the neck*: that is done
  ({ meant, first, next }) =>
    meant.part === 'result' &&
    first.text === 'worked' &&
    next !== undefined &&
    (ARTICLES.has(next.text) || isOwner(next.text)),
  // *took the back standing*
  ({ meant, before, first }) => meant.part === 'reaction' && before.voice === 'open' && STANDING.has(first.text),
  // *never let go*
  ({ meant, previous }) => meant.part === 'result' && previous !== undefined && NEGATIONS.has(previous.text),
  ({ piece }) => piece.isVerb === true || piece.isShort === true,
  // one word that is spelled badly
  ({ piece, first, isOneWord }) => {
    const isSided = piece.said.is === 'place' && piece.said.place.role !== null && piece.to - piece.from === 2;
    return (isOneWord || isSided) && piece.quality < (first.text.length <= SHORT ? SHORT_SURE : HALF_SURE);
  },
  // *crossfaced*: it may be what was done to them
  ({ meant, isOneWord, before, first }) =>
    meant.part === 'grip' && isOneWord && before.pointer !== 'with' && first.text.endsWith('ed'),
  // *armlock with the legs*: with what it is done, or what is held
  ({ piece, meant, isOneWord, previous, first, typed }) => {
    const behind = previous && SMALL.has(previous.text) && !previous.opens ? typed[piece.from - 2] : previous;
    return meant.part === 'grip' && isOneWord && behind?.text === 'with' && LIMBS.has(first.text);
  },
  // *deep half to top*: the side stands apart from the place
  ({ piece, typed, at }) => piece.said.is === 'place' && piece.said.place.role === null && isSideBehind(typed, at),
  // half of a name that stands before something else: *wrestler's cradle*
  ({ piece, meant, isOneWord, next }) =>
    meant.part === 'entry' &&
    isOneWord &&
    !piece.isWritten &&
    piece.quality < 0.93 &&
    next !== undefined &&
    !isSmall(next),
  // *headlock* of *headlock throw*: it may be something else by that name
  ({ piece, isOneWord, marks }) =>
    piece.isHeadless === true && (isOneWord || marks.some(([f, amount]) => f === 'begins' && amount < 0)),
  // an action of whoever was named as the other side
  ({ piece, meant, before }) => meant.part === 'entry' && (before.voice === 'they' || piece.whose === 'them'),
  // *hip heist from seated guard, on top*: the side may be where it ended
  ({ piece, meant, before, typed, at }) =>
    meant.part === 'position' &&
    before.action !== null &&
    typed[at - 2]?.text === 'on' &&
    typed[at - 2]!.opens &&
    at - 2 > piece.from,
  // *caught the knee line*: half of what says why
  ({ meant, before, piece }) =>
    meant.part === 'reason' && before.pointer !== 'because' && before.result === null && !piece.isWritten,
  // *worked. He turned in late*: why is asked of what failed
  ({ meant, before }) => meant.part === 'reason' && before.pointer !== 'because' && before.result === 'success',
  // *butterfly sweep, mount, closed guard bottom*: behind where it ended, it may be what came then
  ({ meant, before }) =>
    meant.part === 'position' && before.action !== null && before.finish !== null && before.pointer !== 'from',
  // *no pass*
  ({ meant, previous }) => meant.part === 'entry' && previous?.text === 'no',
  // *my back hurt*: that is no place
  ({ piece, first, next }) => isOwner(first.text) && piece.said.is === 'place' && next !== undefined && !isSmall(next),
  // *half guard is where it ended*, *kept mount after the sweep*, *closed guard before*
  ({ isPlace, next }) => isPlace && next !== undefined && BEHIND_PLACE.has(next.text),
  // *he has mount, goes for the armbar*: it may be he who does
  ({ meant, before }) => meant.part === 'entry' && before.pointer === 'act' && isToldOfThem(before),
  // *knee on belly first*: before what was told already
  ({ meant, next }) => (meant.part === 'finish' || meant.part === 'entry') && next?.text === 'first',
  // a place that is told of them may be where they go, or what they do about it
  ({ meant, before }) => meant.part === 'finish' && before.voice === 'they' && before.pointer !== 'to',
  // what only the other side does, told of nobody before anything was done to it
  ({ meant, before }) =>
    meant.part === 'reaction' && !meant.isAction && before.voice === 'open' && before.action === null,
  // why, of what has not ended yet
  ({ meant, before }) =>
    meant.part === 'reason' && before.pointer !== 'because' && before.result === null && before.action === null,
];

/**
 * Whether a part needs a question though its letters are plain and no other reading comes near: what stands around it leaves open whether it was meant at all.
 * `isUnread`: a word that nobody knows.
 */
export const isDoubtful = (
  { piece, meant, before, at, marks }: Reading,
  typed: readonly Token[],
  isUnread: (token: Token | undefined) => boolean,
): boolean => {
  if (!piece || !meant || !before) return false;
  const [first, behind] = [typed[piece.from]!, typed[at]];
  const around: Around = {
    ...{ piece, meant, before, at, marks, typed, first, isUnread },
    previous: first.opens ? undefined : typed[piece.from - 1],
    next: behind?.opens ? undefined : behind,
    isOneWord: piece.to - piece.from === 1,
    isPlace: meant.part === 'position' || meant.part === 'finish',
  };
  return DOUBTS.some((doubt) => doubt(around));
};

/**
 * Whether a part is not even worth a question, and its words stay in the note: what the acting side does on its way (*frame and hip escape*), a word of every day that
 * might be a reason (*waited*). `next` is the part that is told next.
 */
export const isAside = (
  { piece, meant, before }: Reading,
  next: Reading | undefined,
  typed: readonly Token[],
  unread: ReadonlySet<Token>,
): boolean => {
  if (!piece || !meant || !before) return false;
  const isOneWord = piece.to - piece.from === 1;
  if (meant.part === 'reason')
    return isOneWord && before.pointer !== 'because' && before.result === null && isEveryday(typed[piece.from]!.text);
  if (meant.part !== 'reaction' || meant.isAction || before.voice !== 'open' || before.action !== null) return false;
  // *wait for the elbow*: a word of every day
  if (isOneWord && isEveryday(typed[piece.from]!.text)) return true;
  // *a little more pressure*: said of something else
  if (!typed[piece.from]!.opens && unread.has(typed[piece.from - 1]!)) return true;
  const to = next?.piece;
  return next?.meant?.part === 'entry' && !!to && !typed.slice(piece.to, to.to).some((token) => token.opens);
};
