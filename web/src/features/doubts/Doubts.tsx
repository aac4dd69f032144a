import { Box, Flex } from '@chakra-ui/react';
import {
  BARE_EVIDENCE,
  anglesNeeded,
  asCompared,
  doubtQueue,
  guessesIn,
  isResisted,
  retold,
  sayFact,
  toldTwice,
  unclearProofs,
  VIEW_WORDS,
  entryChoices,
  finishChoices,
  placeChoices,
  reactionChoices,
  readControls,
  reasonChoices,
  resultChoices,
  sayControl,
  sayEvidence,
  sayPart,
  settled,
  withEvidence,
  wordOfAction,
  type AngleNeeded,
  type Attempt,
  type DoubtField,
  type DoubtGroup,
  type Settling,
  type ToldAs,
  type ToldTwice,
  type UnclearProof,
  type WordKind,
  type Words,
} from '@odograph/core';
import { useMemo, useState } from 'react';
import { v7 as newId } from 'uuid';
import { Action, Heading, Subheading } from '../../design/index.js';
import { WordField, among, type Found } from '../../design/fields.js';
import { useClipViews, useLibrary, useTellerName, useWords } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { Amended } from './Amended.js';
import { Case } from './Case.js';
import { Guessed } from './Guessed.js';
import { DOUBTS_TEXT as T, PART_TEXT } from './doubts.text.js';

/** Finds what a part may be settled as. */
const findFor = (field: DoubtField, words: Words): ((typed: string) => readonly Found<Settling>[]) => {
  const told =
    <V,>(of: Settling['field'], find: (typed: string) => readonly Found<V>[]) =>
    (typed: string): readonly Found<Settling>[] =>
      find(typed).map(({ value, ...found }) => ({ ...found, value: { field: of, value } as Settling }));
  switch (field) {
    case 'state':
      return told(field, among(placeChoices(words)));
    case 'finish':
      return told(field, among(finishChoices(words, null, null)));
    case 'result':
      return told(field, among(resultChoices()));
    case 'action':
      return told(field, among(entryChoices(words, null)));
    case 'reactions':
      return told(field, among(reactionChoices(words)));
    case 'reasons':
      return told(field, among(reasonChoices(words)));
    case 'controls':
      return (typed) =>
        typed.trim() === ''
          ? []
          : readControls(typed, words).map((value) => ({
              value: { field, value },
              name: sayControl({ ...value, id: '' }, words),
              via: '',
            }));
  }
};

/** The word that a settled part names, where an unknown term can become an alias of it. */
const wordOf = (settling: Settling, words: Words): { readonly kind: WordKind; readonly key: string } | null => {
  switch (settling.field) {
    case 'state':
      return { kind: 'position', key: settling.value.position };
    case 'action': {
      const word = words.action(settling.value);
      return word ? wordOfAction(word, words) : null;
    }
    case 'reactions':
      return { kind: 'reaction', key: settling.value };
    case 'reasons':
      return { kind: 'reason', key: settling.value };
    case 'finish':
      return settling.value.kind === 'state' ? { kind: 'position', key: settling.value.position } : null;
    case 'controls':
      return { kind: 'target', key: settling.value.target };
    case 'result':
      return null;
  }
};

/** Most pictures of one group. */
const SHOWN = 4;

