import { Box, Flex } from '@chakra-ui/react';
import {
  FOLLOWED,
  announcedOf,
  datedOf,
  followedBy,
  ptsOf,
  startsFrom,
  triedOf,
  type AnnouncedPart,
  type Todo,
  type TodoKind,
} from '@odograph/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { Action, Choice, Sentence } from '../../design/index.js';
import { WordField } from '../../design/fields.js';
import {
  useClipViews,
  useClipsOf,
  useLibrary,
  useMayWrite,
  usePersonName,
  useWords,
  type ClipView,
} from '../library/index.js';
import { clipSaid, useClipFinder } from '../finding/index.js';
import { useTimeTable } from '../player/index.js';
import { useEdit } from '../replica/index.js';
import { TODO_TEXT as T } from './todo.text.js';
import { isFound, useFound } from './useFound.js';

const NONE: readonly string[] = [];

/** How often it was tried since it's on the list, by whom, and how often it worked. */
const Tried = ({ todo }: { readonly todo: Todo }): React.JSX.Element | null => {
  const { attempts, footage } = useLibrary();
  const name = usePersonName();
  const words = useWords();
  const { tried, worked, by, undated } = useMemo(
    () => triedOf(todo, datedOf({ attempts, footage }), words),
    [todo, attempts, footage, words],
  );
  if (todo.state === null && todo.action === null) return null;
  const each = by.length > 1 ? by.map((b) => T.triedBy(name(b.athleteId), b.tried, b.worked)) : [];
  const only = by.length === 1 ? [name(by[0]!.athleteId)] : [];
  return <Box>{[T.tried(tried, worked), ...only, ...each, ...(undated ? [T.undated(undated)] : [])].join('; ')}</Box>;
};

/** One of the things that were announced: the clip that shows it, or that it's missing. */
const Part = ({ todo, part }: { readonly todo: Todo; readonly part: AnnouncedPart }): React.JSX.Element => {
  const edit = useEdit();
  const mayWrite = useMayWrite();
  const find = useClipFinder();
  const words = useWords();
  const view = useClipViews().find((v) => v.clip.id === part.clipId);
  // where all of it is from one footage, its title is said once
  const wordsOf = (of: ClipView): string =>
    of.footage.id === todo.footageId && of.attempt.action !== null
      ? words.name('action', of.attempt.action)
      : clipSaid(of, words);
  const change = (changes: Partial<AnnouncedPart>): void =>
    edit({
      kind: 'todo',
      id: todo.id,
      changes: { parts: todo.parts.map((p) => (p.id === part.id ? { ...p, ...changes } : p)) },
    });
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '220px minmax(0, auto) 1fr' }}
      columnGap="4"
      alignItems="baseline"
      data-testid="announced-part"
    >
      <Box fontWeight="600">{part.name}</Box>
      <Box minWidth="0">
        <WordField
          label={T.whichClip(part.name)}
          placeholder={T.clipPlaceholder}
          said={part.clipId === null ? null : view ? wordsOf(view) : T.gone}
          find={find}
          onPick={(clipId) => change({ clipId, isCutOff: false })}
          onClear={() => change({ clipId: null })}
        />
      </Box>
      {part.clipId === null && mayWrite && (
        <Box as="label" display="flex" gap="2" alignItems="center" color="inkSoft">
          <input
            type="checkbox"
            checked={part.isCutOff}
            onChange={(e) => change({ isCutOff: e.currentTarget.checked })}
          />
          {T.isCutOff}
        </Box>
      )}
    </Box>
  );
};

const Announced = ({ todo }: { readonly todo: Todo }): React.JSX.Element => {
  const { said, stored, missing, unnamed, state } = announcedOf(todo);
  const names = missing.map((p) => p.name);
  const how = state === 'complete' ? T.complete : state === 'cut off' ? T.cutOff(names) : T.missing(names, unnamed);
  return (
    <>
      <Box>
        {T.announced(said, stored.length)}; {how}
      </Box>
      <Box as="ul" listStyleType="none" marginTop="2">
        {todo.parts.map((part) => (
          <Part key={part.id} todo={todo} part={part} />
        ))}
      </Box>
    </>
  );
};

