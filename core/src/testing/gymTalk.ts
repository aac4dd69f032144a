import { finishId, stateId, type Finish, type State } from '../attempts/index.js';
import {
  partsSaid,
  readPhrase,
  type Meant,
  type PhraseContext,
  type PhrasePart,
  type PhraseReading,
  type Weights,
} from '../phrase/index.js';
import type { Words } from '../vocabulary/index.js';

/*
 * Lines as coaches type them, marked by hand. A file has a heading for each class (`# clean`), and for each line a second one with what it says: parts parted by
 * ` | `, attempts of a chain by ` >> `; a third line that begins so says what it may as well mean; a part that may be there or not has `?` before it, readings that are all right are parted by bars without spaces.
 */

export type MarkedLine = {
  readonly class: string;
  readonly text: string;
  readonly says: readonly (readonly string[])[];
  /** What it may as well say, where two readings are both right. */ readonly orSays: readonly (readonly (readonly string[])[])[];
};

export const markedLines = (file: string): readonly MarkedLine[] => {
  const found: MarkedLine[] = [];
  let heading = '';
  const lines = file.split('\n');
  lines.forEach((line, i) => {
    if (line.startsWith('# ')) heading = line.slice(2).trim();
    const mark = lines[i + 1];
    if (!mark?.startsWith('= ') || line.startsWith('= ')) return;
    const saysOf = (text: string): MarkedLine['says'] =>
      text
        .slice(2)
        .split(' >> ')
        .map((attempt) => attempt.split(' | ').map((part) => part.trim()));
    const after = lines[i + 2] ?? '';
    const orSays = after.startsWith('= ') ? [saysOf(after)] : [];
    found.push({ class: heading, text: line, says: saysOf(mark), orSays });
  });
  return found;
};

/** The athletes that the lines are about. */
export const GYM_CONTEXT: PhraseContext = {
  athletes: { a: ['Marco Feld', 'white gi'], b: ['Theo Arun', 'blue gi'] },
};

const RESULTS = new Set(['success', 'partial', 'failed', 'abandoned', 'shown']);
type Kind = Meant['part'] | 'note' | 'their grip';
type Wanted = {
  readonly kind: Kind;
  readonly isOptional: boolean;
  readonly texts: readonly string[];
  readonly isAny: boolean;
};

const wantedOf = (part: string): readonly Wanted[] => {
  const isOptional = part.startsWith('?');
  const [head, ...rest] = (isOptional ? part.slice(1) : part).split(' ') as [string, ...string[]];
  const make = (kind: Kind, texts: readonly string[]): Wanted => ({
    kind,
    isOptional,
    texts,
    isAny: texts.length === 0,
  });
  const tail = rest.join(' ');
  switch (head) {
    case 'they':
      return rest.length ? rest.map((r) => make('reaction', r.split('|'))) : [make('reaction', [])];
    case 'end':
      return [make('finish', tail ? tail.split('|') : [])];
    case 'g':
      return [make('grip', tail ? [tail] : [])];
    case 't':
      return [make('their grip', tail ? [tail] : [])];
    case 'who':
      return [make('who', rest)];
    case 'why':
      return [make('reason', tail ? tail.split('|') : [])];
    case 'note':
      return [make('note', tail ? [tail.replace(/^"|"$/g, '')] : [])];
    case 'f':
      return [make('fact', [tail])];
    case 'could':
      return [make('alternative', tail.split('|'))];
    case 'bait':
      return [make('intent', ['bait'])];
  }
  if (RESULTS.has(head)) return [make('result', [head])];
  if (head.includes('/')) return [make('position', head.split('|'))];
  return [make('entry', head.split('|'))];
};

const placeText = (place: State | { readonly position: string; readonly role: string | null }): string =>
  place.role === null ? `${place.position}/?` : stateId(place as State);

