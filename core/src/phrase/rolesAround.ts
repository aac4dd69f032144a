import type { PositionWord, Role, Words } from '../vocabulary/index.js';
import { holderOf } from './holderOf.js';
import type { Line } from './line.js';
import { ROLES, says, standsAlone } from './listed.js';
import type { Span } from './spans.js';
import { MINE, THEIRS, THEM } from './whose.js';

const HAVING = new Set('has have had got gets'.split(' '));

/** *top* and *bottom* of a place that has none, but one who attacks: in a guard the attack comes from below. */
const heldRole = ({ family, roles }: PositionWord, said: Role): Role | null => {
  if (!roles.includes('attacker') || (said !== 'top' && said !== 'bottom')) return null;
  return (said === 'bottom') === family.endsWith('guard') ? 'attacker' : 'defender';
};

type Around = {
  readonly role: Role | null;
  readonly from: number;
  readonly to: number;
  readonly gain: number;
  readonly isOwned?: boolean;
};

/** The place with what stands beside its name: the role, whose it is. */
export const rolesAround = (line: Line, span: Span, words: Words): readonly Around[] => {
  const word = words.position(span.named.key);
  if (!word) return [];
  const found: Around[] = [{ role: null, from: span.from, to: span.to, gain: 0 }];
  const isOpen = word.roles.length === 0;
  for (const { tokens: text, role: said } of ROLES) {
    const role = isOpen || word.roles.includes(said) ? said : heldRole(word, said);
    if (role === null) continue;
    const end = span.to + text.length;
    const after = says(line, span.to, text);
    // beside it, or alone behind a comma
    const isOver = ['with', 'from', 'to', 'into', 'and'].includes(line.at(end)?.text ?? '');
    if (after && (!line.at(span.to)!.opens || isOver || standsAlone(line, span.to, end)))
      found.push({ role, from: span.from, to: end, gain: after });
    const gap = ['the', 'of', 'in'].includes(line.at(span.from - 1)?.text ?? '') ? 1 : 0;
    const before = span.from - gap - text.length;
    if (before >= 0 && !line.at(span.from)!.opens && !(gap && line.at(span.from - 1)!.opens)) {
      const fits = says(line, before, text);
      if (fits && text[0] !== 'from') found.push({ role, from: before, to: span.to, gain: fits });
    }
  }
  const owner = line.at(span.from - 1)?.text ?? '';
  const holder = holderOf(word);
  const other = holder && word.roles.find((r) => r !== holder && r !== 'even');
  // *front headlock for him*
  const isFor = line.at(span.to)?.text === 'for' && THEM.has(line.at(span.to + 1)?.text ?? '');
  if (isFor && other) found.push({ role: other, from: span.from, to: span.to + 2, gain: 1.4 });
  if (holder && !line.at(span.from)!.opens && word.roles.length > 1) {
    // *my back* is the one that is held, *my guard* the one that holds
    const mine = word.family === 'back' ? other : holder;
    if (MINE.has(owner) && mine) found.push({ role: mine, from: span.from - 1, to: span.to, gain: 0.3, isOwned: true });
    // *he has my back*: that is where they are
    const isHad = word.family === 'back' && HAVING.has(line.at(span.from - 2)?.text ?? '');
    if (MINE.has(owner) && mine && isHad) found.push({ role: mine, from: span.from - 2, to: span.to, gain: 1.3 });
    const theirs = word.family === 'back' ? holder : other;
    if (THEIRS.has(owner) && theirs)
      found.push({ role: theirs, from: span.from - 1, to: span.to, gain: 0.3, isOwned: true });
    // *passing half guard*: from above
    const above = holder === 'bottom' ? other : word.family === 'passing' ? holder : undefined;
    const isPassed = owner === 'passing' && line.at(span.from - 1)!.opens;
    if (isPassed && above) found.push({ role: above, from: span.from - 1, to: span.to, gain: 1.1 });
  }
  return found;
};
