import { Box, Flex } from '@chakra-ui/react';
import type { Principle, PrincipleCase } from '@odograph/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Action, Choice, Sentence } from '../../design/index.js';
import { useClipsOf, useMayWrite, type ClipView } from '../library/index.js';
import { Still, useTimecode } from '../player/index.js';
import { useEdit } from '../replica/index.js';
import { PRINCIPLES_TEXT as T } from './principles.text.js';

const AT_ONCE = 6;
type Hand = 'for' | 'against' | 'itself';

/** An attempt that is held against a principle: its picture, what it says of it, and the word over that. */
const Case = ({
  view,
  of,
  principle,
}: {
  readonly view: ClipView;
  readonly of: PrincipleCase;
  readonly principle: Principle;
}): React.JSX.Element => {
  const edit = useEdit();
  const mayWrite = useMayWrite();
  const { clip, footage, file, attempt } = view;
  const code = useTimecode(file.id, clip.in.frame);
  const hand: Hand = of.by === 'hand' ? (of.side ?? 'itself') : 'itself';
  const say = (side: Hand): void => {
    const without = (ids: readonly string[]): readonly string[] => ids.filter((id) => id !== clip.id);
    const [on, against] = [without(principle.clipsFor), without(principle.clipsAgainst)];
    edit({
      kind: 'principle',
      id: principle.id,
      changes: {
        clipsFor: side === 'for' ? [...on, clip.id] : on,
        clipsAgainst: side === 'against' ? [...against, clip.id] : against,
      },
    });
  };
  const told = of.has === undefined ? T.saysNothing : of.has ? T.has : T.lacks;
  return (
    <Box as="li" width="224px" data-testid="principle-case">
      <Link to={`/break-down/${footage.id}?clip=${clip.id}`} aria-label={T.look(footage.title, code)}>
        <Still fileId={file.id} frame={(attempt.commit ?? attempt.start).frame} width={224} />
      </Link>
      <Box fontSize="14px" color="inkSoft" marginTop="1">
        {[told, of.worked ? T.worked : T.notWorked].join(', ')}
      </Box>
      <Box fontSize="14px" lineHeight="1.35" marginBottom="2">
        <Sentence said={view.said} subject={attempt.subject} />
      </Box>
      {mayWrite && (
        <Choice
          label={T.says(principle.sentence)}
          name={`${principle.id} ${clip.id}`}
          value={hand}
          isTight
          options={(['itself', 'for', 'against'] as const).map((side) => [
            side,
            side === 'itself' ? T.byItself : side === 'for' ? T.for : T.against,
          ])}
          onChange={say}
        />
      )}
    </Box>
  );
};

/** The attempts behind a principle: those that speak for or against it first. */
export const Cases = ({
  principle,
  cases,
}: {
  readonly principle: Principle;
  readonly cases: readonly PrincipleCase[];
}): React.JSX.Element => {
  const [most, setMost] = useState(AT_ONCE);
  const ids = useMemo(
    () =>
      [...cases]
        .sort(
          (a, b) =>
            Number(a.side === null) - Number(b.side === null) || Number(a.by === 'itself') - Number(b.by === 'itself'),
        )
        .map((c) => c.attemptId),
    [cases],
  );
  const views = useClipsOf(ids);
  const firsts = views.filter((v, i) => views.findIndex((w) => w.attempt.id === v.attempt.id) === i);
  return (
    <>
      <Flex as="ul" listStyleType="none" gap="5" wrap="wrap" marginTop="3">
        {firsts.slice(0, most).map((view) => (
          <Case
            key={view.clip.id}
            view={view}
            of={cases.find((c) => c.attemptId === view.attempt.id)!}
            principle={principle}
          />
        ))}
      </Flex>
      {firsts.length > most && (
        <Action tone="quiet" onClick={() => setMost(most + AT_ONCE)}>
          {T.more(firsts.length - most)}
        </Action>
      )}
    </>
  );
};
