import { isAside, isDoubtful } from './certainty.js';
import { isPlain } from './listed.js';
import type { Stretch } from './notes.js';
import type { Reading } from './readings.js';
import { SMALL } from './sayings.js';
import type { Token } from './tokens.js';
import type { Meant, PhraseContext, PhrasePart } from './types.js';

/** Two readings are close if their scores are: which of them is meant is asked. */
const CLOSE = 0.17;
/** Of what was done the first reading was right in each of 35 lines in which another one came between the two. */
const ENTRY_CLOSE = 0.06;
/** Letters that say it less surely than this are asked about; less surely than the lower line, they are left unread. */
const CERTAIN = 0.66;
const LEAST = 0.5;
const rounded = (x: number): number => Math.round(100 * Math.min(1, Math.max(0, x))) / 100;
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Whether a step is the first that is told of a further attempt. */
const beginsNext = (steps: readonly Reading[], step: Reading): boolean =>
  step.attempt > 0 && !steps.some((s) => s.meant && s.attempt === step.attempt && s.at < step.at);

/** What else the characters of a step may mean, by the readings that come near: the best first, with how far behind. */
const othersOf = (
  step: Reading,
  own: readonly Reading[],
  first: Reading,
  near: readonly { readonly r: Reading; readonly steps: readonly Reading[] }[],
): readonly { readonly meant: Meant | null; readonly apart: number }[] => {
  const found: { meant: Meant | null; apart: number }[] = [];
  const { piece } = step;
  if (!piece) return found;
  for (const { r, steps } of near) {
    const there = steps.find((s) => s.piece && s.meant && s.piece.from < piece.to && piece.from < s.piece.to);
    const meant = there?.meant ?? null;
    // the same, and whether it begins a further attempt is seen alike
    if (meant && same(meant, step.meant) && beginsNext(own, step) === beginsNext(steps, there!)) continue;
    if (meant && same(meant, step.meant)) {
      found.push({ meant: null, apart: first.score - r.score });
      continue;
    }
    if (!found.some((f) => same(f.meant, meant))) found.push({ meant, apart: first.score - r.score });
  }
  return found;
};

/** Whether two meanings are about the same thing, the one saying less: which of them it is needs no question. */
const isFiner = (meant: Meant, other: Meant): boolean =>
  meant.part === 'position' && other.part === 'position' && meant.place.position === other.place.position;

type Near = readonly { readonly r: Reading; readonly steps: readonly Reading[] }[];
type Other = { readonly meant: Meant | null; readonly apart: number };

/** What a result may be of. */
const OF_WHAT: ReadonlySet<Meant['part']> = new Set(['position', 'entry', 'finish', 'reaction']);

/** A step that says something, with the piece it says it by. */
type Saying = Reading & { readonly piece: NonNullable<Reading['piece']>; readonly meant: Meant };

/**
 * Makes parts of the steps of the best reading, one after the other: what each says, how surely, what else it may be; and sets apart what says nothing: left unread, set
 * aside as known though no part, or waiting for the part that it points to.
 */
export class StepReading {
  private readonly parts: PhrasePart[] = [];
  /** What is known and all the same no part of it. */ private readonly setAside = new Set<Token>();
  /** Those that a word points to as the end. */ private readonly pointedTo = new Set<PhrasePart>();
  private readonly left: Token[] = [];
  /** Steering and small words that wait for the part they point to. */ private waiting: Token[] = [];
  /** One of them points over what parts: *because: …*. */ private isPointing = false;
  private readonly unread: ReadonlySet<Token>;

  constructor(
    private readonly typed: readonly Token[],
    private readonly notes: readonly Stretch[],
    private readonly context: PhraseContext,
    private readonly best: { readonly first: Reading; readonly steps: readonly Reading[]; readonly near: Near },
  ) {
    this.unread = new Set(best.steps.filter((s) => !s.piece).map((s) => typed[s.at - 1]!));
  }

