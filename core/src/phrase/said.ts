import {
  BARE_ALTERNATIVE,
  BARE_EVIDENCE,
  BARE_HOLD,
  BARE_REACTION,
  PROPOSED_PARTS,
  controlKey,
  factSlot,
  proposedResult,
  withFact,
  withReason,
  aimReached,
  isAimedAt,
  type Attempt,
  type Control,
  type DoubtField,
  type FactUse,
  type Finish,
  type PartId,
  type ProposedPart,
  type ReactionUse,
  type State,
} from '../attempts/index.js';
import type { Words } from '../vocabulary/index.js';
import { withEvidence } from '../why/index.js';
import type { SaidHold } from './holds.js';
import { DOUBTED, type Meant, type PhrasePart, type PhraseReading, type SaidFinish, type SaidPlace } from './types.js';

type Hold = Omit<Control, 'id' | 'holder'>;

const plainHold = (hold: SaidHold, words: Words): Hold => ({
  ...BARE_HOLD,
  limb: hold.limb,
  limbSide: hold.limbSide,
  kind: hold.kind,
  target: hold.target,
  targetOwner: hold.owner,
  targetSide: hold.targetSide,
  reach: hold.reach,
  cloth: words.target(hold.target)?.cloth ?? false,
});

/** What somebody holds by what was said. */
export const controlsOf = (hold: SaidHold, holder: Control['holder'], words: Words): readonly Omit<Control, 'id'>[] =>
  holdsOf(hold, words).map((h) => ({ ...h, holder }));

/** A hold as controls: both of something are two, one on each side of what has sides; a grip with a name of its own is the holds it names. */
export const holdsOf = (hold: SaidHold, words: Words): readonly Hold[] => {
  const grips = words.target(hold.target)?.grips;
  if (grips)
    return grips.map((g, i) => ({
      ...plainHold({ ...hold, limb: g.limb, kind: g.kind, target: g.target, targetSide: null }, words),
      // a side that is said is that of the first
      limbSide: g.limbSide ?? (i === 0 ? (hold.limbSide ?? hold.targetSide) : null),
    }));
  const one = plainHold(hold, words);
  if (!hold.both) return [one];
  const isOnSides = words.target(hold.target)?.sided === true && hold.kind !== 'underhook';
  return (['left', 'right'] as const).map((side) =>
    isOnSides ? { ...one, targetSide: side } : { ...one, limbSide: side },
  );
};

export const stateOf = (place: Pick<SaidPlace, 'position' | 'role'>): State | null =>
  place.role === null ? null : { position: place.position, role: place.role };

export const finishSaid = (finish: SaidFinish): Finish | null => {
  if (finish.kind !== 'state') return finish;
  const state = stateOf(finish);
  return state && { kind: 'state', ...state };
};

/** The parts of an attempt that a phrase can say. */
export type SaidParts = Partial<
  Pick<
    Attempt,
    | 'subject'
    | 'state'
    | 'lead'
    | 'action'
    | 'intent'
    | 'result'
    | 'finish'
    | 'depth'
    | 'controls'
    | 'reactions'
    | 'reasons'
    | 'facts'
    | 'alternatives'
    | 'aim'
    | 'evidence'
  >
>;

/** Something that is asked about before it is kept: the part it is for, and the words as they were typed. */
export type AskedPart = { readonly field: DoubtField; readonly text: string };

/** What a line says of one attempt. */
export type SaidAttempt = {
  /** What was typed, and is certain. */ readonly parts: SaidParts;
  /** What nobody typed, and follows. */ readonly proposed: SaidParts;
  /** Places of which the role was not typed, and follows. */ readonly roles: readonly ('stateRole' | 'finishRole')[];
  readonly asked: readonly AskedPart[];
};

type Writable = { -readonly [K in keyof SaidParts]: SaidParts[K] };

