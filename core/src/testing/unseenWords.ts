import { readPhrase, type Meant } from '../phrase/index.js';
import type { Words } from '../vocabulary/index.js';
import { randomFrom } from './phrases.js';

/*
 * Word lists that nobody has seen, made from a seed, and phrases of their words: for judging the reader on names that no table of its own holds. It knows nothing
 * of the reader nor of the shipped words.
 */

type Random = () => number;
const oneOf = <T>(all: readonly T[], random: Random): T => all[Math.floor(random() * all.length)]!;

const ONSETS = 'b br c cl d dr f fl g gr h j k l m n p pl pr r s sh sl st t tr v w z'.split(' ');
const VOWELS = 'a e i o u ai ea oo'.split(' ');
const ENDS = 'b ck d g l ll m n nd nt p r rk rn s st t tch x'.split(' ');
const made = (random: Random): string => {
  const syllables = random() < 0.55 ? 2 : random() < 0.6 ? 1 : 3;
  let word = '';
  for (let i = 0; i < syllables; i++)
    word += oneOf(ONSETS, random) + oneOf(VOWELS, random) + (i === syllables - 1 ? oneOf(ENDS, random) : '');
  return word;
};

const HEADS: Readonly<Record<string, readonly string[]>> = {
  position: ['guard', 'hold', 'ride', 'control', 'mount'],
  action: ['pass', 'sweep', 'roll', 'switch', 'entry'],
  submission: ['choke', 'lock', 'crank'],
  reaction: ['turn', 'post', 'frame', 'step'],
  reason: ['lost', 'late', 'open'],
};
const KINDS = ['position', 'action', 'submission', 'reaction', 'reason'] as const;
type Kind = (typeof KINDS)[number];
const EACH: Readonly<Record<Kind, number>> = { position: 30, action: 40, submission: 15, reaction: 20, reason: 15 };

export type UnseenWord = { readonly kind: Kind; readonly name: string; readonly aliases: readonly string[] };

/** A list: names of one to three words, some with a head like *guard*, each with up to two aliases; no text twice. */
export const makeWordList = (seed: number): readonly UnseenWord[] => {
  const random = randomFrom(seed);
  const used = new Set<string>();
  const fresh = (kind: Kind): string => {
    for (;;) {
      const many = random() < 0.35 ? 1 : random() < 0.65 ? 2 : 3;
      const all = Array.from({ length: many }, () => made(random));
      if (many > 1 && random() < 0.5) all[many - 1] = oneOf(HEADS[kind]!, random);
      const text = all.join(' ');
      const initials = all.map((w) => w[0]).join('');
      if (used.has(text) || text.length < 4 || used.has(`#${initials}`)) continue;
      used.add(text);
      if (many > 1) used.add(`#${initials}`);
      return text;
    }
  };
  return KINDS.flatMap((kind) =>
    Array.from({ length: EACH[kind] }, () => ({
      kind,
      name: fresh(kind),
      aliases: Array.from({ length: Math.floor(random() * 3) }, () => fresh(kind)),
    })),
  );
};

/** The list as a file with the columns kind, name, alias. */
export const wordListCsv = (list: readonly UnseenWord[]): string =>
  [
    'kind,name,alias',
    ...list.flatMap(({ kind, name, aliases }) => (aliases.length ? aliases : ['']).map((a) => `${kind},${name},${a}`)),
  ].join('\n');

export type ListPhrase = {
  readonly text: string;
  readonly position: string;
  readonly role: string;
  readonly entry: string;
  readonly reactions: readonly string[];
  /** The name of the place, of the submission won, or null. */ readonly finish: string | null;
  readonly result: string | null;
  readonly reason: string | null;
};

const BESIDE: Readonly<Record<string, string>> = {
  a: 's', b: 'v', c: 'x', d: 's', e: 'w', f: 'd', g: 'f', h: 'g', i: 'u', j: 'h', k: 'j', l: 'k', m: 'n',
  n: 'b', o: 'i', p: 'o', q: 'w', r: 'e', s: 'a', t: 'r', u: 'y', v: 'c', w: 'q', x: 'z', y: 't', z: 'x',
}; // prettier-ignore
/** One letter of a longer word doubled, left out where it is a vowel, or its neighbour on the keyboard. */
const slipped = (text: string, random: Random): string => {
  const words = text.split(' ');
  const at = words.findIndex((w) => w.length >= 5);
  if (at < 0) return text;
  const word = words[at]!;
  const i = 1 + Math.floor(random() * (word.length - 1));
  const letter = word[i]!;
  const way = random();
  words[at] =
    word.slice(0, i) +
    (/[aeiou]/.test(letter) && way < 0.4 ? '' : way < 0.7 ? letter + letter : BESIDE[letter]!) +
    word.slice(i + 1);
  return words.join(' ');
};

