import { Box, Flex } from '@chakra-ui/react';
import {
  BARE_PRINCIPLE,
  STRENGTHS,
  isEmptyScope,
  readRequired,
  readScope,
  sayScope,
  type Principle,
  type Strength,
  type View,
} from '@odograph/core';
import { useMemo, useState } from 'react';
import { v7 as newId } from 'uuid';
import { Action, Labelled, Picked, Ruled } from '../../design/index.js';
import { useLibrary, useWords } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { useMeQuery } from '../server/index.js';
import { PRINCIPLES_TEXT as T, STRENGTH_TEXT } from './principles.text.js';
import { sayAsked } from './sayPrinciple.js';

const EMPTY = {
  where: '',
  what: '',
  sentence: '',
  strength: 'required' as Strength,
  habitOf: '',
  view: 'academy',
  speaker: '',
};
type Draft = typeof EMPTY;

const viewOf = ({ view, speaker }: Draft, accountId: string | undefined): View => {
  if (view === 'me' && accountId !== undefined) return { kind: 'account', accountId };
  if (view === 'speaker' && speaker.trim()) return { kind: 'speaker', name: speaker.trim() };
  return view.startsWith('person ') ? { kind: 'person', personId: view.slice(7) } : { kind: 'academy' };
};

/** What is typed, read: what would be kept, what was understood of it, and what is still missing. */
const useRead = (draft: Draft, accountId: string | undefined) => {
  const words = useWords();
  const where = useMemo(() => readScope(draft.where, words), [draft.where, words]);
  const what = useMemo(() => readRequired(draft.what, words), [draft.what, words]);
  const principle: Omit<Principle, 'id' | 'version'> = {
    ...BARE_PRINCIPLE,
    ...what.value,
    scope: where.value,
    strength: draft.strength,
    habitOf: draft.strength === 'habit' ? draft.habitOf || null : null,
    sentence: draft.sentence.trim(),
    view: viewOf(draft, accountId),
  };
  const asked = sayAsked(what.value, words);
  return {
    principle,
    where: isEmptyScope(where.value) ? null : T.readWhere(sayScope(where.value, words)),
    what: asked === null ? null : T.readWhat(asked),
    faults: {
      where: isEmptyScope(where.value)
        ? T.needsWhere
        : principle.answer !== null && where.value.reaction === null
          ? T.needsReaction
          : where.notUnderstood.length
            ? T.notUnderstood(where.notUnderstood)
            : undefined,
      what: what.notUnderstood.length ? T.notUnderstood(what.notUnderstood) : undefined,
      sentence: principle.sentence ? undefined : T.needsSentence,
      habitOf: draft.strength === 'habit' && !draft.habitOf ? T.needsWhose : undefined,
    },
  };
};

/** Where a principle applies and what it asks for, typed as it is said; what is read of it stands below at once. */
export const AddPrinciple = (): React.JSX.Element => {
  const { persons } = useLibrary();
  const accountId = useMeQuery().data?.account.id;
  const edit = useEdit();
  const [draft, setDraft] = useState<Draft>(EMPTY);
  const [isTried, setTried] = useState(false);
  const read = useRead(draft, accountId);
  const set = (changes: Partial<Draft>): void => setDraft({ ...draft, ...changes });
  const fault = (of: keyof typeof read.faults): string | undefined => (isTried ? read.faults[of] : undefined);
  const add = (): void => {
    if (Object.values(read.faults).some((f) => f !== undefined)) {
      setTried(true);
      return;
    }
    edit({ kind: 'new principle', principle: { ...read.principle, id: newId(), version: 0 } });
    setDraft({ ...EMPTY, where: draft.where });
    setTried(false);
  };
  const athletes = persons.filter((p) => p.athlete);
  return (
    <Box asChild borderTopWidth="1px" borderBottomWidth="1px" paddingBlock="4" marginBottom="6">
      <form
        aria-label={T.adding}
        onSubmit={(e) => {
          e.preventDefault();
          add();
        }}
      >
        <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap="8" rowGap="4">
          <Labelled label={T.where} problem={fault('where')} hint={read.where ?? undefined}>
            <Ruled
              value={draft.where}
              placeholder={T.wherePlaceholder}
              onChange={(e) => set({ where: e.currentTarget.value })}
            />
          </Labelled>
          <Labelled
            label={draft.strength === 'never' ? T.whatNever : T.what}
            problem={fault('what')}
            hint={read.what ?? undefined}
          >
            <Ruled
              value={draft.what}
              placeholder={T.whatPlaceholder}
              onChange={(e) => set({ what: e.currentTarget.value })}
            />
          </Labelled>
          <Labelled label={T.sentence} problem={fault('sentence')}>
            <Ruled
              value={draft.sentence}
              maxLength={300}
              placeholder={T.sentencePlaceholder}
              onChange={(e) => set({ sentence: e.currentTarget.value })}
            />
          </Labelled>
          <Flex gap="6" alignItems="flex-start" wrap="wrap">
            <Box as="label">
              <Box color="inkSoft" fontSize="14px">
                {T.how}
              </Box>
              <Picked value={draft.strength} onChange={(e) => set({ strength: e.currentTarget.value as Strength })}>
                {STRENGTHS.map((s) => (
                  <option key={s} value={s}>
                    {STRENGTH_TEXT[s]}
                  </option>
                ))}
              </Picked>
            </Box>
            {draft.strength === 'habit' && (
              <Labelled label={T.whose} problem={fault('habitOf')}>
                <Picked value={draft.habitOf} onChange={(e) => set({ habitOf: e.currentTarget.value })}>
                  <option value="" />
                  {athletes.map((p) => (
                    <option key={p.id} value={p.id}>
                      {p.name}
                    </option>
                  ))}
                </Picked>
              </Labelled>
            )}
            <Box as="label">
              <Box color="inkSoft" fontSize="14px">
                {T.whoseView}
              </Box>
              <Picked value={draft.view} onChange={(e) => set({ view: e.currentTarget.value })}>
                <option value="academy">{T.academyView}</option>
                <option value="me">{T.myView}</option>
                {athletes.map((p) => (
                  <option key={p.id} value={`person ${p.id}`}>
                    {p.name}
                  </option>
                ))}
                <option value="speaker">{T.speakerView}</option>
              </Picked>
            </Box>
            {draft.view === 'speaker' && (
              <Labelled label={T.speaker}>
                <Ruled
                  value={draft.speaker}
                  maxLength={120}
                  onChange={(e) => set({ speaker: e.currentTarget.value })}
                />
              </Labelled>
            )}
            <Box flex="1" />
            <Action tone="next" type="submit">
              {T.add}
            </Action>
          </Flex>
        </Box>
      </form>
    </Box>
  );
};
