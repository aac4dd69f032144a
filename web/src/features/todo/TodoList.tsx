import { Box } from '@chakra-ui/react';
import { TODO_KINDS, TODO_STATUSES, inOrder, type Todo } from '@odograph/core';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { Heading, Picked } from '../../design/index.js';
import { useViewSource } from '../finding/index.js';
import { useLibrary, useMayWrite, useWords } from '../library/index.js';
import { useTimecode } from '../player/index.js';
import { AddTodo, type Here } from './AddTodo.js';
import { KIND_TEXT, STATUS_TEXT, TODO_TEXT as T } from './todo.text.js';
import { TodoRow } from './TodoRow.js';
import { EVERYTHING, FoundIn, statusOf } from './useFound.js';

/** The frame and the clip that somebody came from, as the address says them. */
const useHere = (): readonly [Here | null, () => void] => {
  const [search, setSearch] = useSearchParams();
  const { angles, footage, clips } = useLibrary();
  const angle = angles.find((a) => a.id === search.get('angle'));
  const frame = Number(search.get('frame') ?? NaN);
  const of = footage.find((f) => f.id === angle?.footageId);
  const clip = clips.find((c) => c.id === search.get('clip'));
  const code = useTimecode(angle?.fileId, Number.isInteger(frame) ? frame : 0);
  const leave = (): void => {
    const left = new URLSearchParams(search);
    for (const name of ['angle', 'frame', 'clip']) left.delete(name);
    setSearch(left, { replace: true });
  };
  if (!angle || !of || !Number.isInteger(frame)) return [null, leave];
  const here = { footageId: of.id, at: { angleId: angle.id, frame }, clipIds: clip ? [clip.id] : [] };
  return [{ ...here, where: `${of.title}, ${code}` }, leave];
};

const FILTERS = ['kind', 'status', 'who'] as const;

/** The lists that stay open: a filter that reads as a sentence, a line to add to them, and what is on them. */
export const TodoList = (): React.JSX.Element => {
  const { todos, persons } = useLibrary();
  const mayWrite = useMayWrite();
  const words = useWords();
  const { source } = useViewSource(
    EVERYTHING,
    todos.some((t) => t.kind === 'find'),
  );
  const [search, setSearch] = useSearchParams();
  const [here, leaveHere] = useHere();
  const [kind, status, who] = FILTERS.map((name) => search.get(name) ?? (name === 'status' ? 'open' : ''));
  const set = (name: (typeof FILTERS)[number], value: string): void => {
    const next = new URLSearchParams(search);
    next.set(name, value);
    setSearch(next, { replace: true });
  };
  const shown = useMemo(
    () =>
      inOrder(
        todos.filter(
          (t: Todo) =>
            (!kind || t.kind === kind) &&
            (!status || statusOf(t, source, words) === status) &&
            (!who || t.personIds.includes(who)),
        ),
      ),
    [todos, kind, status, who, source, words],
  );
  const named = persons.filter((p) => todos.some((t) => t.personIds.includes(p.id)));
  return (
    <Box paddingInline={{ base: '4', md: '8' }} paddingBlock="6" maxWidth="1120px">
      <Heading marginBottom="2">{T.title}</Heading>
      <Box color="inkSoft" marginBottom="5" maxWidth="760px">
        {T.lead}
      </Box>
      {mayWrite && <AddTodo here={here} onAdded={leaveHere} />}
      {todos.length > 0 && (
        <Box role="search" fontSize="20px" lineHeight="1.65" marginBottom="3">
          {T.show}{' '}
          <Picked
            fontSize="inherit"
            aria-label={T.whichKind}
            value={kind}
            onChange={(e) => set('kind', e.currentTarget.value)}
          >
            <option value="">{T.anyKind}</option>
            {TODO_KINDS.map((k) => (
              <option key={k} value={k}>
                {KIND_TEXT[k]}
              </option>
            ))}
          </Picked>{' '}
          {T.that}{' '}
          <Picked
            fontSize="inherit"
            aria-label={T.whichStatus}
            value={status}
            onChange={(e) => set('status', e.currentTarget.value)}
          >
            <option value="">{T.anyStatus}</option>
            {TODO_STATUSES.map((s) => (
              <option key={s} value={s}>
                {STATUS_TEXT[s]}
              </option>
            ))}
          </Picked>{' '}
          {T.for}{' '}
          <Picked
            fontSize="inherit"
            aria-label={T.whose}
            value={who}
            onChange={(e) => set('who', e.currentTarget.value)}
          >
            <option value="">{T.anybody}</option>
            {named.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Picked>
        </Box>
      )}
      {todos.length === 0 ? (
        <Box>{T.empty}</Box>
      ) : shown.length === 0 ? (
        <Box color="inkSoft">{T.nothing}</Box>
      ) : (
        <FoundIn.Provider value={source}>
          <Box as="ul" listStyleType="none">
            {shown.map((todo) => (
              <TodoRow key={todo.id} todo={todo} />
            ))}
          </Box>
        </FoundIn.Provider>
      )}
    </Box>
  );
};
