import { Box, Flex } from '@chakra-ui/react';
import { TODO_STATUSES, sayScope, type Todo } from '@odograph/core';
import { Link } from 'react-router';
import { Action, Choice, Subheading } from '../../design/index.js';
import { useLibrary, useMayWrite, usePersonName, useToday, useWords } from '../library/index.js';
import { Still, useTimecode } from '../player/index.js';
import { useEdit } from '../replica/index.js';
import { KIND_TEXT, STATUS_TEXT, TODO_TEXT as T } from './todo.text.js';
import { TodoDetails } from './TodoDetails.js';
import { isFound, useFound } from './useFound.js';

/** The frame at which it was said or seen. */
const At = ({ todo }: { readonly todo: Todo }): React.JSX.Element | null => {
  const { angles, footage } = useLibrary();
  const angle = angles.find((a) => a.id === todo.at?.angleId);
  const of = footage.find((f) => f.id === angle?.footageId);
  const code = useTimecode(angle?.fileId, todo.at?.frame ?? 0);
  if (!angle || !of || !todo.at) return null;
  const to = `/break-down/${of.id}?angle=${angle.id}&frame=${todo.at.frame}`;
  return (
    <Link to={to} aria-label={T.look(of.title, code)}>
      <Still fileId={angle.fileId} frame={todo.at.frame} width={176} region={angle.region} />
      <Box fontSize="14px" color="inkSoft">
        {of.title}, {code}
      </Box>
    </Link>
  );
};

/** An entry of the lists: what it is, what is known of it, and whether it's done. */
export const TodoRow = ({ todo }: { readonly todo: Todo }): React.JSX.Element => {
  const words = useWords();
  const nameOf = usePersonName();
  const edit = useEdit();
  const mayWrite = useMayWrite();
  const today = useToday();
  const names = todo.personIds.map(nameOf);
  const option = [
    ...sayScope({ ...todo, does: null, hold: null }, words),
    ...(todo.theirs === null ? [] : [T.theirs(words.name('action', todo.theirs))]),
  ].join(', ');
  const status = isFound(useFound(todo)) && todo.status === 'open' ? 'done' : todo.status;
  const isLate = todo.status === 'open' && todo.due !== null && todo.due < today;
  const says = [
    KIND_TEXT[todo.kind],
    ...(option ? [option] : []),
    ...(todo.by ? [T.by(todo.kind, todo.by)] : []),
    ...(names.length ? [`${T.for} ${names.join(', ')}`] : []),
    T.opened(todo.opened),
    ...(todo.due === null || isLate ? [] : [T.dueOn(todo.due)]),
    ...(todo.kind === 'credit' ? [todo.isShared ? T.told : T.private] : []),
  ];
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 1fr) 176px' }}
      columnGap="6"
      rowGap="3"
      borderTopWidth="1px"
      paddingBlock="4"
      data-testid="todo"
    >
      <Box minWidth="0">
        <Subheading fontSize="21px" color={status === 'open' ? 'ink' : 'inkSoft'}>
          {todo.text}
        </Subheading>
        <Box color="inkSoft" marginBottom="1">
          {says.join(' · ')}
          {isLate && (
            <Box as="strong" color="ink">
              {' · '}
              {T.overdue(todo.due)}
            </Box>
          )}
        </Box>
        <TodoDetails todo={todo} />
        {mayWrite && (
          <Flex gap="3" alignItems="center" marginTop="3">
            <Choice
              label={T.status(todo.text)}
              name={`status ${todo.id}`}
              value={status}
              isTight
              options={TODO_STATUSES.map((s) => [s, STATUS_TEXT[s]])}
              onChange={(status) => edit({ kind: 'todo', id: todo.id, changes: { status } })}
            />
            <Action tone="quiet" onClick={() => edit({ kind: 'remove', what: 'todo', id: todo.id })}>
              {T.remove}
            </Action>
          </Flex>
        )}
      </Box>
      <At todo={todo} />
    </Box>
  );
};
