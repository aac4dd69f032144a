import {
  BARE_ALTERNATIVE,
  EVIDENCE_WORDS,
  detailId,
  linksTold,
  sayAlternative,
  sayLink,
  sayPart,
  withAlternativeDetail,
  withEvidence,
  type Attempt,
  type Words,
} from '@odograph/core';
import { v7 as newId } from 'uuid';
import { useLibrary } from '../../library/index.js';
import { WHY_TEXT as T } from './phrase.text.js';
import type { Saying } from './saying.js';
import { SeveralField } from './SeveralField.js';
import { Soft } from './Soft.js';
import type { WhySaid } from './whyFinder.js';

/** The frame that is shown, and the camera that shows it. */
export type Shown = { readonly angleId: string; readonly frame: number };

export const isWhySaid = ({ alternatives, links, evidence, form }: Attempt): boolean =>
  alternatives.length > 0 || links.length > 0 || evidence.length > 0 || form !== '';

type Changes = Partial<Pick<Attempt, 'alternatives' | 'links' | 'evidence' | 'form'>>;

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
      return {
        alternatives: alternatives.map((a, i) => (i === alternatives.length - 1 ? { ...a, text: said.text } : a)),
      };
    case 'link':
      return { links: [...linksTold(attempt), { ...said.link, id: newId(), isSure: true }] };
    case 'guess':
      return { links: linksTold(attempt).map((l, i, all) => (i === all.length - 1 ? { ...l, isSure: !l.isSure } : l)) };
    case 'known':
      return { evidence: withEvidence(evidence, { ...said.known, proof: null }) };
    case 'proof': {
      const last = evidence.at(-1);
      return last && shown
        ? { evidence: withEvidence(evidence, { ...last, proof: { kind: 'frame', ...shown } }) }
        : null;
    }
    case 'form':
      return { form: said.form };
  }
};

type Item = { readonly key: string; readonly text: string; readonly without: Changes };
/** What is said, each with what is left without it, in the order in which it is told. */
const itemsOf = (attempt: Attempt, attempts: readonly Attempt[], words: Words): readonly Item[] => [
  ...(attempt.form ? [{ key: 'form', text: T.by(attempt.form), without: { form: '' } }] : []),
  ...attempt.alternatives.map((a) => ({
    key: a.id,
    text: sayAlternative(a, words),
    without: { alternatives: attempt.alternatives.filter((o) => o !== a) },
  })),
  ...attempt.links.map((l) => ({
    key: l.id,
    text: sayLink(l, attempt, attempts, words),
    without: { links: attempt.links.filter((o) => o !== l) },
  })),
  ...attempt.evidence.map((e) => ({
    key: detailId('', e.part),
    text: T.known(sayPart(attempt, e.part, words) ?? T.gone, EVIDENCE_WORDS[e.how], e.proof !== null),
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
  const { attempts } = useLibrary();
  if (attempt.action === null) return null;
  const items = itemsOf(attempt, attempts, words);
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
