import { proxy, wrap } from 'comlink';
import type { Chances, ChancesQuestion, ChancesWorker } from './chances.protocol.js';

/** Chances worked out apart from the page, and how they are given up before they are there. */
export const askChances = (
  question: ChancesQuestion,
  onShare: (share: number) => void,
): { readonly answer: Promise<Chances | null>; readonly cancel: () => void } => {
  const worker = new Worker(new URL('./chances.worker.ts', import.meta.url), { type: 'module' });
  const cancel = (): void => worker.terminate();
  const answer = wrap<ChancesWorker>(worker).chances(question, proxy(onShare)).finally(cancel);
  return { answer, cancel };
};
