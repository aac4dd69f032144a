import { Flex } from '@chakra-ui/react';
import {
  HOLD_DEPTHS,
  THUMBS,
  handedChoices,
  handedOver,
  kindsOf,
  mayBeFrom,
  mayBeHanded,
  sayControl,
  withHoldDetail,
  type Control,
  type Instant,
  type Words,
} from '@odograph/core';
import { v7 as newId } from 'uuid';
import { BOARD_TEXT as T } from './board.text.js';
import { targetsOf, zoneOf } from './bodyFigure.js';
import { Press } from './Press.js';

const turnOf = <T,>(all: readonly (T | null)[], value: T | null): T | null =>
  all[(all.indexOf(value) + 1) % all.length]!;

/** The hold that is picked, said more closely: what it holds, how, how deep, since when; or it is gone. */
export const HoldDetail = ({
  picked,
  controls,
  words,
  controlsBefore,
  gi,
  frame,
  now,
  codeOf,
  onChange,
}: {
  readonly picked: Control;
  readonly controls: readonly Control[];
  readonly controlsBefore: readonly Control[];
  readonly words: Words;
  readonly gi: boolean;
  /** The frame that is shown, and the instant of it. */ readonly frame: number;
  readonly now: () => Instant;
  readonly codeOf: (frame: number) => string;
  /** `isLeft`: the hold is picked no more. */
  readonly onChange: (controls: readonly Control[], isLeft?: boolean) => void;
}): React.JSX.Element => {
  const alter = (more: Partial<Control>): void =>
    onChange(controls.map((c) => (c.id === picked.id ? { ...c, ...more } : c)));
  const without = controls.filter((c) => c.id !== picked.id);
  const instead =
    picked.targetOwner !== 'mat' && picked.targetOwner !== 'wall'
      ? targetsOf(zoneOf(picked.target), words, gi, picked.limb)
      : [];
  return (
    <Flex wrap="wrap" gap="1" marginTop="1" aria-label={sayControl(picked, words)} role="group">
      {instead
        .filter((key) => key !== picked.target)
        .map((key) => (
          <Press
            key={key}
            type="button"
            onClick={() => {
              const target = words.target(key)!;
              alter({ target: key, cloth: target.cloth, targetSide: target.sided ? picked.targetSide : null });
            }}
          >
            {words.name('target', key)}
          </Press>
        ))}
      {kindsOf(picked.limb, words.target(picked.target)).map((kind) => (
        <Press key={kind} type="button" aria-pressed={kind === picked.kind} onClick={() => alter({ kind })}>
          {kind}
        </Press>
      ))}
      <Press
        type="button"
        aria-pressed={picked.depth !== null}
        onClick={() => alter({ depth: turnOf([null, ...HOLD_DEPTHS], picked.depth) })}
      >
        {picked.depth ?? T.depth}
      </Press>
      <Press
        type="button"
        aria-pressed={picked.thumb !== null}
        onClick={() => alter({ thumb: turnOf([null, ...THUMBS], picked.thumb) })}
      >
        {picked.thumb ? T.thumbIs(picked.thumb) : T.thumb}
      </Press>
      <Press type="button" aria-pressed={picked.won} onClick={() => alter({ won: !picked.won })}>
        {T.won}
      </Press>
      <Press
        type="button"
        aria-pressed={picked.gained !== null}
        onClick={() => alter({ gained: picked.gained?.frame === frame ? null : now() })}
      >
        {T.taken(picked.gained && codeOf(picked.gained.frame))}
      </Press>
      <Press
        type="button"
        aria-pressed={picked.lost !== null}
        onClick={() => alter({ lost: picked.lost?.frame === frame ? null : now() })}
      >
        {T.lost(picked.lost && codeOf(picked.lost.frame))}
      </Press>
      {handedChoices(mayBeFrom(picked, controls, controlsBefore)).map(({ value, texts }) => (
        <Press
          key={texts[0]}
          type="button"
          aria-pressed={value.kind === 'handed' && picked.handedFrom === value.from}
          onClick={() => onChange(controls.map((c) => (c.id === picked.id ? withHoldDetail(c, value) : c)))}
        >
          {texts[0]}
        </Press>
      ))}
      {mayBeHanded(picked) && (
        <Press type="button" onClick={() => onChange(handedOver(controls, picked.id, now(), newId) ?? controls, true)}>
          {T.hand}
        </Press>
      )}
      <Press type="button" onClick={() => onChange(without, true)}>
        {T.remove}
      </Press>
    </Flex>
  );
};
