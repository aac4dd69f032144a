import {
  BARE_STEP,
  finishOf,
  finishId,
  placeName,
  stateId,
  type PlaceId,
  type RouteStep,
  type Words,
} from '@odograph/core';
import { useCallback, useMemo } from 'react';
import { v7 as newId } from 'uuid';
import type { Found } from '../../design/fields.js';
import { evidenceText } from '../../design/index.js';
import type { MapLine } from '../../workers/map.protocol.js';
import { beginsWords, useClipFinder } from '../finding/index.js';
import { useClipViews, useWords, type ClipView } from '../library/index.js';
import { useMapPicture } from '../map/index.js';
import { ADD_STEP_TEXT as T } from './routes.text.js';
import { stepOfLine } from './shownRoute.js';

/** So many lines of the map are offered before anything is typed. */
const LINES_OFFERED = 5;

/** A clip as a step: the line that its attempt says; where that is not all told, something to look at. */
const stepOfClip = ({ clip, attempt }: ClipView, words: Words, name: string): RouteStep => {
  const end = finishOf(attempt, words);
  const { state, action } = attempt;
  const base = { ...BARE_STEP, id: newId(), clipId: clip.id };
  if (state && action !== null && end) return { ...base, from: stateId(state), action, to: finishId(end.finish) };
  return { ...base, kind: 'look', from: state ? stateId(state) : null, title: name.slice(0, 120) };
};

/** Finds what can come next, best first: lines of the map from this place, then clips from anywhere by their words. The value is a step that is ready to be put in. */
export const useNextStep = (from: PlaceId | undefined): ((typed: string) => readonly Found<() => RouteStep>[]) => {
  const picture = useMapPicture();
  const words = useWords();
  const clips = useClipFinder();
  const views = useClipViews();
  const lines = useMemo(
    () =>
      (picture?.lines ?? [])
        .filter((l: MapLine) => l.from === from && l.side === 'own' && !l.bait)
        .sort((a, b) => b.worked - a.worked || b.attempts - a.attempts || (a.id < b.id ? -1 : 1)),
    [picture, from],
  );
  return useCallback(
    (typed) => {
      const onMap = lines.flatMap((line): Found<() => RouteStep>[] => {
        const name = T.line(words.name('action', line.action), placeName(line.to, words));
        return beginsWords(typed, name)
          ? [{ value: () => stepOfLine(line), name, via: name, more: evidenceText(line) }]
          : [];
      });
      const found = clips(typed).flatMap(({ value, name }): Found<() => RouteStep>[] => {
        const view = views.find((v) => v.clip.id === value);
        return view ? [{ value: () => stepOfClip(view, words, name), name, via: name, more: T.aClip }] : [];
      });
      return [...onMap.slice(0, LINES_OFFERED), ...found];
    },
    [lines, clips, views, words],
  );
};