const textOf = ({ meant }: PhrasePart): { readonly kind: Kind; readonly text: string } | undefined => {
  switch (meant.part) {
    case 'who':
      return { kind: 'who', text: meant.subject };
    case 'position':
      return { kind: 'position', text: placeText(meant.place) };
    case 'entry':
      return { kind: 'entry', text: meant.action };
    case 'reaction':
      return { kind: 'reaction', text: meant.what };
    case 'finish': {
      const { finish } = meant;
      const text =
        finish.kind === 'state'
          ? placeText(finish)
          : finish.kind === 'reset'
            ? finish.how
            : finishId(finish satisfies Finish);
      return { kind: 'finish', text };
    }
    case 'result':
      return { kind: 'result', text: meant.result };
    case 'intent':
      return { kind: 'intent', text: meant.intent };
    case 'reason':
      return { kind: 'reason', text: meant.reason };
    case 'grip': {
      const { limb, limbSide, kind, target, targetSide, reach, owner, both } = meant.hold;
      const side = reach ?? targetSide;
      return {
        kind: meant.holder === 'subject' ? 'grip' : 'their grip',
        text: `${limb}${limbSide ? `.${limbSide[0]!}` : ''} ${kind} ${target}${side ? `@${side}` : ''}${owner === 'own' ? '~own' : ''}${both ? ' +both' : ''}`,
      };
    }
    case 'fact':
      return { kind: 'fact', text: `${meant.fact.fact}.${meant.fact.value}@${meant.fact.whose[0]!}` };
    case 'alternative':
      return { kind: 'alternative', text: meant.way.what };
    case 'aim':
    case 'known':
    case 'depth':
    case 'clothing':
      return undefined;
  }
};

const fits = ({ texts, isAny }: Wanted, text: string): boolean =>
  isAny || texts.some((t) => t === text || (t.endsWith('/*') && text.startsWith(t.slice(0, -1))));

export type Judged = {
  /** Everything that is kept is what was meant, and everything that was meant is kept or asked about with the right reading first. */
  readonly isRight: boolean;
  /** Parts kept as certain that nobody meant. */ readonly wrong: readonly string[];
  readonly missing: readonly string[];
  readonly certain: number;
  readonly asked: number;
};

/** How a line was read, beside what it says; of two meanings that are both right, the one it comes nearer to. */
export const judge = (
  line: MarkedLine,
  words: Words,
  context: PhraseContext = GYM_CONTEXT,
  weights?: Weights,
): Judged => {
  const reading = readPhrase(line.text, words, context, weights);
  const [first, ...others] = [line.says, ...line.orSays].map((says) => judged({ ...line, says }, reading, words));
  return others.reduce((best, one) => (faultsOf(one) < faultsOf(best) ? one : best), first!);
};
const faultsOf = ({ isRight, wrong, missing }: Judged): number => (isRight ? 0 : 1 + wrong.length + missing.length);

const judged = (line: MarkedLine, reading: PhraseReading, words: Words): Judged => {
  const wrong: string[] = [];
  const missing: string[] = [];
  line.says.forEach((parts, attempt) => {
    const wanted = parts.flatMap(wantedOf).filter((w) => w.kind !== 'note');
    const got = reading.parts
      .filter((p) => p.attempt === attempt)
      .flatMap((p) => {
        const text = textOf(p);
        return text ? [{ ...text, status: p.status, isUsed: false }] : [];
      });
    for (const want of wanted.filter((w) => !w.isOptional)) {
      const found = got.find((g) => !g.isUsed && g.kind === want.kind && fits(want, g.text));
      if (found) found.isUsed = true;
      else missing.push(`${want.kind} ${want.texts.join('|')}`);
    }
    for (const g of got) {
      if (g.isUsed || g.status === 'proposed') continue;
      const isFine = wanted.some((w) => w.kind === g.kind && fits(w, g.text) && w.isOptional);
      if (!isFine) wrong.push(`${g.status} ${g.kind} ${g.text}`);
    }
  });
  for (const p of reading.parts)
    if (p.attempt >= line.says.length && p.status !== 'proposed') wrong.push(`${p.status} further ${p.meant.part}`);
  const order = line.says.map((parts, attempt) => {
    const want = parts.flatMap(wantedOf).filter((w) => w.kind === 'reaction' && !w.isOptional);
    const got = reading.parts
      .filter((p) => p.attempt === attempt && p.meant.part === 'reaction')
      .map((p) => textOf(p)!.text);
    let at = -1;
    return want.every((w) => {
      at = got.findIndex((g, i) => i > at && fits(w, g));
      return at >= 0;
    });
  });
  const { note } = partsSaid({ ...reading, parts: [] }, line.text, words, () => '');
  const notes = line.says
    .flat()
    .flatMap(wantedOf)
    .filter((w) => w.kind === 'note');
  const [first] = notes;
  const isNote = !first ? note === '' : first.isAny || first.texts.includes(note);
  if (!isNote) missing.push(`note "${first?.texts[0] ?? ''}" but "${note}"`);
  const isRight = wrong.length === 0 && missing.length === 0 && order.every(Boolean);
  return {
    isRight,
    wrong: wrong.filter((w) => w.startsWith('certain')),
    missing: [...missing, ...wrong.filter((w) => w.startsWith('asked'))],
    certain: reading.parts.filter((p) => p.status === 'certain').length,
    asked: reading.parts.filter((p) => p.status === 'asked').length,
  };
};
