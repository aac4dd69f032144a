import { Box } from '@chakra-ui/react';
import { leaningLines, placeName, sameWithoutCloth, workedIn, type SheetSource, type Words } from '@odograph/core';
import { useEffect, useMemo, useState } from 'react';
import type { MapLine, MapPicture } from '../../../workers/map.protocol.js';
import { askShape } from '../../../workers/shape.client.js';
import type { Shape } from '../../../workers/shape.protocol.js';
import { useWords } from '../../library/index.js';
import { useMapPicture } from '../../map/index.js';
import { PAGE_TEXT, SHAPE_TEXT as T } from './page.text.js';
import { Rows } from './Rows.js';
import type { SheetRow } from './rows.js';
import { PageFrame, Parts, RowPanel, useSheetOf } from './SheetPage.js';

/** The game of whoever is looked at; what the other side does is told from another side, and is no way of that game. */
const ownOf = (lines: readonly MapLine[]): readonly MapLine[] => lines.filter((l) => l.side === 'own');

/** How a map hangs together; null where it couldn't be worked out, undefined while it isn't there. */
const useShape = (picture: MapPicture | null): Shape | null | undefined => {
  const [state, setState] = useState<{ readonly of: MapPicture; readonly shape: Shape | null }>();
  useEffect(() => {
    if (!picture) return undefined;
    const { answer, cancel } = askShape(
      ownOf(picture.lines).map(({ from, to, count }) => ({ from, to, weight: count })),
    );
    answer.then(
      (shape) => setState({ of: picture, shape }),
      () => setState({ of: picture, shape: null }),
    );
    return cancel;
  }, [picture]);
  return state && state.of === picture ? state.shape : undefined;
};

const MOST_HUBS = 12;
const MOST_LOOPS = 60;

const partsOf = (shape: Shape, lines: readonly MapLine[], words: Words) => {
  const name = (id: string): string => placeName(id, words);
  const into = new Map<string, MapLine[]>();
  const between = new Map<string, MapLine[]>();
  for (const line of lines) {
    into.set(line.to, [...(into.get(line.to) ?? []), line]);
    const way = `${line.from} ${line.to}`;
    between.set(way, [...(between.get(way) ?? []), line]);
  }
  const idsOf = (some: readonly MapLine[]): readonly string[] => [...new Set(some.flatMap((l) => l.attemptIds))];
  const seen = (some: readonly MapLine[]): number => some.reduce((n, l) => n + l.attemptIds.length, 0);
  const loops = shape.loops.loops
    .map((loop) => {
      const ways = loop.map((id, i) => between.get(`${id} ${loop[(i + 1) % loop.length]}`) ?? []);
      return { loop, ways: ways.flat(), least: Math.min(...ways.map(seen)) };
    })
    .sort((a, b) => b.least - a.least || a.loop.length - b.loop.length);
  return {
    hubs: shape.hubs
      .filter((h) => h.share > 0)
      .slice(0, MOST_HUBS)
      .map(({ place, share }): SheetRow => ({
        key: `hub ${place}`,
        name: name(place),
        count: T.hub(share),
        attemptIds: idsOf(lines.filter((l) => l.from === place)),
        sheet: `/map?place=${encodeURIComponent(place)}`,
      })),
    loops: loops.slice(0, MOST_LOOPS).map(({ loop, ways, least }): SheetRow => ({
      key: `loop ${loop.join(' ')}`,
      name: T.loop(loop.map(name)),
      count: T.loopSeen(least),
      attemptIds: idsOf(ways),
    })),
    ends: shape.deadEnds
      .map((id) => ({ id, some: into.get(id) ?? [] }))
      .sort((a, b) => seen(b.some) - seen(a.some) || (a.id < b.id ? -1 : 1))
      .map(({ id, some }): SheetRow => ({
        key: `end ${id}`,
        name: name(id),
        count: T.reached(seen(some)),
        attemptIds: idsOf(some),
        sheet: `/map?place=${encodeURIComponent(id)}`,
      })),
    islands: shape.islands.slice(1).map((island): SheetRow => ({
      key: `island ${island[0]}`,
      name: T.island(island.map(name)),
      count: T.placesIn(island.length),
      attemptIds: idsOf(lines.filter((l) => island.includes(l.from))),
    })),
  };
};

/** Lines that lean on cloth, each with the clips of the same without it. */
const clothRows = ({ cases }: SheetSource, words: Words): readonly SheetRow[] =>
  leaningLines(cases)
    .slice()
    .sort((a, b) => b.withCloth - a.withCloth)
    .map((line): SheetRow => {
      const without = sameWithoutCloth(cases, line.from, line.action);
      return {
        key: `cloth ${line.from} ${line.action} ${line.to}`,
        name: `${PAGE_TEXT.from(words.name('action', line.action), placeName(line.from, words))} → ${placeName(line.to, words)}`,
        count: T.leans(line.withCloth, line.said),
        more: T.without(without.length, workedIn(without)),
        attemptIds: without.map((c) => c.attempt.id),
        line: { from: line.from, action: line.action, to: line.to },
      };
    });

/** How the map hangs together: crossroads, loops, dead ends, islands, and what leans on cloth. */
export const ShapeScreen = (): React.JSX.Element => {
  const { source, rowKey, go } = useSheetOf();
  const words = useWords();
  const picture = useMapPicture();
  const shape = useShape(picture);
  const parts = useMemo(
    () => (shape && picture ? partsOf(shape, ownOf(picture.lines), words) : undefined),
    [shape, picture, words],
  );
  const cloth = useMemo(() => (source ? clothRows(source, words) : []), [source, words]);
  const rows = parts ? [...Object.values(parts).flat(), ...cloth] : [];
  const row = rows.find((r) => r.key === rowKey);
  const close = (): void => go(undefined);
  const hand = {
    picked: rowKey,
    onPick: (row: SheetRow): void => go(undefined, row.key === rowKey ? undefined : row.key),
  };
  return (
    <PageFrame title={T.title} lead={T.lead} panel={row && <RowPanel row={row} onClose={close} />} onClose={close}>
      {shape === null ? (
        <Box role="alert">{T.failed}</Box>
      ) : !parts || !picture || !source ? (
        <Box role="status">{T.working}</Box>
      ) : picture.lines.length === 0 ? (
        <Box>{T.nothing}</Box>
      ) : (
        <Parts>
          <Rows title={T.hubs} lead={T.hubsLead} nothing={T.noHubs} rows={parts.hubs} {...hand} />
          <Rows title={T.loops} lead={T.loopsLead} nothing={T.noLoops} rows={parts.loops} {...hand}>
            {shape?.loops.isCut && <Box color="inkSoft">{T.isCut}</Box>}
          </Rows>
          <Rows title={T.cloth} lead={T.clothLead} nothing={T.noCloth} rows={cloth} {...hand} />
          <Rows title={T.ends} lead={T.endsLead} nothing={T.noEnds} rows={parts.ends} {...hand} />
          <Rows title={T.islands} lead={T.islandsLead} nothing={T.noIslands} rows={parts.islands} {...hand} />
        </Parts>
      )}
    </PageFrame>
  );
};
