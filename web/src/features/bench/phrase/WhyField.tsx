import {
  BARE_ALTERNATIVE,
  BARE_EVIDENCE,
  aimText,
  linksTold,
  sayAlternative,
  sayEvidence,
  sayLink,
  sayPart,
  secondsIn,
  timeToAct,
  timesToAct,
  withAlternativeDetail,
  withEvidence,
  type Attempt,
  type Teller,
  type Words,
} from '@odograph/core';
import { useMemo } from 'react';
import { v7 as newId } from 'uuid';
import { useLibrary, useTellerName } from '../../library/index.js';
import { WHY_TEXT as T } from './phrase.text.js';
import type { Saying } from './saying.js';
import { SeveralField } from './SeveralField.js';
import { Soft } from './Soft.js';
import type { WhySaid } from './whyFinder.js';

/** The frame that is shown, the camera that shows it, and the clip in hand. */
export type Shown = { readonly angleId: string; readonly frame: number; readonly clipId: string };

export const isWhySaid = (attempt: Attempt): boolean =>
  attempt.alternatives.length + attempt.links.length + attempt.evidence.length > 0 ||
  attempt.form !== '' ||
  attempt.aim !== null ||
  attempt.runName !== '' ||
  attempt.resisted !== null ||
  attempt.shownAs === 'mistake' ||
  attempt.counterOfId !== null ||
  attempt.series > 1;

type Changes = Partial<
  Pick<
    Attempt,
    | 'alternatives'
    | 'links'
    | 'evidence'
    | 'form'
    | 'aim'
    | 'runName'
    | 'resisted'
    | 'shownAs'
    | 'counterOfId'
    | 'parentId'
    | 'series'
  >
>;

/** What changes when something is said. Null where it can't be said now: nothing is there that it would be about. */
const changesBy = (said: WhySaid, { attempt, at }: Saying, shown: Shown | null): Changes | null => {
  const { alternatives, evidence } = attempt;
  const about = (detail: Parameters<typeof withAlternativeDetail>[1]): Changes => ({
    alternatives: withAlternativeDetail(alternatives, detail),
  });
  switch (said.is) {
    case 'other way':
      return { alternatives: [...alternatives, { ...BARE_ALTERNATIVE, ...said.way, id: newId() }] };
    case 'why not':
      return about({ kind: 'why', why: said.why });
    case 'until': {
      const instant = at(attempt.start);
      return instant ? about({ kind: 'until', at: instant }) : null;
    }
    case 'opens':
      return about({ kind: 'opens', opens: said.opens });
    case 'text':
      return about({ kind: 'text', text: said.text });
    case 'link':
      return { links: [...linksTold(attempt), { ...said.link, id: newId(), isSure: true }] };
    case 'guess':
      return { links: linksTold(attempt).map((l, i, all) => (i === all.length - 1 ? { ...l, isSure: !l.isSure } : l)) };
    case 'known':
      return { evidence: withEvidence(evidence, { ...BARE_EVIDENCE, ...said.known }) };
    case 'proof': {
      const last = evidence.at(-1);
      if (!last || !shown) return null;
      const { angleId, frame, clipId } = shown;
      const proof =
        said.by === 'clip' ? ({ kind: 'clip', clipId } as const) : ({ kind: 'frame', angleId, frame } as const);
      return { evidence: withEvidence(evidence, { ...last, proof }) };
    }
    case 'teller': {
      const last = evidence.at(-1);
      return last ? { evidence: withEvidence(evidence, { ...last, by: said.by }) } : null;
    }
    case 'form':
      return { form: said.form };
    case 'aim':
      return { aim: said.aim };
    case 'run':
      return { runName: said.name };
    case 'resisted':
      return { resisted: said.resisted };
    case 'shown as':
      return { shownAs: said.shownAs };
    case 'counter':
      return { counterOfId: said.of };
  }
};

