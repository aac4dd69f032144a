import {
  BARE_HOLD,
  controlKey,
  finishId,
  finishOf,
  meetingsIn,
  mirrorControl,
  stateId,
  type Attempt,
  type Control,
  type Finish,
  type Meeting,
  type State,
} from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';

/** How often values were said under each of several headings. */
class Counts {
  private readonly byHeading = new Map<string, { most: number; readonly of: Map<string, number> }>();

  add(heading: string, value: string, weight = 1): void {
    const found = this.byHeading.get(heading) ?? { most: 0, of: new Map<string, number>() };
    const n = (found.of.get(value) ?? 0) + weight;
    found.of.set(value, n);
    found.most = Math.max(found.most, n);
    this.byHeading.set(heading, found);
  }

  /** 0 … 1: how often, beside what was said most often under the heading; 0 where nothing was. */
  share(heading: string, value: string): number {
    const found = this.byHeading.get(heading);
    return found ? (found.of.get(value) ?? 0) / found.most : 0;
  }
}

/** A hold told on the other side came up half as often as it did. */
const MIRRORED = 0.5;
/** What holds everywhere weighs so much beside what holds here. */
const ANYWHERE = 0.1;

const holdText = (hold: Omit<Control, 'id'>): string => controlKey({ ...hold, id: '' });

/** A hold as it is named: when it was held, how deep, and what became of it was so that one time. Its reach belongs to its name. */
const plainly = (hold: Control): Control => ({ ...hold, ...BARE_HOLD, reach: hold.reach });

/**
 * What is usual in a library: from which places one acts, what is done from each, what is held there, what the other side does against it, where it ends. From this the
 * choices of each part take their order (never what they are). Counts of what was said, also drafts, each attempt once; the order of attempts does not matter.
 */
export class Usual {
  private readonly counts = new Counts();
  private readonly holdsByText = new Map<string, Omit<Control, 'id'>>();

  private met: readonly Meeting[] | undefined;

  constructor(
    private readonly attempts: readonly Attempt[],
    private readonly words: Words,
  ) {
    for (const attempt of attempts) this.count(attempt, words);
  }

  private count(attempt: Attempt, words: Words): void {
    const place = attempt.state && stateId(attempt.state);
    const own = attempt.controls.filter((c) => c.holder === 'subject').map(plainly);
    if (place) this.counts.add('places', place);
    for (const hold of own) {
      for (const [told, weight] of [[hold, 1] as const, [mirrorControl(hold), MIRRORED] as const]) {
        const text = holdText(told);
        const { id, ...bare } = told;
        void id;
        this.holdsByText.set(text, bare);
        this.counts.add('holds', text, weight);
        if (place) this.counts.add(`holds ${place}`, text, weight);
      }
    }
    if (attempt.action === null) return;
    this.counts.add('actions', attempt.action);
    if (place) this.counts.add(`actions ${place}`, attempt.action);
    for (const met of attempt.reactions.filter((r) => !r.isAction)) {
      this.counts.add('reactions', met.what);
      this.counts.add(`reactions ${attempt.action}`, met.what);
    }
    const end = finishOf(attempt, words);
    if (!end) return;
    this.counts.add(`finish ${attempt.action}`, finishId(end.finish));
    if (place) this.counts.add(`finish ${place} ${attempt.action}`, finishId(end.finish));
  }

  /** What was met in the library (`meetingsIn`). */
  get meetings(): readonly Meeting[] {
    return (this.met ??= meetingsIn(this.attempts, this.words));
  }

  place(state: State): number {
    return this.counts.share('places', stateId(state));
  }
  action(action: string, from: State | null): number {
    const here = from ? this.counts.share(`actions ${stateId(from)}`, action) : 0;
    return here + ANYWHERE * this.counts.share('actions', action);
  }
  reaction(reaction: string, action: string | null): number {
    const here = action === null ? 0 : this.counts.share(`reactions ${action}`, reaction);
    return here + ANYWHERE * this.counts.share('reactions', reaction);
  }
  finish(finish: Finish, from: State | null, action: string | null): number {
    if (action === null) return 0;
    const here = from ? this.counts.share(`finish ${stateId(from)} ${action}`, finishId(finish)) : 0;
    return here + ANYWHERE * this.counts.share(`finish ${action}`, finishId(finish));
  }
  /** `text` is the hold's key, where that is known already. */
  hold(hold: Omit<Control, 'id'>, from: State | null, text = holdText(hold)): number {
    const here = from ? this.counts.share(`holds ${stateId(from)}`, text) : 0;
    return here + ANYWHERE * this.counts.share('holds', text);
  }
  /** Every hold that anybody told, on both sides. */
  get holds(): readonly Omit<Control, 'id'>[] {
    return [...this.holdsByText.values()];
  }
}
