import { Box, Flex } from '@chakra-ui/react';
import {
  BARE_HOLD,
  holdName,
  isHeldAt,
  limbsOn,
  kindsOf,
  sayControl,
  type Attempt,
  type Control,
  type Footage,
  type Instant,
  type Words,
} from '@odograph/core';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { v7 as newId } from 'uuid';
import { BOARD_TEXT as T, BODY_BOARD_TEXT } from './board.text.js';
import { Bodies } from './Bodies.js';
import { HoldDetail } from './HoldDetail.js';
import { StoodHere, type StanceStep } from './StoodHere.js';
import { Press } from './Press.js';
import { targetsOf, type LimbOf, type Zone } from './bodyFigure.js';
import { type SayChange } from '../phrase/index.js';

type Props = {
  readonly attempt: Attempt;
  readonly footage: Pick<Footage, 'gi'>;
  /** What was held in the attempt before: a hold may have been taken over from one of these. */
  readonly controlsBefore: readonly Control[];
  readonly athletes: Readonly<Record<'a' | 'b', string>>;
  readonly words: Words;
  readonly change: SayChange;
  /** The frame that is shown, and the instant of it. */ readonly frame: number;
  readonly now: () => Instant;
  readonly codeOf: (frame: number) => string;
  /** It takes the hand when it opens. */ readonly isAsked: boolean;
  /** It is worked on by pointer: it stays until it is left. */ readonly onTaken: () => void;
  readonly onLeave: () => void;
};

/** Letters pressed soon after each other go to the first button that begins with them, in milliseconds. */
const TYPING_MS = 900;

/** Lets the buttons of the board be reached by the letters of their names. */
const useLetters = (onLeave: () => void) => {
  const typed = useRef({ text: '', at: 0 });
  return (event: KeyboardEvent<HTMLElement>): void => {
    if (event.key === 'Escape') {
      event.stopPropagation();
      onLeave();
      return;
    }
    if (event.key === 'Enter' || event.key === ' ') typed.current = { text: '', at: 0 };
    if (event.key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey || event.key === ' ') return;
    event.stopPropagation();
    event.preventDefault();
    const goesOn = event.timeStamp - typed.current.at < TYPING_MS;
    const text = (goesOn ? typed.current.text : '') + event.key.toLowerCase();
    typed.current = { text, at: event.timeStamp };
    // what is being asked comes first: *hips* of how they stood before the hips that hold
    const asked = event.currentTarget.querySelectorAll<HTMLElement>('[data-asked] button');
    const buttons = [...asked, ...event.currentTarget.querySelectorAll<HTMLElement>('button')];
    const letters = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]/g, '');
    buttons.find((b) => letters(b.getAttribute('aria-label') ?? b.textContent).startsWith(text))?.focus();
  };
};

/**
 * Two schematic bodies as the acting side sees them: a limb is named, then what it holds; the hold is kept at once, and said more closely below. By pointer, touch, or the
 * letters of what stands on the buttons.
 */
