/** Bytes that had gone at an instant. */
type Mark = { readonly atMs: number; readonly bytes: number };

/** How fast bytes go, over the last few seconds. */
const WINDOW_MS = 5000;

export class Rate {
  private marks: readonly Mark[] = [];

  /** Notes how many bytes have gone; gives bytes per second, undefined while too little is known. */
  note(atMs: number, bytes: number): number | undefined {
    // gone on from an earlier point: what came before says nothing of how fast it is now
    const before = this.marks.at(-1);
    const kept = before && bytes < before.bytes ? [] : this.marks;
    this.marks = [...kept, { atMs, bytes }].filter((m) => atMs - m.atMs <= WINDOW_MS);
    const first = this.marks[0]!;
    return atMs - first.atMs < 300 ? undefined : ((bytes - first.bytes) / (atMs - first.atMs)) * 1000;
  }

  forget(): void {
    this.marks = [];
  }
}