/** Lays one meaning into the parts it is for; false where it can't be kept: a place of which nobody said whose side it is. */
const layIn = (parts: Writable, meant: Meant, words: Words, newId: () => string): boolean => {
  switch (meant.part) {
    case 'who':
      parts.subject = meant.subject;
      return true;
    case 'position': {
      const state = stateOf(meant.place);
      if (!state) return false;
      parts.state = state;
      if (meant.place.lead) parts.lead = meant.place.lead;
      return true;
    }
    case 'grip':
      parts.controls = [
        ...(parts.controls ?? []),
        ...holdsOf(meant.hold, words).map((hold) => ({ ...hold, id: newId(), holder: meant.holder })),
      ];
      return true;
    case 'entry':
      parts.action = meant.action;
      return true;
    case 'reaction':
      parts.reactions = [
        ...(parts.reactions ?? []),
        { id: newId(), what: meant.what, isAction: meant.isAction, ...BARE_REACTION },
      ];
      return true;
    case 'finish': {
      const finish = finishSaid(meant.finish);
      if (!finish) return false;
      parts.finish = finish;
      return true;
    }
    case 'result':
      parts.result = meant.result;
      return true;
    case 'intent':
      parts.intent = meant.intent;
      return true;
    case 'depth':
      parts.depth = meant.depth;
      return true;
    case 'reason':
      parts.reasons = withReason(parts.reasons ?? [], meant.reason, newId());
      return true;
    case 'fact':
      parts.facts = withFact(parts.facts ?? [], { ...meant.fact, id: newId() });
      return true;
    case 'alternative':
      parts.alternatives = [...(parts.alternatives ?? []), { ...BARE_ALTERNATIVE, ...meant.way, id: newId() }];
      return true;
    case 'aim':
      parts.aim = meant.aim;
      return true;
    case 'known':
      // of what was told before it: see partsSaid
      return false;
    case 'clothing':
      return true;
  }
};

/** The detail that was laid in last, of those of which it may be told how they are known. */
const lastDetail = (parts: SaidParts, { part }: Meant): PartId | null => {
  switch (part) {
    case 'position':
      return 'state';
    case 'entry':
      return 'action';
    case 'finish':
    case 'result':
      return part;
    case 'grip':
      return `control:${parts.controls!.at(-1)!.id}`;
    case 'reaction':
      return `reaction:${parts.reactions!.at(-1)!.id}`;
    case 'fact':
      return `fact:${parts.facts!.at(-1)!.id}`;
    default:
      return null;
  }
};

/** What is said of one attempt, and the stretches that are left as words. */
const attemptSaid = (
  told: readonly PhrasePart[],
  text: string,
  words: Words,
  newId: () => string,
): { readonly attempt: SaidAttempt; readonly left: readonly { readonly from: number; readonly to: number }[] } => {
  const left: { readonly from: number; readonly to: number }[] = [];
  const parts: Writable = {};
  const proposed: Writable = {};
  const asked: AskedPart[] = [];
  const roles: ('stateRole' | 'finishRole')[] = [];
  let last: PartId | null = null;
  for (const { meant, from, to, status, because } of told) {
    if (status === 'proposed') {
      layIn(proposed, meant, words, newId);
    } else if (meant.part === 'known' && status === 'certain' && last !== null) {
      parts.evidence = withEvidence(parts.evidence ?? [], { ...BARE_EVIDENCE, part: last, how: meant.how });
    } else if (status === 'asked' || !layIn(parts, meant, words, newId)) {
      left.push({ from, to });
      last = null;
      const field = DOUBTED[meant.part];
      if (field) asked.push({ field, text: text.slice(from, to) });
    } else {
      last = lastDetail(parts, meant);
      if (because !== undefined && (meant.part === 'position' || meant.part === 'finish'))
        roles.push(meant.part === 'position' ? 'stateRole' : 'finishRole');
    }
  }
  const { action, aim } = parts;
  // what the action aims at anyway goes without saying
  const isOwn = aim && action && isAimedAt(aimReached(aim), action, words);
  if (isOwn) delete parts.aim;
  return { attempt: { parts, proposed, roles, asked }, left };
};

/**
 * What a reading says of each attempt it tells, and what goes into the note: what is a note, what was not understood, and what is asked about as it was typed.
 * Only parts that were said are there. `newId` makes the ids of grips, reactions and reasons.
 */