  read(): {
    readonly parts: readonly PhrasePart[];
    readonly pointedTo: ReadonlySet<PhrasePart>;
    readonly left: readonly Token[];
    readonly setAside: ReadonlySet<Token>;
  } {
    this.best.steps.forEach((step, nth) => this.take(step, nth));
    this.leave(this.waiting);
    const { pointedTo, left, setAside } = this;
    this.leaveBareNames();
    return { parts: this.settled(), pointedTo, left, setAside };
  }

  /** *theo felt sore*: of a name, and nothing else that is understood, nothing is said. */
  private leaveBareNames(): void {
    if (!this.parts.every((p) => p.meant.part === 'who') || !this.left.some(({ text }) => !SMALL.has(text))) return;
    for (const { from, to } of this.parts.splice(0))
      this.leave(this.typed.filter((token) => from <= token.from && token.to <= to));
  }

  /**
   * The parts with those asked about that the whole line leaves open: where it is if what was done was told of the other side (*she passes my half guard, side control
   * bottom*); what is not called by its name, can't begin there and does not end where it aims (*scissor, from standing*).
   */
  private settled(): readonly PhrasePart[] {
    const { steps } = this.best;
    const turned = new Set<number>();
    const odd = new Set<number>();
    for (const s of steps) {
      if (s.meant?.part === 'entry' && s.before!.voice === 'they') turned.add(s.attempt);
      if (s.marks.some(([f, amount]) => f === 'begins' && amount < 0)) odd.add(s.attempt);
    }
    for (const s of steps) if (s.marks.some(([f]) => f === 'aims')) odd.delete(s.attempt);
    const isCalled = ({ from, to }: PhrasePart): boolean =>
      !steps.some(
        ({ meant, piece }) =>
          meant?.part === 'entry' &&
          piece !== null &&
          piece.quality < 1 &&
          from <= this.typed[piece.from]!.from &&
          this.typed[piece.from]!.from < to,
      );
    // *everything worked today*: of nothing that was told
    const isBare =
      this.left.some(({ text }) => !SMALL.has(text)) && !this.parts.some(({ meant }) => OF_WHAT.has(meant.part));
    const isOpen = (p: PhrasePart): boolean => {
      if (p.meant.part === 'finish') return turned.has(p.attempt);
      if (p.meant.part === 'result') return isBare;
      return p.meant.part === 'entry' && odd.has(p.attempt) && !isCalled(p);
    };
    return this.parts.map((p) => (p.status === 'certain' && isOpen(p) ? { ...p, status: 'asked' } : p));
  }

  private leave(some: readonly Token[]): void {
    this.left.push(...some);
  }

  /** What waited is left, with more. */
  private giveUp(more: readonly Token[]): void {
    this.leave([...this.waiting, ...more]);
    this.waiting = [];
  }

  private isNoteWithin(from: number, to: number): boolean {
    return this.notes.some((n) => from <= n.from && n.to <= to);
  }

  private take(step: Reading, nth: number): void {
    const { piece, meant, at } = step;
    const begin = this.typed[piece?.from ?? at - 1]!;
    const { waiting } = this;
    if (begin.opens && waiting.length && (!this.isPointing || this.isNoteWithin(waiting[0]!.from, begin.from)))
      this.giveUp([]);
    const tokens = this.typed.slice(piece?.from ?? at - 1, at);
    if (!piece) {
      if (SMALL.has(begin.text)) this.waiting.push(begin);
      else this.giveUp([begin]);
      return;
    }
    if (!meant) {
      this.waiting.push(...tokens);
      this.isPointing ||= piece.said.is === 'who' || (piece.said.is === 'pointer' && piece.said.to !== 'joint');
      return;
    }
    this.say({ ...step, piece, meant }, step, nth, begin, tokens);
  }

