import { Box, Flex } from '@chakra-ui/react';
import {
  BARE_TODO,
  TODO_KINDS,
  readScope,
  sayScope,
  type AnnouncedPart,
  type Todo,
  type TodoKind,
} from '@odograph/core';
import { useMemo, useState } from 'react';
import { v7 as newId } from 'uuid';
import { DayField, Action, Choice, Labelled, Picked, Ruled } from '../../design/index.js';
import { useLibrary, useToday, useWords } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { BY_TEXT, KIND_HINT, KIND_TEXT, TODO_TEXT as T } from './todo.text.js';

const EMPTY = { text: '', due: '', option: '', by: '', person: '', said: '', parts: '', isShared: false };
type Draft = typeof EMPTY;

/** Where it was said or seen, and how that reads. */
export type Here = Pick<Todo, 'footageId' | 'at' | 'clipIds'> & { readonly where: string };

const partsIn = (typed: string): readonly AnnouncedPart[] =>
  typed
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
    .map((name) => ({ id: newId(), name, clipId: null, isCutOff: false }));

const HAS_OPTION: ReadonlySet<TodoKind> = new Set(['try', 'find']);

/** How many were announced, and which. */
const AnnouncedFields = ({
  draft,
  set,
  problem,
}: {
  readonly draft: Draft;
  readonly set: (changes: Partial<Draft>) => void;
  readonly problem: string | undefined;
}): React.JSX.Element => (
  <>
    <Labelled label={T.parts} problem={problem}>
      <Ruled
        value={draft.parts}
        placeholder={T.partsPlaceholder}
        onChange={(e) => set({ parts: e.currentTarget.value })}
      />
    </Labelled>
    <Labelled label={T.said}>
      <Ruled type="number" min={0} max={99} value={draft.said} onChange={(e) => set({ said: e.currentTarget.value })} />
    </Labelled>
  </>
);

/** Puts something on the lists; what a kind has no use for isn't asked. */
export const AddTodo = ({
  here,
  onAdded,
}: {
  readonly here: Here | null;
  readonly onAdded: () => void;
}): React.JSX.Element => {
  const words = useWords();
  const { persons } = useLibrary();
  const edit = useEdit();
  const today = useToday();
  const [kind, setKind] = useState<TodoKind>('try');
  const [draft, setDraft] = useState<Draft>(EMPTY);
  const [isTried, setTried] = useState(false);
  const set = (changes: Partial<Draft>): void => setDraft({ ...draft, ...changes });
  const option = useMemo(() => readScope(draft.option, words), [draft.option, words]);
  const said = draft.said === '' ? null : Number(draft.said);
  const parts = kind === 'announced' ? partsIn(draft.parts) : [];
  const faults = {
    text: draft.text.trim() ? undefined : T.needsText,
    parts: said !== null && parts.length > said ? T.needsParts : undefined,
  };
  const hasOption = HAS_OPTION.has(kind);
  const read = hasOption ? sayScope({ ...option.value, does: null, hold: null }, words) : [];
  const add = (): void => {
    if (Object.values(faults).some(Boolean)) {
      setTried(true);
      return;
    }
    const { state, action, reaction } = option.value;
    const todo: Todo = {
      ...BARE_TODO,
      ...{ id: newId(), version: 0, kind, text: draft.text.trim(), opened: today, due: draft.due || null },
      ...{
        by: draft.by.trim(),
        personIds: draft.person ? [draft.person] : [],
        isShared: kind === 'credit' && draft.isShared,
      },
      ...(hasOption && {
        ...{ action, reaction },
        state: state && state.role !== null ? { position: state.position, role: state.role } : null,
      }),
      ...(kind === 'announced' && { said: said ?? parts.length, parts }),
      ...(here && { footageId: here.footageId, at: here.at, clipIds: here.clipIds }),
    };
    edit({ kind: 'new todo', todo });
    setDraft(EMPTY);
    setTried(false);
    onAdded();
  };
  return (
    <Box asChild borderTopWidth="1px" borderBottomWidth="1px" paddingBlock="4" marginBottom="5">
      <form
        aria-label={T.adding}
        onSubmit={(e) => {
          e.preventDefault();
          add();
        }}
      >
        <Flex gap="4" alignItems="center" wrap="wrap" marginBottom="3">
          <Choice
            label={T.kind}
            name="kind"
            value={kind}
            isTight
            options={TODO_KINDS.map((k) => [k, KIND_TEXT[k]])}
            onChange={setKind}
          />
          <Box color="inkSoft" fontSize="14px" flex="1" minWidth="240px">
            {KIND_HINT[kind]}
          </Box>
        </Flex>
        <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '2fr 1fr 1fr' }} columnGap="8" rowGap="4">
          <Labelled label={T.text} problem={isTried ? faults.text : undefined}>
            <Ruled value={draft.text} maxLength={300} onChange={(e) => set({ text: e.currentTarget.value })} />
          </Labelled>
          <Labelled label={BY_TEXT[kind]}>
            <Ruled value={draft.by} maxLength={120} onChange={(e) => set({ by: e.currentTarget.value })} />
          </Labelled>
          <Labelled label={T.due}>
            <DayField value={draft.due} onChange={(due) => set({ due })} />
          </Labelled>
          {hasOption && (
            <Labelled
              label={T.option}
              problem={option.notUnderstood.length ? T.notUnderstood(option.notUnderstood) : undefined}
              hint={read.length ? T.readAs(read.join(', ')) : undefined}
            >
              <Ruled
                value={draft.option}
                placeholder={T.optionPlaceholder}
                onChange={(e) => set({ option: e.currentTarget.value })}
              />
            </Labelled>
          )}
          {kind === 'announced' && (
            <AnnouncedFields draft={draft} set={set} problem={isTried ? faults.parts : undefined} />
          )}
          <Box as="label" display="block">
            <Box color="inkSoft" fontSize="14px">
              {T.people}
            </Box>
            <Picked value={draft.person} onChange={(e) => set({ person: e.currentTarget.value })}>
              <option value="">{T.anybody}</option>
              {persons.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}
                </option>
              ))}
            </Picked>
          </Box>
        </Box>
        <Flex gap="5" alignItems="center" marginTop="4" wrap="wrap">
          {kind === 'credit' && (
            <Box as="label" display="flex" gap="2" alignItems="center">
              <input
                type="checkbox"
                checked={draft.isShared}
                onChange={(e) => set({ isShared: e.currentTarget.checked })}
              />
              {T.shared}
            </Box>
          )}
          {here && (
            <Flex gap="3" alignItems="baseline">
              <Box>{T.here(here.where)}</Box>
              <Action tone="quiet" type="button" onClick={onAdded}>
                {T.notHere}
              </Action>
            </Flex>
          )}
          <Box flex="1" />
          <Action tone="next" type="submit">
            {T.add}
          </Action>
        </Flex>
      </form>
    </Box>
  );
};