export const partsSaid = (
  reading: PhraseReading,
  text: string,
  words: Words,
  newId: () => string,
): SaidAttempt & { readonly note: string; readonly further: readonly SaidAttempt[] } => {
  const left: { readonly from: number; readonly to: number }[] = [...reading.notUnderstood, ...reading.notes];
  const all = Array.from({ length: reading.attempts }, (_, attempt) => {
    const said = attemptSaid(
      reading.parts.filter((p) => p.attempt === attempt),
      text,
      words,
      newId,
    );
    left.push(...said.left);
    return said.attempt;
  });
  // what stands beside each other is one
  const runs: { from: number; to: number }[] = [];
  for (const { from, to } of [...left].sort((a, b) => a.from - b.from)) {
    const last = runs.at(-1);
    if (last && /^\s*$/u.test(text.slice(last.to, from))) last.to = to;
    else runs.push({ from, to });
  }
  const [first, ...further] = all;
  return { ...first!, further, note: runs.map(({ from, to }) => text.slice(from, to)).join('; ') };
};

/** What follows from what was said though nobody said it. */
export type Following = SaidParts;

const SINGLE = ['subject', 'state', 'lead', 'action', 'intent', 'result', 'finish', 'depth', 'aim'] as const;
/** What a single part is where nobody says it. */
const UNSAID = {
  state: null,
  lead: null,
  action: null,
  intent: 'own',
  result: null,
  finish: null,
  depth: null,
  aim: null,
} as const;

/**
 * A list as it stands after a line: what the line says, each as it was told before where it was; and what the line as it stood before did not say at all
 * (`before`), which no line can take out.
 */
const listed = <T>(
  now: readonly T[],
  said: readonly T[] | undefined,
  before: readonly T[] | undefined,
  keyOf: (item: T) => string,
): readonly T[] | undefined => {
  if (said === undefined && before === undefined) return undefined;
  const told = new Set((before ?? now).map(keyOf));
  const kept = now.filter((item) => !told.has(keyOf(item)));
  const known = new Map(now.map((item) => [keyOf(item), item]));
  const seen = new Set<string>();
  const listedNow = (said ?? []).flatMap((item): T[] => {
    const key = keyOf(item);
    return seen.has(key) ? [] : (seen.add(key), [known.get(key) ?? item]);
  });
  return [...kept, ...listedNow];
};
const plainKey = (c: Control): string => controlKey({ ...c, ...BARE_HOLD, reach: c.reach });
const reactionKey = (r: ReactionUse): string => r.what;
const factKey = (f: FactUse): string => `${factSlot(f)} ${f.value}`;

/** How details are known after a line: what it says of one that was told before is said of that one. */
const evidenceSaid = (
  attempt: Attempt,
  { evidence, controls, reactions, facts }: SaidParts,
): Attempt['evidence'] | undefined => {
  if (!evidence) return undefined;
  const ids = new Map<PartId, PartId>();
  const pair = <T extends { readonly id: string }>(
    kind: string,
    now: readonly T[],
    said: readonly T[] | undefined,
    keyOf: (item: T) => string,
  ): void => {
    for (const item of said ?? []) {
      const known = now.find((n) => keyOf(n) === keyOf(item));
      if (known) ids.set(`${kind}:${item.id}`, `${kind}:${known.id}`);
    }
  };
  pair('control', attempt.controls, controls, plainKey);
  pair('reaction', attempt.reactions, reactions, reactionKey);
  pair('fact', attempt.facts, facts, factKey);
  return evidence.reduce((all, e) => withEvidence(all, { ...e, part: ids.get(e.part) ?? e.part }), attempt.evidence);
};

/** What an attempt is without what was only proposed: that is concluded anew from what is said now. */
const withoutProposed = ({ proposed }: Attempt): Writable =>
  Object.fromEntries(
    proposed.flatMap((part) =>
      part === 'state' || part === 'action' || part === 'finish' || part === 'result' ? [[part, UNSAID[part]]] : [],
    ),
  );

