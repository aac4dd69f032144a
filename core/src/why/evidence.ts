import {
  BARE_EVIDENCE,
  type Attempt,
  type BecauseLink,
  type Evidence,
  type EvidenceHow,
  type Instant,
  type PartId,
  type Teller,
} from '../attempts/index.js';
import { linksTold, partsOf } from './parts.js';

/** How a detail is known, in words. */
export const EVIDENCE_WORDS: Readonly<Record<EvidenceHow, string>> = {
  seen: 'seen',
  partly: 'partly hidden',
  hidden: 'not seen',
  concluded: 'concluded',
  felt: 'felt or heard',
  told: 'told by somebody',
};

/** How a detail is known and who says so, in words: *felt or heard by Mara*, *not seen, says Mara*. `nameOf` null: the teller's name isn't known. */
export const sayEvidence = (
  { how, by }: Pick<Evidence, 'how' | 'by'>,
  nameOf: (by: Teller) => string | null,
): string => {
  const name = by && nameOf(by);
  if (!name) return EVIDENCE_WORDS[how];
  if (how === 'told') return `told by ${name}`;
  return how === 'partly' || how === 'hidden'
    ? `${EVIDENCE_WORDS[how]}, says ${name}`
    : `${EVIDENCE_WORDS[how]} by ${name}`;
};

/** Nobody can see it in the picture: without a proof another angle is needed. */
const UNSEEN: ReadonlySet<EvidenceHow> = new Set(['hidden', 'concluded', 'felt', 'told']);

/** How each detail of an attempt is known of which something is said, with the holds that nobody can see; a detail that is gone says nothing. */
export const evidenceOf = (attempt: Attempt): readonly Evidence[] => {
  if (!attempt.evidence.length && !attempt.controls.some((c) => c.hidden)) return [];
  const there = new Set(partsOf(attempt));
  const said = attempt.evidence.filter(({ part }) => there.has(part));
  const known = new Set(said.map(({ part }) => part));
  const hidden = attempt.controls
    .filter((c) => c.hidden && !known.has(`control:${c.id}`))
    .map((c): Evidence => ({ part: `control:${c.id}`, how: 'hidden', ...BARE_EVIDENCE }));
  return [...said, ...hidden];
};

/** A detail that another camera should show. */
export type AngleNeeded = {
  readonly attemptId: string;
  readonly part: PartId;
  readonly how: EvidenceHow;
  /** Who says so; null where nobody said who. */ readonly by: Teller | null;
  /** The frame to look at, on the attempt's own camera. */ readonly at: Instant;
};

/** When a detail is seen, on the attempt's own camera. */
export const instantOfPart = (attempt: Attempt, part: PartId): Instant => {
  const [kind, id] = part.split(':');
  const commit = attempt.commit ?? attempt.start;
  switch (kind) {
    case 'state':
      return attempt.start;
    case 'control':
      return attempt.controls.find((c) => c.id === id)?.gained ?? commit;
    case 'reaction':
      return attempt.reactions.find((r) => r.id === id)?.at ?? commit;
    case 'fact': {
      const when = attempt.facts.find((f) => f.id === id)?.when;
      return when === 'end' ? attempt.end : when === 'commit' ? commit : attempt.start;
    }
    case 'finish':
    case 'result':
      return attempt.end;
    default:
      return commit;
  }
};

/** Everything that is said though nobody could see it and nothing proves it. */
export const anglesNeeded = (attempts: readonly Attempt[]): readonly AngleNeeded[] =>
  attempts.flatMap((attempt) =>
    evidenceOf(attempt)
      .filter(({ how, proof }) => UNSEEN.has(how) && proof === null)
      .map(({ part, how, by }): AngleNeeded => ({
        attemptId: attempt.id,
        part,
        how,
        by,
        at: instantOfPart(attempt, part),
      })),
  );

/** What is known of how details are known, with one more; what was said of the same detail goes. Seen without a proof, and with nobody who says so, is what goes without saying. */
export const withEvidence = (all: readonly Evidence[], evidence: Evidence): readonly Evidence[] => [
  ...all.filter(({ part }) => part !== evidence.part),
  ...(evidence.how === 'seen' && evidence.proof === null && evidence.by === null ? [] : [evidence]),
];

/** A link that was told as a guess, and the frame to look at, on the attempt's own camera. */
export type Guess = { readonly attemptId: string; readonly link: BecauseLink; readonly at: Instant };
/** Everything that is only guessed of what brought what about, while both details are there. */
export const guessesIn = (attempts: readonly Attempt[]): readonly Guess[] =>
  attempts.flatMap((attempt) =>
    attempt.links.some((l) => !l.isSure)
      ? linksTold(attempt)
          .filter((l) => !l.isSure)
          .map((link) => ({ attemptId: attempt.id, link, at: instantOfPart(attempt, link.to.part) }))
      : [],
  );
