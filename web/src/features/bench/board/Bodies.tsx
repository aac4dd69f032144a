import { Box, chakra } from '@chakra-ui/react';
import type { Control, PositionWord } from '@odograph/core';
import { useId } from 'react';
import { FIGURE, limbs, pointOf, type LimbOf, type Point, type Zone, zoneOf, zones } from './bodyFigure.js';

const GAP = 44;
const WIDTH = 2 * FIGURE.width + GAP;

const Dot = chakra('button', {
  base: {
    position: 'absolute',
    width: '24px',
    height: '24px',
    marginLeft: '-12px',
    marginTop: '-12px',
    borderRadius: '50%',
    borderWidth: '1.5px',
    borderColor: 'ink',
    background: 'ground',
    opacity: 0.85,
    fontFamily: 'heading',
    fontSize: '13px',
    lineHeight: '20px',
    textAlign: 'center',
    cursor: 'pointer',
    _hover: { background: 'inHandSoft', borderColor: 'inHand', opacity: 1 },
    _focusVisible: { background: 'inHandSoft', borderColor: 'inHand', opacity: 1 },
    // its name, on pointing and on focus
    '&:hover::after, &:focus-visible::after': {
      content: 'attr(aria-label)',
      position: 'absolute',
      top: '24px',
      left: '50%',
      transform: 'translateX(-50%)',
      whiteSpace: 'nowrap',
      background: 'ink',
      color: 'ground',
      paddingInline: '5px',
      fontSize: '13px',
      lineHeight: '19px',
      zIndex: 2,
      pointerEvents: 'none',
    },
  },
});

const SIDE_LETTERS = { left: 'L', right: 'R' } as const;

type Whose = Control['holder'];
const WHOSE = ['subject', 'opponent'] as const;
/** The left figure acts; it is seen from behind, as whoever acts sees itself. */
const offsetOf = (whose: Whose): number => (whose === 'subject' ? 0 : FIGURE.width + GAP);

/** Trunk and limbs of one body, told apart by fill: solid for whoever acts, hatched for the other. */
const Figure = ({ whose, hatch }: { readonly whose: Whose; readonly hatch: string }): React.JSX.Element => {
  const colour = whose === 'subject' ? 'var(--od-us)' : 'var(--od-them)';
  const line = (from: Point, to: Point): string => `M${from.x} ${from.y}L${to.x} ${to.y}`;
  const at = (part: string, side: 'left' | 'right'): Point => pointOf(part, side, false);
  return (
    <g transform={`translate(${offsetOf(whose)} 0)`} stroke={colour} strokeLinecap="round" fill="none" opacity="0.55">
      <circle cx={FIGURE.width / 2} cy={20} r={14} fill={whose === 'subject' ? colour : `url(#${hatch})`} />
      <path
        d="M48 46H102L96 112H54Z"
        strokeWidth="2"
        strokeLinejoin="round"
        fill={whose === 'subject' ? colour : `url(#${hatch})`}
      />
      {(['right', 'left'] as const).map((side) => (
        <g key={side} strokeWidth="9" {...(whose === 'opponent' ? { strokeDasharray: '5 8' } : {})}>
          <path d={line(at('shoulder', side), at('arm', side))} />
          <path d={line(at('arm', side), at('hand', side))} />
          <path d={line(at('hip', side), at('knee', side))} />
          <path d={line(at('knee', side), at('foot', side))} />
        </g>
      ))}
    </g>
  );
};

/** The two bodies with what is held, and buttons on what can be named next: limbs, then what they hold. */
export const Bodies = ({
  controls,
  pickedId,
  limb,
  facing,
  onLimb,
  onZone,
}: {
  readonly controls: readonly Control[];
  readonly pickedId: string | null;
  readonly limb: LimbOf | null;
  readonly facing: PositionWord['facing'];
  readonly onLimb: (limb: LimbOf | null) => void;
  readonly onZone: (owner: 'own' | 'other', zone: Zone) => void;
}): React.JSX.Element => {
  const hatch = useId();
  /** Whoever acts is seen from behind; the other as they are seen by them: from the front, from behind where both look the same way. */
  const isTurned = (whose: Whose): boolean => whose === 'subject' || facing === 'same way';
  const place = (whose: Whose, part: string, side: 'left' | 'right' | null): Point => {
    const { x, y } = pointOf(part, side, isTurned(whose));
    return { x: x + offsetOf(whose), y };
  };
  /** What can be named on one of the bodies: a limb, or, once one is named, what it holds. */
  const named = (whose: Whose) =>
    limb === null
      ? limbs.map((l) => ({
          name: [whose === 'opponent' ? 'their' : '', l.side, l.limb].filter(Boolean).join(' '),
          part: l.limb,
          side: l.side,
          onPress: () => onLimb({ holder: whose, ...l }),
        }))
      : zones.map((zone) => ({
          name: [whose === limb.holder ? 'own' : '', zone.side, zone.name].filter(Boolean).join(' '),
          part: zone.name,
          side: zone.side,
          onPress: () => onZone(whose === limb.holder ? 'own' : 'other', zone),
        }));
  const other = (whose: Whose): Whose => (whose === 'subject' ? 'opponent' : 'subject');
  const ends = (c: Control): readonly [Point, Point] => {
    const from = place(c.holder, c.limb, c.limbSide);
    if (c.targetOwner === 'mat' || c.targetOwner === 'wall') return [from, { x: from.x, y: FIGURE.height }];
    return [from, place(c.targetOwner === 'own' ? c.holder : other(c.holder), zoneOf(c.target), c.targetSide)];
  };
  return (
    <Box position="relative" width={`${WIDTH}px`} height={`${FIGURE.height + 6}px`} marginInline="auto">
      <svg width={WIDTH} height={FIGURE.height + 6} aria-hidden>
        <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" stroke="var(--od-them)" strokeWidth="3" />
        </pattern>
        <Figure whose="subject" hatch={hatch} />
        <Figure whose="opponent" hatch={hatch} />
        {controls.map((c) => {
          const [from, to] = ends(c);
          const bow = Math.min(from.y, to.y) - 18;
          return (
            <path
              key={c.id}
              data-hold={c.id}
              d={`M${from.x} ${from.y}Q${(from.x + to.x) / 2} ${bow} ${to.x} ${to.y}`}
              fill="none"
              stroke={
                c.id === pickedId ? 'var(--od-inHand)' : c.holder === 'subject' ? 'var(--od-us)' : 'var(--od-them)'
              }
              strokeWidth={c.id === pickedId ? 3.5 : 2.2}
              {...(c.holder === 'opponent' ? { strokeDasharray: '6 4' } : {})}
            />
          );
        })}
      </svg>
      {WHOSE.flatMap((whose) =>
        named(whose).map(({ name, part, side, onPress }) => {
          const { x, y } = place(whose, part, side);
          return (
            <Dot key={`${whose} ${name}`} type="button" aria-label={name} style={{ left: x, top: y }} onClick={onPress}>
              {side && SIDE_LETTERS[side]}
            </Dot>
          );
        }),
      )}
    </Box>
  );
};