/** What stands only because it follows, after a line: what follows now, and what was so before and is not said by it. */
const proposedAfter = (
  attempt: Attempt,
  { parts, roles }: Pick<SaidAttempt, 'parts' | 'roles'>,
  following: Following,
): readonly ProposedPart[] => {
  const isStill: Readonly<Record<ProposedPart, boolean>> = {
    subject: following.subject !== undefined || (parts.subject === undefined && attempt.proposed.includes('subject')),
    state: following.state !== undefined,
    stateRole: parts.state ? roles.includes('stateRole') : attempt.proposed.includes('stateRole'),
    action: following.action !== undefined,
    finish: following.finish !== undefined,
    finishRole: parts.finish ? roles.includes('finishRole') : attempt.proposed.includes('finishRole'),
    result: following.result !== undefined,
  };
  return PROPOSED_PARTS.filter((part) => isStill[part]);
};

/**
 * What a phrase changes in an attempt: what is typed stands instead of what stood there, lists too. `before` is what the line said before it was changed: what it said then
 * and says no more is taken out. Where no place was said, that in which the attempt before left things follows (`left`, as this subject sees it); what is
 * proposed follows where nothing is said or was only proposed before; where no result was, the one that follows from the finish. What follows is marked as proposed.
 */
export const changesSaid = (
  attempt: Attempt,
  said: Pick<SaidAttempt, 'parts' | 'proposed' | 'roles'>,
  left: State | null,
  words: Words,
  before: SaidParts = {},
): { readonly changes: SaidParts & Partial<Pick<Attempt, 'proposed'>>; readonly following: Following } => {
  const { parts, proposed } = said;
  const taken: Writable = withoutProposed(attempt);
  for (const field of SINGLE)
    if (field !== 'subject' && before[field] !== undefined && parts[field] === undefined)
      (taken as Record<string, unknown>)[field] = UNSAID[field];
  const { controls: _c, reactions: _r, reasons: _w, facts: _f, alternatives: _a, evidence: _e, ...single } = parts;
  void [_c, _r, _w, _f, _a, _e];
  const isSame = (parts.subject ?? attempt.subject) === attempt.subject;
  const now = { ...attempt, ...taken, ...single };
  const open = (field: 'state' | 'action' | 'finish' | 'subject'): SaidParts =>
    proposed[field] !== undefined && parts[field] === undefined && (field === 'subject' || now[field] === null)
      ? { [field]: proposed[field] }
      : {};
  const state: Pick<SaidParts, 'state'> = now.state || !left || !isSame ? {} : { state: left };
  const followed = { ...state, ...open('state'), ...open('action'), ...open('finish'), ...open('subject') };
  const after = { ...now, ...followed };
  const result = after.result === null ? (proposedResult(after, words) ?? proposed.result ?? null) : null;
  const following: Following = { ...followed, ...(result ? { result } : {}) };
  const controls = listed(attempt.controls, parts.controls, before.controls, plainKey);
  const reactions = listed(attempt.reactions, parts.reactions, before.reactions, reactionKey);
  const reasons = listed(attempt.reasons, parts.reasons, before.reasons, (r) => r.reason);
  const facts = listed(attempt.facts, parts.facts, before.facts, factKey);
  const alternatives = listed(
    attempt.alternatives,
    parts.alternatives,
    before.alternatives,
    (a) => `${a.by} ${a.isAction} ${a.what}`,
  );
  const evidence = evidenceSaid(attempt, parts);
  const stillProposed = proposedAfter(attempt, said, following);
  const isSameProposed =
    stillProposed.length === attempt.proposed.length && stillProposed.every((p) => attempt.proposed.includes(p));
  return {
    changes: {
      ...taken,
      ...single,
      ...following,
      ...(isSameProposed ? {} : { proposed: stillProposed }),
      ...(controls ? { controls } : {}),
      ...(reactions ? { reactions } : {}),
      ...(facts ? { facts: facts.reduce<readonly FactUse[]>(withFact, []) } : {}),
      ...(alternatives ? { alternatives } : {}),
      ...(evidence ? { evidence } : {}),
      ...(reasons ? { reasons: reasons.map((r, i) => ({ ...r, main: i === 0 })) } : {}),
    },
    following,
  };
};