  private say(saying: Saying, step: Reading, nth: number, begin: Token, tokens: readonly Token[]): void {
    const nextTold = this.best.steps.find((s, i) => i > nth && s.meant);
    const aside = isAside(step, nextTold, this.typed, this.unread);
    if (aside) for (const token of tokens) this.setAside.add(token);
    if (saying.piece.quality < LEAST || aside) return this.giveUp(tokens);
    // said again, more exactly: it is one part
    const told = this.parts.at(-1);
    const between = this.left.filter((t) => told && told.to <= t.from && t.to <= begin.from);
    const isOne =
      step.isFiner && between.every((t) => SMALL.has(t.text)) && !this.isNoteWithin(told?.to ?? begin.from, begin.from);
    // the same place, spoken of again: there is nothing more in it
    if (step.isFiner && !isOne) return this.giveUp(tokens);
    const coarse = this.forgetCoarser(saying);
    const isOfAsked = coarse?.status === 'asked';
    // *passes with a leg drag*: told in one breath, it is all of it
    const isBreath = coarse !== undefined && coarse === told && this.left.every((t) => t.to <= coarse.from);
    const before = isOne ? this.parts.pop() : isBreath ? coarse : undefined;
    if (before) this.left.splice(0, this.left.length, ...this.left.filter((t) => !between.includes(t)));
    const last = this.parts.at(-1);
    const [first] = this.waiting;
    const from = before ? before.from : first && (!last || first.from >= last.to) ? first.from : begin.from;
    const made = this.partOf(saying, step, from);
    const part: PhrasePart = isOfAsked ? { ...made, status: 'asked' } : made;
    this.parts.push(part);
    if (step.before!.pointer === 'to') this.pointedTo.add(part);
    this.waiting = [];
    this.isPointing = false;
    // what is left of what was told less exactly
    if (coarse && !isBreath)
      for (const token of this.typed.filter((t) => coarse.from <= t.from && t.to <= coarse.to)) {
        this.setAside.add(token);
        this.left.push(token);
      }
  }

  /** Told more exactly further on: what was said of it before is no part of its own any more. */
  private forgetCoarser({ meant, attempt, isFiner: isFinerStep }: Saying): PhrasePart | undefined {
    const coarse = this.parts.find(
      (p) => meant.part === 'entry' && p.meant.part === 'entry' && p.attempt === attempt && !isFinerStep,
    );
    if (coarse) this.parts.splice(this.parts.indexOf(coarse), 1);
    return coarse;
  }

  private partOf({ piece, meant, attempt, at }: Saying, step: Reading, from: number): PhrasePart {
    const { first, steps, near } = this.best;
    const found: readonly Other[] = othersOf(step, steps, first, near);
    const close = meant.part === 'entry' ? ENTRY_CLOSE : CLOSE;
    const rivals = found.filter(({ meant: m, apart }) => apart < close && m !== null && !isFiner(meant, m));
    const unsaid = found.some(({ meant: m, apart }) => m === null && apart < CLOSE / 2);
    const closest = Math.min(CLOSE, ...rivals.map(({ apart }) => apart));
    const isUnread = (token: Token | undefined): boolean =>
      token !== undefined && this.unread.has(token) && !isPlain(token);
    const isAsked =
      piece.quality < CERTAIN ||
      rivals.length > 0 ||
      unsaid ||
      this.isContrary(meant) ||
      isDoubtful(step, this.typed, isUnread);
    return {
      ...{ meant, attempt, status: isAsked ? 'asked' : 'certain', from, to: this.typed[at - 1]!.to },
      confidence: rounded(piece.quality * (0.5 + (0.5 * closest) / CLOSE)),
      others: found.flatMap(({ meant: m, apart }) => (m && apart < CLOSE ? [m] : [])),
    };
  }

  /** What they wear stands on the sheet: said otherwise, it is asked about. */
  private isContrary(meant: Meant): boolean {
    const { gi } = this.context;
    return meant.part === 'clothing' && gi !== undefined && meant.gi !== gi;
  }
}