type Item = { readonly key: string; readonly text: string; readonly without: Changes };
/** How it was done, and what it goes on with: each of them said at most once. */
const mannersOf = (attempt: Attempt, attempts: readonly Attempt[], words: Words): readonly Item[] => {
  const met = attempts.find((a) => a.id === attempt.counterOfId);
  return [
    ...(attempt.resisted === null
      ? []
      : [{ key: 'resisted', text: T.resisted(attempt.resisted), without: { resisted: null } }]),
    ...(attempt.shownAs === 'mistake'
      ? [{ key: 'shown', text: T.asMistake, without: { shownAs: 'right' as const } }]
      : []),
    ...(met
      ? [{ key: 'counter', text: T.counterTo(words.name('action', met.action ?? '')), without: { counterOfId: null } }]
      : []),
    ...(attempt.series > 1
      ? [{ key: 'try', text: T.nthTry(attempt.series), without: { parentId: null, series: 1 } }]
      : []),
  ];
};

/** What an attempt is told among: all attempts, the words, when an instant of one is (in seconds of its footage), and what somebody is called. */
type Among = {
  readonly attempts: readonly Attempt[];
  readonly words: Words;
  readonly secondsOf: ReturnType<typeof secondsIn>;
  readonly nameOf: (by: Teller) => string | null;
};

/** Until when it was there, how long there was to act, and how long in all attempts in which the same is told. */
const untilText = (
  attempt: Attempt,
  alternative: Attempt['alternatives'][number],
  { attempts, secondsOf }: Among,
): string => {
  if (!alternative.until) return '';
  const left = timeToAct(attempt, alternative, (at) => secondsOf(attempt, at));
  const all = timesToAct(attempts, attempt.action, alternative, secondsOf);
  return [
    T.untilFrame(alternative.until.frame),
    left ? T.toAct(left.seconds, left.frames) : '',
    all && all.n > 1 ? T.overAll(all.n, all.medianS, all.leastS, all.mostS) : '',
  ].join('');
};

/** What is said, each with what is left without it, in the order in which it is told. */
const itemsOf = (attempt: Attempt, among: Among): readonly Item[] => [
  ...mannersOf(attempt, among.attempts, among.words),
  ...(attempt.aim
    ? [{ key: 'aim', text: aimText(attempt.intent, attempt.aim, among.words), without: { aim: null } }]
    : []),
  ...(attempt.runName ? [{ key: 'run', text: T.run(attempt.runName), without: { runName: '' } }] : []),
  ...(attempt.form ? [{ key: 'form', text: T.by(attempt.form), without: { form: '' } }] : []),
  ...attempt.alternatives.map((a) => ({
    key: a.id,
    text: `${sayAlternative(a, among.words)}${untilText(attempt, a, among)}`,
    without: { alternatives: attempt.alternatives.filter((o) => o !== a) },
  })),
  ...attempt.links.map((l) => ({
    key: l.id,
    text: sayLink(l, attempt, among.attempts, among.words),
    without: { links: attempt.links.filter((o) => o !== l) },
  })),
  ...attempt.evidence.map((e) => ({
    key: `known ${e.part}`,
    text: T.known(sayPart(attempt, e.part, among.words) ?? T.gone, sayEvidence(e, among.nameOf), e.proof !== null),
    without: { evidence: attempt.evidence.filter((o) => o !== e) },
  })),
];

/** What is told behind the note of why it went as it went, in one field: what is typed says what it is. */
export const WhyField = ({
  saying,
  shown = () => null,
}: {
  readonly saying: Saying;
  readonly shown?: (() => Shown | null) | undefined;
}): React.JSX.Element | null => {
  const { attempt, words, find, change, next } = saying;
  const { attempts, angles, files } = useLibrary();
  const nameOf = useTellerName();
  const secondsOf = useMemo(() => secondsIn({ angles, files }), [angles, files]);
  if (attempt.action === null) return null;
  const items = itemsOf(attempt, { attempts, words, secondsOf, nameOf });
  return (
    <>
      <Soft>{T.before}</Soft>
      <SeveralField
        label={T.label}
        placeholder={items.length ? T.more : T.placeholder}
        said={items}
        joint="; "
        find={find.why}
        onAdd={(said) => {
          const changes = changesBy(said, saying, shown());
          if (changes) change(changes);
        }}
        onRemove={(key) => {
          const item = items.find((i) => i.key === key);
          if (item) change(item.without);
        }}
        onNext={next}
      />
    </>
  );
};