const RESULTS = [
  ['ok', 'success'],
  ['worked', 'success'],
  ['failed', 'failed'],
  ['partly', 'partial'],
  ['gave up', 'abandoned'],
] as const;

/** Phrases in the words of a list: by name, alias or initials, one in five with a slip, in four usual orders. */
export const makeListPhrases = (list: readonly UnseenWord[], seed: number, count: number): readonly ListPhrase[] => {
  const random = randomFrom(seed);
  const of = (kind: Kind): UnseenWord =>
    oneOf(
      list.filter((w) => w.kind === kind),
      random,
    );
  const say = ({ kind, name, aliases }: UnseenWord): string => {
    const text = oneOf([name, ...aliases], random);
    const words = text.split(' ');
    const way = random();
    if (way < 0.12 && words.length >= 3 && (kind === 'position' || kind === 'action'))
      return words.map((w) => w[0]).join('');
    return way < 0.3 ? slipped(text, random) : text;
  };
  return Array.from({ length: count }, () => {
    const [place, entry, end] = [of('position'), of('action'), of('position')];
    const role = oneOf(['top', 'bottom'], random);
    const reactions = Array.from({ length: Math.floor(random() * 3) }, () => of('reaction')).filter(
      (r, i, all) => all.indexOf(r) === i,
    );
    const isWon = random() < 0.2;
    const submission = of('submission');
    const [said, result] = oneOf(RESULTS, random);
    const reason = random() < 0.25 ? of('reason') : null;
    const hasEnd = random() < 0.7;
    const they = reactions.length ? `they ${reactions.map(say).join(' and ')}` : '';
    const finish = isWon ? `${say(submission)} won` : hasEnd ? `${say(end)} ${role}` : '';
    const tail = isWon ? '' : `${said}${reason ? ` because ${say(reason)}` : ''}`;
    const start = `${say(place)} ${role}`;
    const act = say(entry);
    const text = oneOf(
      [
        () => [start, act, they, finish, tail],
        () => [`from ${start}`, act, they, finish && `to ${finish}`, tail],
        () => [`${act} from ${start}`, they, finish && `ends in ${finish}`, tail],
        () => [`${start}: ${act}`, they, finish && `into ${finish}`, tail],
      ],
      random,
    )()
      .filter(Boolean)
      .join(', ');
    return {
      ...{ text, position: place.name, role, entry: entry.name, reactions: reactions.map((r) => r.name) },
      finish: isWon ? submission.name : hasEnd ? end.name : null,
      result: isWon ? null : result,
      reason: isWon || !reason ? null : reason.name,
    };
  });
};

/** Whether a phrase in the words of a list is read wholly right: every part certain and what was said, no other. */
export const isListReadRight = ({ text, ...wanted }: ListPhrase, words: Words): boolean => {
  const { parts, attempts } = readPhrase(text, words);
  const of = <P extends Meant['part']>(part: P): readonly Extract<Meant, { part: P }>[] =>
    parts.flatMap((p) =>
      p.status === 'certain' && p.meant.part === part ? [p.meant as Extract<Meant, { part: P }>] : [],
    );
  const [position] = of('position');
  const [finish] = of('finish').map((m) => m.finish);
  const [reason] = of('reason');
  const got: Omit<ListPhrase, 'text'> = {
    position: words.name('position', position?.place.position ?? ''),
    role: position?.place.role ?? '',
    entry: words.name('action', of('entry')[0]?.action ?? ''),
    reactions: of('reaction').map((r) => words.name('reaction', r.what)),
    finish:
      finish?.kind === 'state'
        ? words.name('position', finish.position)
        : finish?.kind === 'submission'
          ? words.name('submission', finish.submission)
          : null,
    result: of('result')[0]?.result ?? null,
    reason: reason ? words.name('reason', reason.reason) : null,
  };
  return (
    attempts === 1 &&
    (Object.keys(got) as (keyof typeof got)[]).every((p) => JSON.stringify(got[p]) === JSON.stringify(wanted[p]))
  );
};
