import {
  answersFound,
  flipPlace,
  foldPlace,
  isLineStep,
  forksAt,
  onlySaid,
  stateId,
  type PlaceId,
  type Words,
} from '@odograph/core';
import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import type { MapLine } from '../../workers/map.protocol.js';
import { useViewSource } from '../finding/index.js';
import { useLibrary, useWords } from '../library/index.js';
import type { MapState } from './map.listener.js';
import type { SaidLine, Unfolded } from './unfolded.js';

/** More than these at once can't be told apart. */
const MOST_FORKS = 10;
const MOST_SAID = 6;

/** The place or submission that an action aims at; undefined where it aims at none alone. */
const aimOf = (action: string, words: Words): PlaceId | undefined => {
  const aims = words.action(action)?.aims ?? [];
  const [aim] = aims;
  if (!aim || aims.length > 1 || 'family' in aim) return undefined;
  return 'submission' in aim ? (`won:${aim.submission}` as PlaceId) : stateId(aim);
};

/** What lies open at a place: where its lines split by what was met, and the ways out of it that are only said or planned. Nothing where none is picked. */
export const useUnfolded = (place: PlaceId | undefined, lines: readonly MapLine[]): Unfolded | undefined => {
  const view = useSelector((state: MapState) => state.map.view);
  const words = useWords();
  const { attempts, routes, plans } = useLibrary();
  const { source } = useViewSource(view, place !== undefined);
  const found = useMemo(() => source && answersFound(source), [source]);
  return useMemo(() => {
    if (place === undefined || !source || !found) return undefined;
    const seen = new Set(lines.map((l) => `${l.from} ${l.action} ${l.to}`));
    const folded = foldPlace(place, words);
    const told = onlySaid(attempts, words).flatMap((s): SaidLine[] => {
      const to = s.kind === 'option' && s.from === folded ? aimOf(s.action, words) : undefined;
      return s.kind === 'option' && to !== undefined ? [{ action: s.action, to, by: 'said' }] : [];
    });
    const planned = [...routes.flatMap((r) => r.steps.filter(isLineStep)), ...plans.flatMap((p) => p.lines)].flatMap(
      ({ from, action, to }): SaidLine[] =>
        from === place && !seen.has(`${from} ${action} ${to}`) ? [{ action, to: to as PlaceId, by: 'planned' }] : [],
    );
    const ways = new Map([...planned, ...told].map((s) => [`${s.action} ${s.to}`, s]));
    return {
      forks: forksAt(place, source, words, found).slice(0, MOST_FORKS),
      said: [...ways.values()].filter((s) => s.to !== place && s.to !== flipPlace(place)).slice(0, MOST_SAID),
    };
  }, [place, lines, source, found, attempts, routes, plans, words]);
};

/** The places to which what lies open leads. */
export const placesUnfolded = ({ forks, said }: Unfolded): readonly PlaceId[] => [
  ...forks.flatMap((f) => f.answers.slice(0, 1).map((a) => a.to)),
  ...said.map((s) => s.to),
];
