import { demoFootage } from '@odograph/demo';

export type ImpliedLine = {
  from: string;
  action: string;
  to: string;
  count: number;
  attempts: number;
  successes: number;
};

type Said = ReturnType<typeof demoFootage>[number]['clips'][number]['said'];
type Finish = Said['finish'];
const placeOf = (finish: Finish): string => {
  if ('state' in finish) return finish.state.join('/');
  return 'reset' in finish ? `reset:${finish.reset}` : `${finish.won ? 'won' : 'lost'}:${finish.submission}`;
};

/** An attempt as it is told: what of it decides its line. */
type SaidLine = Pick<Said, 'from' | 'action' | 'finish' | 'result'> & Partial<Said>;

/** The lines that the scripts of the bouts imply, counted here by hand and not by the core: one attempt a line of the script. */
export const impliedLines = (more: readonly SaidLine[] = []): ImpliedLine[] => {
  const said = [
    ...demoFootage().flatMap((f) => f.clips.map((c) => ({ ...c.said, logged: f.bout.logged }))),
    ...more.map((s) => ({ ...s, logged: 'throughout' })),
  ];
  const lines = new Map<string, ImpliedLine>();
  const groups = new Map<string, number>();
  for (const s of said) {
    const from = s.from.join('/');
    if (s.mistake) continue;
    const to = placeOf(s.finish);
    const action = s.bait ? `${s.action} (bait)` : s.action;
    const group = `${from} ${action}`;
    // what was only shown, or picked, is on the map without a figure
    const one = s.logged === 'throughout' && s.result !== 'shown' ? 1 : 0;
    groups.set(group, (groups.get(group) ?? 0) + one);
    const line = lines.get(`${group} ${to}`) ?? { from, action, to, count: 0, attempts: 0, successes: 0 };
    lines.set(`${group} ${to}`, {
      ...line,
      count: line.count + one,
      successes: line.successes + (s.result === 'success' ? one : 0),
    });
  }
  return [...lines.values()].map((line) => ({ ...line, attempts: groups.get(`${line.from} ${line.action}`)! }));
};