/** Whether advice was followed; the first attempt of theirs after it is put beside the question. */
const Followed = ({ todo }: { readonly todo: Todo }): React.JSX.Element => {
  const edit = useEdit();
  const library = useLibrary();
  const views = useClipViews();
  const angle = library.angles.find((a) => a.id === todo.at?.angleId);
  const table = useTimeTable(angle?.fileId);
  const found = useMemo(() => {
    if (!todo.at || !table) return undefined;
    const starts = startsFrom(library, { angleId: todo.at.angleId, pts: ptsOf(table, todo.at.frame) });
    const next = starts && followedBy(starts.atS, todo.personIds, starts.starts);
    return next && { attemptId: next.attempt.id, afterS: next.startS - starts.atS };
  }, [todo, table, library]);
  const view = found && views.find((v) => v.attempt.id === found.attemptId);
  return (
    <>
      {todo.at && !view && <Box color="inkSoft">{T.noProposal}</Box>}
      {view && (
        <Box>
          <Box as="span" color="inkSoft">
            {T.proposal(found.afterS.toFixed(1))}{' '}
          </Box>
          <Sentence said={view.said} subject={view.attempt.subject} />
        </Box>
      )}
      <Flex gap="3" alignItems="center" marginTop="2">
        <Box color="inkSoft" fontSize="14px">
          {T.followed}
        </Box>
        <Choice
          label={T.followed}
          name={`followed ${todo.id}`}
          value={todo.followed ?? ''}
          isTight
          options={FOLLOWED.map((f) => [f, T.followedText[f]])}
          onChange={(f) => edit({ kind: 'todo', id: todo.id, changes: { followed: f === '' ? null : f } })}
        />
      </Flex>
    </>
  );
};

/** The clips that answer it, found by their words. */
const Clips = ({ todo }: { readonly todo: Todo }): React.JSX.Element => {
  const words = useWords();
  const edit = useEdit();
  const mayWrite = useMayWrite();
  const find = useClipFinder();
  const views = useClipViews();
  const set = (clipIds: readonly string[]): void => edit({ kind: 'todo', id: todo.id, changes: { clipIds } });
  return (
    <Box marginTop="1">
      {todo.clipIds.map((id) => {
        const view = views.find((v) => v.clip.id === id);
        const said = view ? clipSaid(view, words) : T.gone;
        return (
          <Flex key={id} gap="3" alignItems="baseline">
            {view ? <Link to={`/break-down/${view.footage.id}?clip=${id}`}>{said}</Link> : <Box>{said}</Box>}
            {mayWrite && (
              <Action
                tone="quiet"
                aria-label={T.unlink(said)}
                onClick={() => set(todo.clipIds.filter((c) => c !== id))}
              >
                ×
              </Action>
            )}
          </Flex>
        );
      })}
      {mayWrite && (
        <WordField
          label={T.answeredBy}
          placeholder={T.addClip}
          said={null}
          find={(typed) => find(typed).filter((f) => !todo.clipIds.includes(f.value))}
          onPick={(clipId) => set([...todo.clipIds, clipId])}
          several
        />
      )}
    </Box>
  );
};

/** What has been found of what is looked for: how far it's answered by now, and the clips that do. */
const Found = ({ todo }: { readonly todo: Todo }): React.JSX.Element | null => {
  const found = useFound(todo);
  const clips = useClipsOf(found?.attemptIds ?? NONE);
  const words = useWords();
  if (!found) return null;
  return (
    <Box>
      {isFound(found) ? T.found(clips.length) : T.notFound}
      {clips.map((view) => (
        <Box key={view.clip.id}>
          <Link to={`/break-down/${view.footage.id}?clip=${view.clip.id}`}>{clipSaid(view, words)}</Link>
        </Box>
      ))}
    </Box>
  );
};

const DETAILS: Readonly<Record<TodoKind, readonly ((props: { readonly todo: Todo }) => React.JSX.Element | null)[]>> = {
  try: [Tried, Clips],
  question: [Clips],
  advice: [Followed],
  announced: [Announced],
  credit: [Clips],
  find: [Found, Clips],
};

/** What is worked out of an entry, by its kind. */
export const TodoDetails = ({ todo }: { readonly todo: Todo }): React.JSX.Element => (
  <>
    {DETAILS[todo.kind].map((Detail, i) => (
      <Detail key={i} todo={todo} />
    ))}
  </>
);
