/** What a job is told while it runs: how far it is goes out, that it should end comes in. */
export type AtWork = {
  readonly signal: AbortSignal;
  readonly deadlineS: number;
  readonly progress: (part: number) => void;
};
