import type { LeadView } from '@odograph/core/contract';

/** While it plays by itself, where it is needs telling only so often, in ms. */
const DRIFT_MS = 500;

const isAlike = (a: object, b: object): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Tells what is seen: one request at a time, the latest next, and what goes by itself not with each frame. */
export class Leading {
  private sent: LeadView | null = null;
  private sentAt = 0;
  private waiting: LeadView | null = null;
  private isBusy = false;

  constructor(
    private readonly send: (view: LeadView) => Promise<unknown>,
    private readonly clock: () => number = () => performance.now(),
  ) {}

  tell(view: LeadView): void {
    const { sent } = this;
    const goesByItself = sent?.playing === true && view.playing;
    const isSame = sent !== null && isAlike({ ...sent, frame: 0 }, { ...view, frame: 0 });
    if (isSame && (sent.frame === view.frame || (goesByItself && this.clock() - this.sentAt < DRIFT_MS))) return;
    this.waiting = view;
    void this.pump();
  }

  private async pump(): Promise<void> {
    if (this.isBusy) return;
    this.isBusy = true;
    while (this.waiting) {
      const view = this.waiting;
      [this.waiting, this.sent, this.sentAt] = [null, view, this.clock()];
      try {
        await this.send(view);
      } catch {
        // the next one is told all the same
        this.sent = null;
      }
    }
    this.isBusy = false;
  }
}
