import { Box, Flex } from '@chakra-ui/react';
import { SKEWS, type CountingView, type Setting, type Skew } from '@odograph/core';
import { memo, useEffect } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { Action, DayField, Picked } from '../../design/index.js';
import { CollectionOptions, useGathered } from '../finding/index.js';
import { useLibrary } from '../library/index.js';
import type { MapState } from './map.listener.js';
import { gatheredFound, viewChosen } from './map.slice.js';
import { MAP_TEXT as T, VIEW_SENTENCE_TEXT } from './map.text.js';
import { PickedSwitch } from './PickedSwitch.js';

const SETTINGS = ['competition', 'training', 'demonstration'] as const;

/** A view with some of it said otherwise; what is said as nothing lets everything through again. */
const changed = (
  view: CountingView,
  change: { [K in keyof CountingView]?: CountingView[K] | undefined },
): CountingView => {
  const next = { ...view, ...change };
  return Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)) as CountingView;
};

/** One of the rules, levels or speakers that sheets of footage name; not there where they name no two. */
const OfSheet = ({
  label,
  any,
  of,
  value,
  onChange,
}: {
  readonly label: string;
  readonly any: string;
  readonly of: 'ruleset' | 'level' | 'speaker';
  readonly value: string | undefined;
  readonly onChange: (value: string | undefined) => void;
}): React.JSX.Element | null => {
  const { footage } = useLibrary();
  const named = new Set(footage.flatMap((f) => (f[of] ? [f[of]] : [])));
  if (value !== undefined) named.add(value);
  // footage without a speaker is the other half already
  if (named.size < (of === 'speaker' ? 1 : 2) && value === undefined) return null;
  return (
    <Picked
      aria-label={label}
      fontSize="16px"
      maxWidth="150px"
      value={value ?? ''}
      onChange={(e) => onChange(e.target.value || undefined)}
    >
      <option value="">{any}</option>
      {[...named].sort().map((name) => (
        <option key={name}>{name}</option>
      ))}
    </Picked>
  );
};

/** Only what is in a collection; not there where there is none. */
const OfCollection = ({
  value,
  onChange,
}: {
  readonly value: string | undefined;
  readonly onChange: (value: string | undefined) => void;
}): React.JSX.Element | null => {
  const { collections } = useLibrary();
  if (!collections.length && value === undefined) return null;
  const isGone = value !== undefined && !collections.some((c) => c.id === value);
  return (
    <Picked
      aria-label={T.collection}
      fontSize="16px"
      maxWidth="190px"
      value={value ?? ''}
      onChange={(e) => onChange(e.target.value || undefined)}
    >
      <option value="">{T.anyCollection}</option>
      {isGone && <option value={value}>{T.goneCollection}</option>}
      <CollectionOptions collections={collections} />
    </Picked>
  );
};

