import { RESULT_WORDS, aimReached, depthWord, finishId, sayAim, sayFact } from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import { EVIDENCE_WORDS } from '../why/index.js';
import type { Meant, PartStatus, PhraseReading, SaidFinish } from './types.js';

/** One part of a phrase as plain data: the term by its name and key, and what belongs to its kind. Null = not said. */
export type PartFacts = {
  readonly part: Meant['part'];
  readonly term: string;
  readonly key: string;
  readonly role?: string | null;
  readonly won?: boolean;
  readonly limb?: string;
  readonly limbSide?: 'left' | 'right' | null;
  readonly kind?: string;
  /** The side of what is held: left, right, near, far, cross, same. */ readonly side?: string | null;
  readonly both?: boolean;
  readonly owner?: string;
  readonly holder?: string;
  readonly lead?: 'left' | 'right';
};

/** How a part is known; what is kept as text alone is noted. */
export type FactStatus = PartStatus | 'noted';

export type PhraseFacts = {
  /** The line's number, from 1, where there are several. */ readonly line?: number;
  readonly text: string;
  /** How many attempts it tells. */ readonly attempts: number;
  readonly parts: readonly (PartFacts & {
    readonly attempt: number;
    readonly status: FactStatus;
    readonly from: number;
    readonly to: number;
    readonly said: string;
    readonly confidence: number;
    /** From what it, or the role of the place, was concluded. */ readonly because?: string;
    readonly others?: readonly PartFacts[];
  })[];
  readonly notes: readonly {
    readonly text: string;
    readonly from: number;
    readonly to: number;
    readonly status: 'noted';
  }[];
  readonly notUnderstood: PhraseReading['notUnderstood'];
};

const finishFacts = (finish: SaidFinish, words: Words): Omit<PartFacts, 'part'> => {
  switch (finish.kind) {
    case 'state':
      return { term: words.name('position', finish.position), key: finish.position, role: finish.role };
    case 'submission':
      return { term: words.name('submission', finish.submission), key: finish.submission, won: finish.won };
    case 'reset':
      return { term: `restart: ${finish.how}`, key: finish.how };
  }
};

const factsOf = (meant: Meant, words: Words, action: string | null): PartFacts => {
  const { part } = meant;
  switch (part) {
    case 'who':
      return { part, term: meant.subject, key: meant.subject };
    case 'clothing':
      return { part, term: meant.gi ? 'gi' : 'no gi', key: meant.gi ? 'gi' : 'no-gi' };
    case 'position': {
      const { position, role, lead } = meant.place;
      return { part, term: words.name('position', position), key: position, role, ...(lead ? { lead } : {}) };
    }
    case 'grip': {
      const { hold, holder } = meant;
      return {
        ...{ part, term: words.name('target', hold.target), key: hold.target },
        ...{ limb: hold.limb, limbSide: hold.limbSide, kind: hold.kind, side: hold.reach ?? hold.targetSide },
        ...{ both: hold.both, owner: hold.owner, holder },
      };
    }
    case 'entry':
      return { part, term: words.name('action', meant.action), key: meant.action };
    case 'reaction':
      return { part, term: words.name(meant.isAction ? 'action' : 'reaction', meant.what), key: meant.what };
    case 'finish':
      return { part, ...finishFacts(meant.finish, words) };
    case 'result':
      return { part, term: RESULT_WORDS[meant.result], key: meant.result };
    case 'intent':
      return { part, term: 'bait', key: 'bait' };
    case 'depth': {
      const word = action === null ? undefined : words.action(action);
      return { part, term: word ? depthWord(word, meant.depth) : String(meant.depth), key: String(meant.depth) };
    }
    case 'reason':
      return { part, term: words.name('reason', meant.reason), key: meant.reason };
    case 'fact': {
      const { fact } = meant;
      return {
        part,
        term: sayFact(fact, words),
        key: `${fact.fact}: ${fact.value}`,
        side: fact.side,
        holder: fact.whose,
      };
    }
    case 'aim':
      return { part, term: sayAim(meant.aim, words), key: finishId(aimReached(meant.aim)) };
    case 'known':
      return { part, term: EVIDENCE_WORDS[meant.how], key: meant.how };
    case 'alternative': {
      const { by, what, isAction } = meant.way;
      return { part, term: words.name(isAction ? 'action' : 'reaction', what), key: what, holder: by };
    }
  }
};

/** A reading as plain data, as `npm run phrase` writes it. Positions in UTF-16 units. */
export const phraseFacts = (text: string, reading: PhraseReading, words: Words, line?: number): PhraseFacts => {
  const actionOf = (attempt: number): string | null => {
    const entry = reading.parts.find((p) => p.meant.part === 'entry' && p.attempt === attempt)?.meant;
    return entry?.part === 'entry' ? entry.action : null;
  };
  return {
    ...(line === undefined ? {} : { line }),
    text,
    attempts: reading.attempts,
    parts: reading.parts.map(({ meant, attempt, status, from, to, confidence, others, because }) => ({
      ...factsOf(meant, words, actionOf(attempt)),
      ...{ attempt, status, from, to, said: status === 'proposed' ? '' : text.slice(from, to), confidence },
      ...(because === undefined ? {} : { because }),
      ...(others.length ? { others: others.map((o) => factsOf(o, words, actionOf(attempt))) } : {}),
    })),
    notes: reading.notes.map((note) => ({ ...note, status: 'noted' as const })),
    notUnderstood: reading.notUnderstood,
  };
};
