import {
  answersIn,
  counteredBy,
  linkAttempts,
  runOf,
  placeName,
  timecode,
  type Answer,
  type Link,
  type Words,
} from '@odograph/core';
import { useMemo } from 'react';
import { type ClipView } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { CHAIN_TEXT as T } from './clip.text.js';
import { type Desk } from '../desk/index.js';
import { type KeyTable } from '../keys/index.js';

export type Chain = {
  readonly links: readonly Link[];
  /** What the attempt in hand follows, in words. */ readonly says: string;
  /** What it answers, in words; null where it answers nothing. */ readonly answers: string | null;
  /** What the key does to the link. */ readonly does: string | null;
  readonly turn: () => void;
  /** The run of linked attempts that the one in hand is part of: how many, what it is called, and playing it as one. */ readonly run: {
    readonly count: number;
    readonly name: string;
    readonly play: () => void;
  } | null;
  readonly keys: KeyTable;
};

const answerText = (answer: Answer, words: Words): string =>
  answer.reaction === null
    ? T.answersAction(words.name('action', answer.action))
    : T.answers(
        words.name('action', answer.action),
        placeName(answer.from, words),
        words.action(answer.reaction) ? words.name('action', answer.reaction) : words.name('reaction', answer.reaction),
      );

/** The run that the attempt in hand is part of, played from the first clip's in to the last one's out. */
const useRun = ({ bench, selected, handle: { player } }: Desk, links: readonly Link[]): Chain['run'] => {
  if (!selected) return null;
  const attempts = bench.timed.map((t) => t.attempt);
  const ids = runOf(selected.attempt, attempts, links);
  const clips = bench.clips.filter((v) => ids.includes(v.attempt.id));
  if (ids.length < 2 || clips.length < 2) return null;
  const inFrame = Math.min(...clips.map((v) => v.clip.in.frame));
  const outFrame = Math.max(...clips.map((v) => v.clip.out.frame));
  const play = (): void => {
    player?.loop({ inFrame, outFrame });
    player?.seek(inFrame);
    player?.play();
  };
  return { count: ids.length, name: selected.attempt.runName, play };
};

/** How the attempt in hand hangs together with the ones before it, and cutting or setting that by hand. */
export const useChain = (desk: Desk): Chain => {
  const { bench, words, selected, before, table } = desk;
  const codeOf = (view: ClipView): string => (table ? timecode(table, view.clip.in.frame) : '');
  const edit = useEdit();
  const links = useMemo(() => linkAttempts(bench.timed, words), [bench.timed, words]);
  const answers = useMemo(() => answersIn(bench.timed, words, links), [bench.timed, words, links]);
  const attempt = selected?.attempt;
  const link = links.find((l) => l.to === attempt?.id);
  const from = link && bench.allClips.find((v) => v.attempt.id === link.from);
  const change = (changes: { readonly followsId: string | null } | { readonly isCut: boolean }): void => {
    if (attempt) edit({ kind: 'attempt', id: attempt.id, changes });
  };
  const isSet = attempt !== undefined && attempt.followsId !== null;
  const mayBeSet = before !== undefined && before.attempt.id !== attempt?.id;
  /** One key: what is cut or set by hand goes back to what is found; what is linked is cut; what is not is set to what came before. */
  const turn = (): void => {
    if (!attempt) return;
    if (attempt.isCut) change({ isCut: false });
    else if (isSet) change({ followsId: null });
    else if (link && link.kind !== 'seam') change({ isCut: true });
    else if (mayBeSet) change({ followsId: before.attempt.id });
  };
  const mine = bench.timed.find((t) => t.attempt.id === attempt?.id);
  const countered = mine && counteredBy(mine, bench.timed);
  /** One key: it is told as the counter to what the other side did just before, or no more. */
  const counter = (): void => {
    if (!attempt || !countered) return;
    const id = countered.attempt.id;
    edit({ kind: 'attempt', id: attempt.id, changes: { counterOfId: attempt.counterOfId === id ? null : id } });
  };
  const run = useRun(desk, links);
  const isLinked = link !== undefined && link.kind !== 'seam';
  const does =
    attempt === undefined
      ? null
      : attempt.isCut || isSet
        ? T.asFound
        : isLinked
          ? T.cut
          : mayBeSet
            ? T.set(codeOf(before))
            : null;
  const says = !attempt ? '' : attempt.isCut ? T.isCut : link && from ? T.follows[link.kind](codeOf(from)) : T.nothing;
  const answer = answers.filter((a) => a.attemptId === attempt?.id);
  return {
    links,
    says,
    answers: answer.length ? answer.map((a) => answerText(a, words)).join(', and ') : null,
    does,
    turn,
    run,
    keys: {
      ...(does === null ? {} : { '9': turn }),
      ...(countered ? { '&': counter } : {}),
      ...(run ? { $: run.play } : {}),
    },
  };
};