/** What is counted, as a sentence of choices: whose game, which footage, which days. */
export const ViewChoices = ({
  label,
  view,
  onView,
  children,
}: {
  readonly label: string;
  readonly view: CountingView;
  readonly onView: (view: CountingView) => void;
  readonly children?: React.ReactNode;
}): React.JSX.Element => {
  const { persons } = useLibrary();
  const set = (change: Parameters<typeof changed>[1]): void => onView(changed(view, change));
  const of = view.pointOfView;
  const room = persons.filter((p) => p.member).map((p) => p.id);
  const isRoom = of?.kind === 'athletes' && of.ids.length > 0 && of.ids.join() === room.join();
  const whose = of?.kind !== 'athletes' ? 'whoever' : isRoom ? 'room' : (of.ids[0] ?? 'whoever');
  const setWhose = (said: string): void =>
    set({
      pointOfView: said === 'whoever' ? undefined : { kind: 'athletes', ids: said === 'room' ? room : [said] },
    });
  const athletes = persons.filter((p) => p.athlete).sort((a, b) => a.name.localeCompare(b.name));
  const isNarrowed = Object.keys(view).some((key) => key !== 'includePicked');
  return (
    <Flex
      wrap="wrap"
      alignItems="center"
      columnGap="2"
      rowGap="1"
      fontSize="15px"
      color="inkSoft"
      role="group"
      aria-label={label}
    >
      {label}
      <Picked
        aria-label={T.whose}
        fontSize="16px"
        maxWidth="190px"
        value={whose}
        onChange={(e) => setWhose(e.target.value)}
      >
        <option value="whoever">{T.whoever}</option>
        <option value="room" disabled={room.length === 0}>
          {room.length ? T.room : T.roomEmpty}
        </option>
        {athletes.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
          </option>
        ))}
      </Picked>
      {T.in}
      <Picked
        aria-label={T.setting}
        fontSize="16px"
        value={view.settings?.[0] ?? ''}
        onChange={(e) => set({ settings: e.target.value ? [e.target.value as Setting] : undefined })}
      >
        <option value="">{T.anySetting}</option>
        {SETTINGS.map((s) => (
          <option key={s}>{s}</option>
        ))}
      </Picked>
      <Picked
        aria-label={T.clothing}
        fontSize="16px"
        value={view.gi === undefined ? '' : view.gi ? 'gi' : 'no-gi'}
        onChange={(e) => set({ gi: e.target.value ? e.target.value === 'gi' : undefined })}
      >
        <option value="">{T.anyClothing}</option>
        <option>{VIEW_SENTENCE_TEXT.gi}</option>
        <option>{VIEW_SENTENCE_TEXT.noGi}</option>
      </Picked>
      <Picked
        aria-label={T.skewed}
        fontSize="16px"
        value={view.skewedBy ?? ''}
        onChange={(e) => set({ skewedBy: (e.target.value || undefined) as Skew | 'nothing' | undefined })}
      >
        <option value="">{T.anySkew}</option>
        <option value="nothing">{T.noSkew}</option>
        {SKEWS.map((skew) => (
          <option key={skew}>{skew}</option>
        ))}
      </Picked>
      <Picked
        aria-label={T.begun}
        fontSize="16px"
        value={view.begun ?? ''}
        onChange={(e) => set({ begun: (e.target.value || undefined) as CountingView['begun'] })}
      >
        <option value="">{T.anyBegun}</option>
        <option value="cold">{T.cold}</option>
        <option value="answering">{T.answering}</option>
      </Picked>
      <OfSheet
        label={T.rules}
        any={T.anyRules}
        of="ruleset"
        value={view.ruleset}
        onChange={(ruleset) => set({ ruleset })}
      />
      <OfSheet label={T.level} any={T.anyLevel} of="level" value={view.level} onChange={(level) => set({ level })} />
      <OfSheet
        label={T.speaker}
        any={T.anySpeaker}
        of="speaker"
        value={view.speaker}
        onChange={(speaker) => set({ speaker })}
      />
      <OfCollection value={view.collection} onChange={(collection) => set({ collection })} />
      {T.from_}
      <DayField
        label={T.firstDay}
        placeholder={T.anyDay}
        width="124px"
        value={view.fromDay ?? ''}
        onChange={(day) => set({ fromDay: day || undefined })}
      />
      {T.until}
      <DayField
        label={T.lastDay}
        placeholder={T.anyDay}
        width="124px"
        value={view.toDay ?? ''}
        onChange={(day) => set({ toDay: day || undefined })}
      />
      {isNarrowed && (
        <Action tone="quiet" fontSize="16px" onClick={() => onView({ includePicked: view.includePicked })}>
          {T.everything}
        </Action>
      )}
      {children}
    </Flex>
  );
};

/** What the map counts. Routes are found over the same. */
export const ViewSentence = memo(function ViewSentence(): React.JSX.Element {
  const view = useSelector((state: MapState) => state.map.view);
  const dispatch = useDispatch();
  const gathered = useGathered(view);
  useEffect(() => {
    if (gathered) dispatch(gatheredFound(gathered));
  }, [gathered, dispatch]);
  return (
    <ViewChoices label={T.counted} view={view} onView={(next) => dispatch(viewChosen(next))}>
      <Box color="ink">
        <PickedSwitch />
      </Box>
    </ViewChoices>
  );
});
