import { isEveryday } from './everyday.js';
import { KNOWN } from './listed.js';
import { SMALL } from './sayings.js';
import type { Reading } from './readings.js';
import type { Token } from './tokens.js';

/** One word that is spelled worse than this is asked about. */
const HALF_SURE = 0.76;

/** Of words this short many are a letter apart. */
const SHORT = 3;
const SHORT_SURE = 0.84;

const NEGATIONS = new Set('not never nothing without hardly didn don doesn isn wasn couldn'.split(' '));

const isSmall = ({ text }: Token): boolean => SMALL.has(text) || KNOWN.has(text);

/** What stands behind a place and turns the order in which things are told. */
const BEHIND_PLACE = new Set(['is', 'was', 'after', 'before']);

const OWNED = new Set(['my', 'our', 'his', 'her', 'their', 'your']);

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
  const [first, next] = [typed[piece.from]!, typed[at]];
  const isOneWord = piece.to - piece.from === 1;
  const previous = first.opens ? undefined : typed[piece.from - 1];
  // beside a word that nobody knows it may be a part of a name; a place of several words is one
  const isPlace = meant.part === 'position' || meant.part === 'finish';
  const isPlain = meant.part === 'who' || meant.part === 'result' || (isPlace && !isOneWord);
  if (!isPlain && (isUnread(previous) || (next && !next.opens && isUnread(next)))) return true;
  // *never let go*
  if (meant.part === 'result' && previous && NEGATIONS.has(previous.text)) return true;
  if (piece.isVerb) return true;
  const least = first.text.length <= SHORT ? SHORT_SURE : HALF_SURE;
  const isOneName =
    isOneWord || (piece.said.is === 'place' && piece.said.place.role !== null && piece.to - piece.from === 2);
  if (isOneName && piece.quality < least) return true;
  // *crossfaced*: it may be what was done to them
  if (meant.part === 'grip' && isOneWord && before.pointer !== 'with' && first.text.endsWith('ed')) return true;
  // *armlock with the legs*: with what it is done, or what is held
  const behind = previous && SMALL.has(previous.text) && !previous.opens ? typed[piece.from - 2] : previous;
  if (meant.part === 'grip' && isOneWord && behind?.text === 'with' && LIMBS.has(first.text)) return true;
  // *deep half to top*: the side stands apart from the place
  if (piece.said.is === 'place' && piece.said.place.role === null && isSideBehind(typed, at)) return true;
  // half of a name that stands before something else: *wrestler's cradle*
  if (
    meant.part === 'entry' &&
    isOneWord &&
    !piece.isWritten &&
    piece.quality < 0.93 &&
    next &&
    !next.opens &&
    !isSmall(next)
  )
    return true;
  // *headlock* of *headlock throw*: it may be something else by that name
  if (piece.isHeadless && (isOneWord || marks.some(([f, amount]) => f === 'begins' && amount < 0))) return true;
  // an action of whoever was named as the other side
  if (meant.part === 'entry' && (before.voice === 'they' || piece.whose === 'them')) return true;
  // *hip heist from seated guard, on top*: the side may be where it ended
  if (
    meant.part === 'position' &&
    before.action !== null &&
    typed[at - 2]?.text === 'on' &&
    typed[at - 2]!.opens &&
    at - 2 > piece.from
  )
    return true;
  // behind what nobody knows, and nothing else that was done, it may be where that ended
  if (
    meant.part === 'position' &&
    before.action === null &&
    before.pointer !== 'from' &&
    before.told === null &&
    typed.slice(0, piece.from).some(isUnread)
  )
    return true;
  // *worked. He turned in late*: why is asked of what failed
  if (meant.part === 'reason' && before.pointer !== 'because' && before.result === 'success') return true;
  // *closed guard, collar and sleeve, sweep*: it may be what is held there
  if (meant.part === 'finish' && piece.isHeld && before.action === null && before.pointer !== 'to') return true;
  // *butterfly sweep, mount, closed guard bottom*: behind where it ended, it may be what came then
  if (meant.part === 'position' && before.action !== null && before.finish !== null && before.pointer !== 'from')
    return true;
  // *no pass*
  if (meant.part === 'entry' && previous && (previous.text === 'no' || NEGATIONS.has(previous.text))) return true;
  // *my back hurt*: that is no place
  const isOwned = OWNED.has(first.text) && piece.said.is === 'place';
  if (isOwned && next && !next.opens && !isSmall(next)) return true;
  // *half guard is where it ended*, *kept mount after the sweep*, *closed guard before*
  if (isPlace && next && BEHIND_PLACE.has(next.text) && !next.opens) return true;
  // *he has mount, goes for the armbar*: it may be he who does
  if (meant.part === 'entry' && before.pointer === 'act' && isToldOfThem(before)) return true;
  // *knee on belly first*: before what was told already
  if ((meant.part === 'finish' || meant.part === 'entry') && next?.text === 'first' && !next.opens) return true;
  // a place that is told of them may be where they go, or what they do about it
  if (meant.part === 'finish' && before.voice === 'they' && before.pointer !== 'to') return true;
  // what only the other side does, told of nobody before anything was done to it
  if (meant.part === 'reaction' && !meant.isAction && before.voice === 'open' && before.action === null) return true;
  // why, of what has not ended yet
  return meant.part === 'reason' && before.pointer !== 'because' && before.result === null && before.action === null;
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