export const BodyBoard = (props: Props): React.JSX.Element => {
  const { attempt, footage, athletes, words, change, frame, now, codeOf, isAsked, onTaken, onLeave } = props;
  const [limb, setLimb] = useState<LimbOf | null>(null);
  const [pickedId, setPicked] = useState<string | null>(null);
  const [stance, setStance] = useState<StanceStep>(null);
  const root = useRef<HTMLDivElement>(null);
  const onKeyDown = useLetters(onLeave);
  const step = limb
    ? 'target'
    : (pickedId ?? (stance === null || stance === 'which' ? stance : Object.values(stance).join(' ')));
  useEffect(() => {
    // buttons come and go with each step: the board keeps the hand
    if (isAsked && !root.current?.contains(document.activeElement)) root.current?.focus();
  }, [isAsked, step]);
  const { controls } = attempt;
  const picked = controls.find((c) => c.id === pickedId);
  const keep = (next: readonly Control[]): void => change({ controls: next });
  const hold = (owner: Control['targetOwner'], zone: Zone | null, targetKey: string): void => {
    const target = words.target(targetKey);
    if (!limb || !target) return;
    const by = target.key === 'underarm' && limb.limb === 'hand' ? 'arm' : limb.limb;
    const made: Control = {
      ...BARE_HOLD,
      id: newId(),
      holder: limb.holder,
      limb: by,
      limbSide: limb.side,
      kind: kindsOf(by, target)[0]!,
      target: target.key,
      targetOwner: owner,
      targetSide: target.sided ? (zone?.side ?? null) : null,
      cloth: target.cloth,
    };
    keep([...controls, made]);
    setPicked(made.id);
    setLimb(null);
  };
  const name = (holder: Control['holder']): string =>
    athletes[(holder === 'subject') === (attempt.subject === 'a') ? 'a' : 'b'].split(' ')[0]!;
  const counts = (['subject', 'opponent'] as const).map((holder) => ({
    holder,
    ...limbsOn(controls, holder, frame),
  }));
  return (
    <Box
      ref={root}
      as="section"
      aria-label={T.label}
      data-testid="board"
      tabIndex={-1}
      outline="none"
      onPointerDownCapture={onTaken}
      flexShrink="0"
      maxHeight="84%"
      overflowY="auto"
      padding="2"
      background="raised"
      borderBottomWidth="1px"
      borderColor="field"
      fontFamily="heading"
      fontSize="15px"
      onKeyDown={onKeyDown}
    >
      <Flex justifyContent="space-between" color="inkSoft">
        {counts.map(({ holder, hands, feet }) => (
          <span key={holder} data-testid={`limbs-${holder}`}>
            <Box as="span" color={holder === 'subject' ? 'us' : 'them'} fontWeight="600">
              {name(holder)}
            </Box>{' '}
            {T.on(hands, feet)}
          </span>
        ))}
      </Flex>
      <Bodies
        controls={controls.filter((c) => isHeldAt(c, frame))}
        pickedId={pickedId}
        limb={limb}
        facing={(attempt.state && words.position(attempt.state.position)?.facing) ?? 'facing'}
        onLimb={setLimb}
        onZone={(owner, zone) =>
          hold(owner, zone, targetsOf(zone.name, words, footage.gi, limb?.limb ?? 'hand')[0] ?? 'waist')
        }
      />
      <Box color="inkSoft" minHeight="24px">
        {limb ? (
          <>
            {T.holds([limb.side, limb.limb].filter(Boolean).join(' '), name(limb.holder))}{' '}
            <Press type="button" onClick={() => hold('mat', null, 'mat')}>
              {BODY_BOARD_TEXT.mat}
            </Press>{' '}
            <Press type="button" onClick={() => hold('wall', null, 'wall')}>
              {BODY_BOARD_TEXT.wall}
            </Press>
          </>
        ) : controls.length === 0 ? (
          T.empty
        ) : (
          controls.map((c) => (
            <Press
              key={c.id}
              type="button"
              marginRight="1"
              marginBottom="1"
              aria-pressed={c.id === pickedId}
              aria-label={sayControl(c, words)}
              color={c.holder === 'subject' ? 'us' : 'them'}
              opacity={isHeldAt(c, frame) ? 1 : 0.6}
              onClick={() => setPicked(c.id === pickedId ? null : c.id)}
            >
              {holdName(c, words)}
            </Press>
          ))
        )}
      </Box>
      {picked && !limb && (
        <HoldDetail
          {...{ picked, controls, words, frame, now, codeOf }}
          controlsBefore={props.controlsBefore}
          gi={footage.gi}
          onChange={(next, isLeft) => {
            change({ controls: next });
            if (isLeft) setPicked(null);
          }}
        />
      )}
      {!limb && !picked && (
        <StoodHere
          {...{ attempt, words, name }}
          step={stance}
          onStep={setStance}
          onFacts={(facts) => change({ facts })}
        />
      )}
    </Box>
  );
};
