import {
  BARE_ALTERNATIVE,
  draftAttempt,
  factChoices,
  holdDetailChoices,
  detailChoices,
  knownChoices,
  linkFinder,
  matchWords,
  otherWayChoices,
  reasonChoices,
  shippedWords,
  withDetail,
  withEvidence,
  withFact,
  withHoldDetail,
  type Attempt,
  type Sayable,
} from '@odograph/core';
import type { NewClip } from '@odograph/core/contract';
import type { Why } from './bouts/index.js';
import { seededId } from './ids.js';
import type { DemoClip, DemoFootage } from './library.js';

const words = shippedWords();

/** What a text means; a script that says nothing is wrong. */
const meant = <T>(text: string, choices: readonly Sayable<T>[]): T => {
  const found = matchWords(text, choices)[0];
  if (!found || found.score < 1) throw new Error(`the demo's "${text}" was not understood`);
  return found.value;
};

type Told = NewClip['attempt'];
const at = (frame: number) => ({ frame, pts: 0 });

const withHolds = (told: Attempt, holds: NonNullable<Why['holds']>): Attempt => ({
  ...told,
  controls: told.controls.map((c, i) =>
    (holds[i] ?? []).reduce((now, text) => withHoldDetail(now, meant(text, holdDetailChoices(c.target, words))), c),
  ),
});
const withReactions = (told: Attempt, said: NonNullable<Why['reactions']>): Attempt => {
  // what is said is said of the last one, so each is told before the next
  const reactions = told.reactions.reduce<Attempt['reactions']>((before, reaction, i) => {
    let now: Attempt['reactions'] = [...before, reaction];
    for (const text of said[i] ?? []) {
      const detail = meant(text, detailChoices());
      if (detail.kind !== 'here') now = withDetail(now, detail);
    }
    return now;
  }, []);
  return { ...told, reactions };
};
const withOthers = (told: Attempt, c: DemoClip, others: NonNullable<Why['others']>): Attempt => ({
  ...told,
  alternatives: others.map(({ could, but, until }, i) => ({
    ...BARE_ALTERNATIVE,
    ...meant(could, otherWayChoices(words)),
    id: seededId(`alternative ${c.attemptId} ${i}`),
    why: but === undefined ? null : meant(but, reasonChoices(words)),
    until: until === undefined ? null : at(c.commitFrame + until),
  })),
});

/** A told attempt with why it went as it went. */
export const withWhy = (told: Told, c: DemoClip, { athletes, cameras }: DemoFootage, why: Why): Told => {
  const draft = draftAttempt({
    ...{ id: c.attemptId, footageId: '', angleId: '', subject: told.subject },
    ...{ start: at(c.startFrame), end: at(c.endFrame) },
  });
  let attempt: Attempt = { ...draft, ...told, form: why.form ?? '', aim: why.aim ?? null, runName: why.runName ?? '' };
  attempt = withOthers(withReactions(withHolds(attempt, why.holds ?? {}), why.reactions ?? {}), c, why.others ?? []);
  (why.facts ?? []).forEach((text, i) => {
    const fact = { ...meant(text, factChoices(words, c.state.role)), id: seededId(`fact ${c.attemptId} ${i}`) };
    attempt = { ...attempt, facts: withFact(attempt.facts, fact) };
  });
  (why.links ?? []).forEach((text, i) => {
    const found = linkFinder(attempt, undefined, words)(text)[0];
    if (!found) throw new Error(`the demo's link "${text}" was not understood`);
    const link = { ...found.link, id: seededId(`link ${c.attemptId} ${i}`), isSure: true };
    attempt = { ...attempt, links: [...attempt.links, link] };
  });
  for (const { says, camera, by } of why.known ?? []) {
    const proof =
      camera === undefined
        ? null
        : ({ kind: 'frame', angleId: cameras[camera]!.angleId, frame: c.endOn[camera]! } as const);
    attempt = {
      ...attempt,
      evidence: withEvidence(attempt.evidence, {
        ...meant(says, knownChoices(attempt, words)),
        proof,
        by: by === undefined ? null : { kind: 'person', personId: athletes[by].id },
      }),
    };
  }
  const { form, aim, runName, facts, controls, reactions, alternatives, links, evidence } = attempt;
  return { ...told, form, aim, runName, facts, controls, reactions, alternatives, links, evidence };
};
