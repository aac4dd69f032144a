import { Box, Flex } from '@chakra-ui/react';
import {
  DRILL_FORMS,
  NEW_DRILL,
  RESISTANCES,
  drillSeconds,
  groupsOf,
  pairTurns,
  threeTurns,
  turnSeconds,
  type Drill,
  type Form,
  type Turns,
} from '@odograph/core';
import { useState } from 'react';
import { Action, Labelled, Picked, Ruled, Subheading } from '../../design/index.js';
import { DRILL_TEXT as T } from './routes.text.js';
import { clockText } from './stepTimes.js';

/** A whole number that is kept when the hand leaves it; what is no number in the range is let go. */
const NumberField = ({
  label,
  value,
  from,
  to,
  onKeep,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly from: number;
  readonly to: number;
  readonly onKeep: (value: number | null) => void;
}): React.JSX.Element => {
  const [typed, setTyped] = useState<string | null>(null);
  const leave = (): void => {
    if (typed === null) return;
    const n = Number(typed);
    if (typed.trim() === '') onKeep(null);
    else if (Number.isInteger(n) && n >= from && n <= to) onKeep(n);
    setTyped(null);
  };
  return (
    <Box whiteSpace="nowrap">
      <Labelled label={label}>
        <Ruled
          width="64px"
          inputMode="numeric"
          value={typed ?? value ?? ''}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={leave}
          onKeyDown={(event) => event.key === 'Enter' && leave()}
        />
      </Labelled>
    </Box>
  );
};

/** Who does what when, for one group. */
export const TurnTable = ({ title, turns }: { readonly title: string; readonly turns: Turns }): React.JSX.Element => (
  <Box marginTop="2">
    <Box fontWeight="600">{title}</Box>
    <Box
      as="table"
      fontSize="14.5px"
      fontVariantNumeric="tabular-nums"
      css={{ '& td, & th': { paddingRight: '14px', textAlign: 'left' }, '& th': { fontWeight: 500 } }}
    >
      <thead>
        <tr>
          {T.columns.map((name) => (
            <th key={name} scope="col">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {turns.turns.map((turn) => (
          <tr key={turn.from}>
            <td>{clockText(turn.from)}</td>
            <td>{turn.kind}</td>
            <td>{T.side(turn.side)}</td>
            <td>{T.works(turn.who, turn.on)}</td>
          </tr>
        ))}
      </tbody>
    </Box>
    <Box fontSize="14px" color="inkSoft">
      {T.each(turns.seconds, turns.rest)}
    </Box>
  </Box>
);

/** The drill of a step: how it is done, for how long, and the table of turns for so many people. */
export const DrillFields = ({
  drill,
  clipS,
  form,
  onChange,
}: {
  readonly drill: Drill | null;
  /** How long the step's clip lasts, in seconds. */ readonly clipS: number | undefined;
  /** The highest in which the step is done; a drill is held to it. */ readonly form: Form;
  readonly onChange: (drill: Drill | null) => void;
}): React.JSX.Element | null => {
  const [people, setPeople] = useState<number | null>(12);
  if (form === 'not at all') return null;
  if (!drill)
    return (
      <Action marginTop="3" onClick={() => onChange(NEW_DRILL)}>
        {T.add}
      </Action>
    );
  const set = (change: Partial<Drill>): void => onChange({ ...drill, ...change });
  const groups = groupsOf(people ?? 0);
  const threes = threeTurns(drill, clipS);
  return (
    <Box as="section" aria-label={T.title} marginTop="4" borderTopWidth="1px" paddingTop="2">
      <Flex alignItems="baseline" gap="3">
        <Subheading fontSize="19px">{T.title}</Subheading>
        <Box fontVariantNumeric="tabular-nums">{clockText(drillSeconds(drill, clipS))}</Box>
        <Box flex="1" />
        <Action tone="quiet" onClick={() => onChange(null)}>
          {T.remove}
        </Action>
      </Flex>
      <Flex wrap="wrap" columnGap="5" rowGap="2" alignItems="flex-end">
        {form === 'reach and let go' ? (
          <Box color="caution">{T.held}</Box>
        ) : (
          <>
            <Labelled label={T.form}>
              <Picked value={drill.form} onChange={(e) => set({ form: e.target.value as Drill['form'] })}>
                {DRILL_FORMS.map((form) => (
                  <option key={form} value={form}>
                    {T.forms[form]}
                  </option>
                ))}
              </Picked>
            </Labelled>
            <Labelled label={T.resistance}>
              <Picked
                value={drill.resistance}
                onChange={(e) => set({ resistance: e.target.value as Drill['resistance'] })}
              >
                {RESISTANCES.map((resistance) => (
                  <option key={resistance} value={resistance}>
                    {T.resistances[resistance]}
                  </option>
                ))}
              </Picked>
            </Labelled>
          </>
        )}
        <Labelled label={T.sides}>
          <Picked
            value={drill.isBothSides ? 'both' : 'one'}
            onChange={(e) => set({ isBothSides: e.target.value === 'both' })}
          >
            <option value="both">{T.both}</option>
            <option value="one">{T.one}</option>
          </Picked>
        </Labelled>
        <NumberField label={T.kinds} value={drill.kinds} from={1} to={6} onKeep={(n) => n && set({ kinds: n })} />
        {drill.reps === null || drill.resistance === 'full' ? (
          <NumberField
            label={T.seconds}
            value={drill.seconds}
            from={10}
            to={600}
            onKeep={(n) => n && set({ seconds: n })}
          />
        ) : (
          <Box fontSize="14px" color="inkSoft">
            {T.byReps(turnSeconds(drill, clipS))}
          </Box>
        )}
        <NumberField label={T.reps} value={drill.reps} from={1} to={50} onKeep={(reps) => set({ reps })} />
        <NumberField
          label={T.change}
          value={drill.change}
          from={0}
          to={60}
          onKeep={(n) => n !== null && set({ change: n })}
        />
      </Flex>
      <Flex marginTop="3" gap="4" alignItems="flex-end">
        <NumberField label={T.people} value={people} from={0} to={99} onKeep={setPeople} />
        <Box fontSize="14px">{T.groups(groups.pairs, groups.threes, groups.alone)}</Box>
      </Flex>
      {groups.pairs > 0 && <TurnTable title={T.pairs(groups.pairs)} turns={pairTurns(drill, clipS)} />}
      {groups.threes > 0 && <TurnTable title={T.three(threes.kinds, drill.kinds)} turns={threes} />}
    </Box>
  );
};
