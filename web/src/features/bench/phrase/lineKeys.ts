import type { PhrasePart, PhraseReading } from '@odograph/core';
import type { KeyboardEvent } from 'react';

type Line = {
  readonly text: string;
  readonly reading: PhraseReading;
  readonly unknown: PhraseReading['notUnderstood'];
  /** The choices that were made, by where the part begins. */ readonly chosen: ReadonlyMap<number, number>;
  readonly setChosen: (chosen: ReadonlyMap<number, number>) => void;
  readonly setTeaching: (word: { readonly typed: string; readonly at: number }) => void;
  /** The line is kept or left. */ readonly onEnd: () => void;
  readonly onKeep: (reading: PhraseReading, text: string, isRight: boolean) => void;
  readonly onLeave: () => void;
};

/** The parts that were typed, not those that only follow. */
export const asRead = (reading: PhraseReading): readonly PhrasePart[] =>
  reading.parts.filter((p) => p.status !== 'proposed');

/** What keys do in a line: kept, left, an unknown word said, another reading chosen. */
export const keysOf =
  ({ text, reading, unknown, chosen, setChosen, setTeaching, onEnd, onKeep, onLeave }: Line) =>
  (event: KeyboardEvent<HTMLInputElement>): void => {
    const open = asRead(reading).filter((p) => p.others.length > 0 || p.status === 'asked' || chosen.has(p.from));
    const caret = event.currentTarget.selectionStart ?? text.length;
    if (event.key === 'Escape') {
      event.stopPropagation();
      onEnd();
      onLeave();
    } else if (event.key === 'Enter') {
      event.preventDefault();
      onEnd();
      if (text.trim()) onKeep(reading, text, event.ctrlKey || event.metaKey);
      else onLeave();
    } else if (event.key === 'F2' && unknown.length) {
      event.preventDefault();
      const word = unknown.findLast((n) => n.from <= caret) ?? unknown[0]!;
      setTeaching({ typed: word.text, at: word.from });
    } else if ((event.key === 'ArrowDown' || event.key === 'ArrowUp') && open.length) {
      event.preventDefault();
      // what is asked about first; of the others, the one the caret is in or behind
      const part = open.find((p) => p.status === 'asked') ?? open.findLast((p) => p.from <= caret) ?? open[0]!;
      const many = part.others.length + 2;
      const by = event.key === 'ArrowDown' ? 1 : many - 1;
      setChosen(new Map(chosen).set(part.from, ((chosen.get(part.from) ?? 0) + by) % many));
    }
  };