const Group = ({ group }: { readonly group: DoubtGroup }): React.JSX.Element => {
  const words = useWords();
  const { attempts } = useLibrary();
  const views = useClipViews();
  const edit = useEdit();
  const [isCalled, setCalled] = useState(false);
  const find = useMemo(() => findFor(group.field, words), [group.field, words]);
  const part = PART_TEXT[group.field];
  const isUnknown = group.kind === 'unknown';
  const settle = (settling: Settling | null): void => {
    for (const { attemptId } of group.cases) {
      const attempt = attempts.find((a) => a.id === attemptId);
      if (!attempt) continue;
      const changes = settled(attempt, group.field, settling, newId);
      edit({ kind: 'attempt', id: attemptId, changes });
    }
    const word = settling && isCalled ? wordOf(settling, words) : null;
    if (word) edit({ kind: 'aliases', lines: [{ ...word, aliasId: newId(), changeId: newId(), alias: group.text }] });
  };
  const shown = group.cases.flatMap(({ attemptId, doubt }) => {
    // the frame is told on the attempt's own camera
    const view = views.find((v) => v.attempt.id === attemptId && v.clip.angleId === v.attempt.angleId);
    return view ? [{ view, frame: doubt.at.frame }] : [];
  });
  return (
    <Box as="li" borderTopWidth="1px" paddingBlock="4" data-testid="doubt">
      <Flex alignItems="baseline" gap="4" wrap="wrap">
        <Subheading fontSize="21px">{isUnknown ? T.unknown(group.text, part) : T.unsure(part)}</Subheading>
        {isUnknown && <Box color="inkSoft">{T.times(group.cases.length)}</Box>}
        <Box fontSize="18px">
          {T.is}{' '}
          <WordField
            label={`${T.is}: ${isUnknown ? group.text : part}`}
            placeholder={T.choose}
            said={null}
            find={find}
            onPick={settle}
          />
        </Box>
        {isUnknown && group.field !== 'result' && asCompared(group.text) !== '' && (
          <Box as="label" color="inkSoft" display="inline-flex" gap="2" alignItems="center">
            <input type="checkbox" checked={isCalled} onChange={(e) => setCalled(e.currentTarget.checked)} />
            {T.callIt}
          </Box>
        )}
        {!isUnknown && <Action onClick={() => settle(null)}>{T.stands}</Action>}
      </Flex>
      <Flex as="ul" listStyleType="none" gap="5" wrap="wrap" marginTop="3">
        {shown.slice(0, SHOWN).map(({ view, frame }) => (
          <Case key={view.clip.id} view={view} frame={frame} />
        ))}
        {shown.length > SHOWN && <Box color="inkSoft">{T.more(shown.length - SHOWN)}</Box>}
      </Flex>
    </Box>
  );
};

/** A detail that is told though nobody can see it: where to look, and what to do about it. */
const Needed = ({
  needed,
  attempt,
}: {
  readonly needed: AngleNeeded;
  readonly attempt: Attempt;
}): React.JSX.Element => {
  const words = useWords();
  const views = useClipViews();
  const nameOf = useTellerName();
  const edit = useEdit();
  const view = views.find((v) => v.attempt.id === attempt.id && v.clip.angleId === attempt.angleId);
  const seen = (): void => {
    const { part } = needed;
    const controls = attempt.controls.map((c) => (part === `control:${c.id}` ? { ...c, hidden: false } : c));
    const evidence = withEvidence(attempt.evidence, { ...BARE_EVIDENCE, part, how: 'seen' });
    edit({ kind: 'attempt', id: attempt.id, changes: { controls, evidence } });
  };
  return (
    <Box as="li" borderTopWidth="1px" paddingBlock="4" data-testid="angle-needed">
      <Flex alignItems="baseline" gap="4" wrap="wrap">
        <Subheading fontSize="21px">
          {T.needed(sayPart(attempt, needed.part, words) ?? needed.part, sayEvidence(needed, nameOf))}
        </Subheading>
        <Action onClick={seen}>{T.seenAfterAll}</Action>
      </Flex>
      <Box color="inkSoft">{T.neededHint}</Box>
      {view && (
        <Box as="ul" listStyleType="none" marginTop="3">
          <Case view={view} frame={needed.at.frame} />
        </Box>
      )}
    </Box>
  );
};

