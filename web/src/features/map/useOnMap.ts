import type { PlaceId } from '@odograph/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useStable } from '../../design/index.js';
import type { MapLine } from '../../workers/map.protocol.js';

/** What is picked on the map, as the address says it, and how that is changed. */
export const useOnMap = () => {
  const [search, setSearch] = useSearchParams();
  const [isPickingTarget, setPickingTarget] = useState(false);
  const place = (search.get('place') ?? undefined) as PlaceId | undefined;
  const target = (search.get('to') ?? undefined) as PlaceId | undefined;
  const lineId = search.get('line') ?? undefined;
  const isTable = search.get('as') === 'table';
  const go = (to: {
    place?: PlaceId | undefined;
    to?: PlaceId | undefined;
    line?: string | undefined;
    as?: 'table' | undefined;
  }): void => {
    setPickingTarget(false);
    const all = 'as' in to ? to : { ...to, ...(isTable ? { as: 'table' } : {}) };
    setSearch(Object.fromEntries(Object.entries(all).filter((e): e is [string, string] => e[1] !== undefined)));
  };
  // the map is drawn anew only where something on it has changed
  const pick = useStable((id: PlaceId, isTarget: boolean): void => {
    if ((isTarget || isPickingTarget) && place !== undefined && id !== place) go({ place, to: id });
    else go(id === place ? {} : { place: id });
  });
  const takeLine = useStable((line: MapLine): void =>
    go({ place: place === line.to || place === line.from ? place : line.from, to: target, line: line.id }),
  );
  const whole = useStable((): void => go({}));
  return { place, target, lineId, isTable, isPickingTarget, setPickingTarget, go, pick, takeLine, whole };
};
