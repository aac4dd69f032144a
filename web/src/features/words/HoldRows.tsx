import { Box, Flex } from '@chakra-ui/react';
import {
  CONTROL_KINDS,
  LIMBS,
  type ControlKind,
  type ControlPattern,
  type Limb,
  type NamedGrip,
  type Role,
  type Words,
} from '@odograph/core';
import { Plus, X } from 'lucide-react';
import { Action, Picked } from '../../design/index.js';
import { HOLDS_TEXT as T } from './words.text.js';

const Few = ({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, text: string])[];
  readonly onChange: (value: string) => void;
}): React.JSX.Element => (
  <Picked aria-label={label} fontSize="16px" maxWidth="230px" value={value} onChange={(e) => onChange(e.target.value)}>
    {options.map(([v, text]) => (
      <option key={v} value={v}>
        {text}
      </option>
    ))}
  </Picked>
);
const same = (all: readonly string[]): readonly (readonly [string, string])[] => all.map((one) => [one, one]);

/** Places that can be held, by name. */
const places = (words: Words): readonly (readonly [string, string])[] =>
  words
    .of('target')
    .filter((t) => !t.grips)
    .map((t) => [t.key, t.name] as const)
    .sort(([, a], [, b]) => a.localeCompare(b));

/** Several holds, one below the other, with a way to take one away and to add one. */
const Rows = <H,>({
  legend,
  hint,
  holds,
  fresh,
  onChange,
  children,
}: {
  readonly legend: string;
  readonly hint: string;
  readonly holds: readonly H[];
  readonly fresh: () => H;
  readonly onChange: (holds: readonly H[]) => void;
  readonly children: (hold: H, set: (change: Partial<H>) => void, nth: number) => React.ReactNode;
}): React.JSX.Element => (
  <Box as="fieldset" border="none" marginTop="3">
    <Box as="legend" color="inkSoft" fontSize="14px">
      {legend}
    </Box>
    {holds.map((hold, i) => (
      <Flex key={i} gap="3" alignItems="center" paddingBlock="0.5" wrap="wrap">
        {children(hold, (change) => onChange(holds.map((h, k) => (k === i ? { ...h, ...change } : h))), i + 1)}
        <Action
          type="button"
          tone="quiet"
          aria-label={T.takeAway(i + 1)}
          onClick={() => onChange(holds.filter((_, k) => k !== i))}
        >
          <X size={15} aria-hidden />
        </Action>
      </Flex>
    ))}
    <Flex gap="3" alignItems="center" marginTop="1">
      <Action type="button" disabled={holds.length >= MOST} onClick={() => onChange([...holds, fresh()])}>
        <Plus size={15} aria-hidden /> {T.add}
      </Action>
      <Box color="inkSoft" fontSize="14px">
        {hint}
      </Box>
    </Flex>
  </Box>
);
const MOST = 6;

type Hold = { readonly limb: Limb; readonly kind: ControlKind; readonly target: string };
const HoldFields = ({
  hold,
  words,
  nth,
  set,
}: {
  readonly hold: Hold;
  readonly words: Words;
  readonly nth: number;
  readonly set: (change: Partial<Hold>) => void;
}): React.JSX.Element => (
  <>
    <Few label={T.limb(nth)} value={hold.limb} options={same(LIMBS)} onChange={(v) => set({ limb: v as Limb })} />
    <Few
      label={T.kind(nth)}
      value={hold.kind}
      options={same(CONTROL_KINDS)}
      onChange={(v) => set({ kind: v as ControlKind })}
    />
    <Few label={T.target(nth)} value={hold.target} options={places(words)} onChange={(target) => set({ target })} />
  </>
);

/** The holds that make a position: without them, once any are told, it is said that they are missing. */
export const RequiredHolds = ({
  requires,
  roles,
  words,
  onChange,
}: {
  readonly requires: readonly ControlPattern[];
  readonly roles: readonly Role[];
  readonly words: Words;
  readonly onChange: (requires: readonly ControlPattern[]) => void;
}): React.JSX.Element => (
  <Rows
    legend={T.requires}
    hint={T.requiresHint}
    holds={requires}
    fresh={(): ControlPattern => ({
      ...{ holder: roles[0] ?? 'even', limb: 'hand', kind: 'grip', target: 'sleeve', cloth: true, bothSides: false },
    })}
    onChange={onChange}
  >
    {(hold, set, nth) => (
      <>
        <Few
          label={T.holder(nth)}
          value={hold.holder}
          options={same(roles)}
          onChange={(holder) => set({ holder: holder as Role })}
        />
        <HoldFields
          hold={hold}
          words={words}
          nth={nth}
          set={(change) =>
            set(change.target ? { ...change, cloth: words.target(change.target)?.cloth ?? false } : change)
          }
        />
        <Few
          label={T.sides(nth)}
          value={hold.bothSides ? 'both' : 'one'}
          options={[
            ['one', T.oneSide],
            ['both', T.bothSides],
          ]}
          onChange={(sides) => set({ bothSides: sides === 'both' })}
        />
      </>
    )}
  </Rows>
);

/** The holds that a grip with a name is. */
export const NamedGripHolds = ({
  grips,
  words,
  onChange,
}: {
  readonly grips: readonly NamedGrip[];
  readonly words: Words;
  readonly onChange: (grips: readonly NamedGrip[]) => void;
}): React.JSX.Element => (
  <Rows
    legend={T.grips}
    hint={T.gripsHint}
    holds={grips}
    fresh={(): NamedGrip => ({ limb: 'hand', kind: 'grip', target: 'wrist' })}
    onChange={onChange}
  >
    {({ limbSide, ...hold }, set, nth) => (
      <>
        <Few
          label={T.limbSide(nth)}
          value={limbSide ?? ''}
          options={[
            ['', T.anySide],
            ['left', T.ofSide.left],
            ['right', T.ofSide.right],
          ]}
          onChange={(side) =>
            onChange(
              grips.map((g, k) => {
                if (k !== nth - 1) return g;
                const { limbSide: _, ...rest } = g;
                void _;
                return side === 'left' || side === 'right' ? { ...rest, limbSide: side } : rest;
              }),
            )
          }
        />
        <HoldFields hold={hold} words={words} nth={nth} set={set} />
      </>
    )}
  </Rows>
);
