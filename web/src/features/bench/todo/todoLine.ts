import type { TodoKind } from '@odograph/core';

/** How a kind is said at the beginning of the line. */
const KINDS: Readonly<Record<string, TodoKind>> = {
  try: 'try',
  question: 'question',
  ask: 'question',
  advice: 'advice',
  corner: 'advice',
  credit: 'credit',
  idea: 'credit',
  find: 'find',
  film: 'find',
};

/** What is put on the list: its kind where the line begins with one (*try the back step*), else a question; undefined where nothing is said. */
export const todoSaid = (typed: string): { readonly kind: TodoKind; readonly text: string } | undefined => {
  const [, first = '', rest = ''] = /^\s*([a-z]+)\s*:?\s*(.*)$/is.exec(typed) ?? [];
  const kind = KINDS[first.toLowerCase()];
  const text = (kind && rest ? rest : typed).trim();
  return text ? { kind: (rest && kind) || 'question', text } : undefined;
};
