import type { ReactNode } from 'react';
import { useEdit } from '../../replica/index.js';
import type { ClipView } from '../../library/index.js';
import { PARTS, leftIn, sameTryOf, wayOf, type Desk, type Room } from '../desk/index.js';
import { LINE_KEYS, PHRASE_KEYS, PICTURE_KEYS, hintsWhen, type Hint, type KeyTable } from '../keys/index.js';
import { Phrase } from './Phrase.js';
import { Said } from './Said.js';
import { useRepeating } from './useRepeating.js';
import { WholeLine } from './WholeLine.js';
import type { SideTelling } from './useTelling.js';

/** What the phrase is given by its neighbours. */
type Beside = {
  readonly telling: SideTelling;
  /** The clip that was just made. */ readonly fresh: string | null;
  readonly onTaken: () => void;
  readonly onSame: (other: ClipView) => void;
  readonly onGrips: (isHere: boolean) => void;
  readonly detail: ReactNode;
};

const hintsOf = ({ hand, isTyping, selected, before }: Desk): readonly Hint[] => {
  if (isTyping) return wayOf(hand)?.by === 'line' ? LINE_KEYS : PHRASE_KEYS;
  const mayRepeat = selected?.attempt.action === null && before !== undefined;
  return PICTURE_KEYS.filter(hintsWhen(mayRepeat ? 'fresh clip' : 'told clip'));
};

const panelOf = (desk: Desk, view: ClipView, beside: Beside): ReactNode => {
  const { bench, before, hand, move, mayWrite, isMirrored, toPicture } = desk;
  if (!mayWrite) return <Said view={view} />;
  const way = wayOf(hand);
  if (way?.by === 'line')
    return (
      <WholeLine
        key={view.clip.id}
        view={view}
        left={leftIn(before, view.attempt.subject)[0]}
        start={way.typed}
        onDone={() => move({ does: 'tell', way: PARTS })}
        onLeave={toPicture}
      />
    );
  return (
    <Phrase
      key={view.clip.id}
      view={view}
      before={before}
      same={sameTryOf(bench, view)}
      onSame={beside.onSame}
      isFresh={view.clip.id === beside.fresh}
      onTaken={beside.onTaken}
      onGrips={beside.onGrips}
      onLine={(typed) => move({ does: 'tell', way: { by: 'line', typed } })}
      onLeave={toPicture}
      now={desk.now}
      shown={() => ({ angleId: bench.angle.id, frame: desk.handle.frame(), clipId: view.clip.id })}
      isMirrored={isMirrored}
      sides={beside.telling.of(view)}
      focus={desk.sentence}
    >
      {beside.detail}
    </Phrase>
  );
};

/** The clip in hand, told part by part or in one line. */
export const usePhraseRoom = (desk: Desk, beside: Beside): Room => {
  const { hand, selected, before, move, mayWrite, sentence } = desk;
  const edit = useEdit();
  const repeating = useRepeating(selected, before);
  if (!selected) return {};
  /** What follows is right: nothing of the attempt in hand is proposed any more. */
  const confirm = (): void => edit({ kind: 'attempt', id: selected.attempt.id, changes: { proposed: [] } });
  const keys: KeyTable = {
    p: () => sentence.current?.focus(),
    '/': () => move({ does: 'tell', way: { by: 'line', typed: '' } }),
    ...repeating.keys,
    ...(selected.attempt.proposed.length ? { '=': confirm } : {}),
  };
  return {
    keys: mayWrite ? keys : {},
    ...(hand.is === 'clip' && { hints: hintsOf(desk), panel: panelOf(desk, selected, beside) }),
  };
};
