import { demoFootage } from '@odograph/demo';

export type ImpliedLine = {
  from: string;
  action: string;
  to: string;
  count: number;
  attempts: number;
  successes: number;
};

/** The lines that the scripts of the bouts imply, counted here by hand and not by the core: one attempt a line of the script. */
export const impliedLines = (): ImpliedLine[] => {
  const said = demoFootage().flatMap((f) => f.clips.map((c) => c.said));
  const lines = new Map<string, ImpliedLine>();
  const groups = new Map<string, number>();
  for (const s of said) {
    const from = s.from.join('/');
    const to =
      'state' in s.finish ? s.finish.state.join('/') : `${s.finish.won ? 'won' : 'lost'}:${s.finish.submission}`;
    const group = `${from} ${s.action}`;
    groups.set(group, (groups.get(group) ?? 0) + 1);
    const line = lines.get(`${group} ${to}`) ?? { from, action: s.action, to, count: 0, attempts: 0, successes: 0 };
    lines.set(`${group} ${to}`, {
      ...line,
      count: line.count + 1,
      successes: line.successes + (s.result === 'success' ? 1 : 0),
    });
  }
  return [...lines.values()].map((line) => ({ ...line, attempts: groups.get(`${line.from} ${line.action}`)! }));
};