/** A detail that clips of one demonstration tell in two ways, side by side; one of them is right. */
const Twice = ({ twice }: { readonly twice: ToldTwice }): React.JSX.Element => {
  const words = useWords();
  const { attempts } = useLibrary();
  const views = useClipViews();
  const edit = useEdit();
  const said = ({ value, attempts: [first] }: ToldAs): string => {
    const attempt = attempts.find((a) => a.id === first!.attemptId);
    const fact = attempt?.facts.find((f) => f.id === first!.id);
    return fact ? sayFact(fact, words) : value;
  };
  const grip = attempts
    .find((a) => a.id === twice.tellings[0]!.attempts[0]!.attemptId)
    ?.controls.find((c) => c.id === twice.tellings[0]!.attempts[0]!.id);
  const settle = (right: ToldAs): void => {
    for (const telling of twice.tellings)
      for (const { attemptId, id } of telling === right ? [] : telling.attempts) {
        const attempt = attempts.find((a) => a.id === attemptId);
        if (attempt) edit({ kind: 'attempt', id: attemptId, changes: retold(attempt, twice, id, right.value) });
      }
  };
  return (
    <Box as="li" borderTopWidth="1px" paddingBlock="4" data-testid="told-twice">
      <Subheading fontSize="21px">
        {T.twice(words.name('action', twice.action), grip ? sayControl(grip, words) : null)}
      </Subheading>
      <Flex gap="6" wrap="wrap" marginTop="3">
        {twice.tellings.map((telling) => (
          <Box key={telling.value} maxWidth="472px">
            <Action onClick={() => settle(telling)}>{T.itIs(said(telling))}</Action>
            <Flex as="ul" listStyleType="none" gap="5" wrap="wrap" marginTop="3">
              {telling.attempts.slice(0, 2).flatMap(({ attemptId, at }) => {
                const view = views.find((v) => v.attempt.id === attemptId && v.clip.angleId === v.attempt.angleId);
                return view ? [<Case key={attemptId} view={view} frame={at.frame} />] : [];
              })}
            </Flex>
          </Box>
        ))}
      </Flex>
    </Box>
  );
};

/** A proof that lies where nothing can be seen well. */
const Unclear = ({ unclear }: { readonly unclear: UnclearProof }): React.JSX.Element | null => {
  const words = useWords();
  const { attempts } = useLibrary();
  const view = useClipViews().find((v) => v.clip.id === unclear.clipId);
  const attempt = attempts.find((a) => a.id === unclear.attemptId);
  if (!view || !attempt) return null;
  return (
    <Box as="li" borderTopWidth="1px" paddingBlock="4" data-testid="unclear-proof">
      <Subheading fontSize="21px">
        {T.unclear(sayPart(attempt, unclear.part, words) ?? unclear.part, VIEW_WORDS[unclear.kind])}
      </Subheading>
      <Box color="inkSoft">{T.unclearHint}</Box>
      <Box as="ul" listStyleType="none" marginTop="3">
        <Case view={view} frame={unclear.frame} />
      </Box>
    </Box>
  );
};

/** Everything that was left unknown or unsure while breaking down, settled for all it was met in at once. */
export const Doubts = (): React.JSX.Element => {
  const { attempts, footage, clips } = useLibrary();
  const queue = useMemo(() => doubtQueue(attempts), [attempts]);
  const twice = useMemo(() => {
    const byId = new Map(footage.map((f) => [f.id, f]));
    return toldTwice(attempts, (a) => {
      const of = byId.get(a.footageId);
      return of?.setting === 'demonstration' && !isResisted(a, of);
    });
  }, [attempts, footage]);
  const needed = useMemo(() => anglesNeeded(attempts), [attempts]);
  const unclear = useMemo(() => unclearProofs(attempts, clips), [attempts, clips]);
  const guesses = useMemo(() => guessesIn(attempts), [attempts]);
  return (
    <Box paddingInline={{ base: '4', md: '8' }} paddingBlock="6" maxWidth="1120px">
      <Heading marginBottom="2">{T.title}</Heading>
      <Box color="inkSoft" marginBottom="4">
        {T.lead}
      </Box>
      {queue.length + needed.length + twice.length + unclear.length + guesses.length === 0 ? (
        <Box>{T.empty}</Box>
      ) : (
        <Box as="ul" listStyleType="none">
          {queue.map((group) => (
            <Group key={group.key} group={group} />
          ))}
          {twice.map((one) => (
            <Twice key={`${one.footageId} ${one.action} ${one.slot}`} twice={one} />
          ))}
          {guesses.map((one) => (
            <Guessed key={one.link.id} guess={one} />
          ))}
          {unclear.map((one) => (
            <Unclear key={`${one.attemptId} ${one.part}`} unclear={one} />
          ))}
          {needed.map((one) => (
            <Needed
              key={`${one.attemptId} ${one.part}`}
              needed={one}
              attempt={attempts.find((a) => a.id === one.attemptId)!}
            />
          ))}
        </Box>
      )}
      <Amended />
    </Box>
  );
};
