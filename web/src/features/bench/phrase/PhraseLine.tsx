import { Box, Flex, chakra } from '@chakra-ui/react';
import {
  readPhrase,
  sayMeant,
  type Meant,
  type PhraseContext,
  type PhrasePart,
  type PhraseReading,
  type Words,
} from '@odograph/core';
import { useImperativeHandle, useMemo, useRef, useState, type RefObject } from 'react';
import type { Focusable } from '../desk/index.js';
import { asRead, keysOf } from './lineKeys.js';
import { LINE_TEXT as T } from './phrase.text.js';
import { forgetDraft, useLineDraft } from './lineDraft.js';
import { Understood, leadOf } from './Understood.js';
import { withChoices } from './withChoices.js';
import { AlsoSaid, TeachWord } from './TeachWord.js';

const Line = chakra('input', {
  base: {
    position: 'relative',
    width: '100%',
    background: 'transparent',
    border: 'none',
    borderBottom: '1.5px solid',
    borderColor: 'inHand',
    borderRadius: '0',
    padding: '0 0 3px',
    color: 'inherit',
    font: 'inherit',
    _focusVisible: { outline: 'none' },
  },
});

type Props = {
  /** What was typed before it became a line, and what is said already. */ readonly start: string;
  /** Of what it is the line: one that was begun and not kept is there again after a reload, as long as `base` (what is said already) is the same. */
  readonly draftOf: string;
  readonly base: string;
  readonly words: Words;
  readonly context: PhraseContext;
  readonly athletes: Readonly<Record<'a' | 'b', string>>;
  /** What is said already and the line need not say: the entry, for the rungs of its ladder. */ readonly action:
    string | null;
  /** What no line can say, and stays; null where there is nothing. */ readonly stays: string | null;
  /** What follows from the parts though nobody said it, in words. */ readonly proposal: (
    reading: PhraseReading,
    text: string,
  ) => string | null;
  /** `isRight`: what follows though nobody said it is right, too. */ readonly onKeep: (
    reading: PhraseReading,
    text: string,
    isRight: boolean,
  ) => void;
  readonly onLeave: () => void;
  /** Gives the hand to it. */ readonly focus?: RefObject<Focusable | null> | undefined;
};

/** The line once more, unseen but for what is under the words that nobody knows; as long as the line, so that both scroll alike. */
const Underlined = ({
  text,
  unknown,
}: {
  readonly text: string;
  readonly unknown: PhraseReading['notUnderstood'];
}): React.JSX.Element => (
  <>
    {unknown.map(({ from, to }, i) => (
      <span key={from}>
        {text.slice(unknown[i - 1]?.to ?? 0, from)}
        <Box as="span" textDecoration="underline wavy var(--od-them) 1.5px" textUnderlineOffset="4px">
          {text.slice(from, to)}
        </Box>
      </span>
    ))}
    <span>{text.slice(unknown.at(-1)?.to ?? 0)}</span>
  </>
);

/**
 * The whole attempt in one line: what it is understood as stands under it while it is typed: certain, asked about, noted, proposed. Enter keeps it, with Ctrl what is proposed is confirmed, Escape leaves it, arrows answer
 * and choose among close readings, F2 says what an unknown word is.
 */
export const PhraseLine = (props: Props): React.JSX.Element => {
  const { start, draftOf, base, words, context, athletes, stays, proposal, onKeep, onLeave } = props;
  const [text, setText] = useLineDraft(draftOf, base, start);
  const [chosen, setChosen] = useState<ReadonlyMap<number, number>>(new Map());
  const [teaching, setTeaching] = useState<{ readonly typed: string; readonly at: number } | null>(null);
  const [learned, setLearned] = useState<{ readonly typed: string; readonly name: string } | null>(null);
  const under = useRef<HTMLDivElement>(null);
  const line = useRef<HTMLInputElement>(null);
  useImperativeHandle(props.focus, () => ({ focus: () => line.current?.focus() }));
  const reading = useMemo(() => withChoices(readPhrase(text, words, context), chosen), [text, words, context, chosen]);
  const typed = asRead(reading);
  const actionOf = (attempt: number): string | null => {
    const said = reading.parts.find((p) => p.meant.part === 'entry' && p.attempt === attempt)?.meant;
    return said?.part === 'entry' ? said.action : attempt === 0 ? props.action : null;
  };
  const proposed = proposal(reading, text);
  const say =
    (part: PhrasePart) =>
    (meant: Meant): string =>
      sayMeant(meant, words, athletes, actionOf(part.attempt));
  const unknown = reading.notUnderstood.filter((n) => !n.isPlain);
  const noted = [...reading.notes, ...reading.notUnderstood.filter((n) => n.isPlain)].sort((a, b) => a.from - b.from);
  const isAsked = typed.some((p) => p.status === 'asked');
  const onKeyDown = keysOf({
    ...{ text, reading, unknown, chosen, setChosen, setTeaching },
    onEnd: () => forgetDraft(draftOf),
    ...{ onKeep, onLeave },
  });
  return (
    <Flex direction="column" gap="1" data-testid="phrase-line" fontSize="19px" lineHeight="1.4">
      <Box position="relative" overflow="hidden">
        <Box
          ref={under}
          aria-hidden
          position="absolute"
          inset="0"
          overflow="hidden"
          whiteSpace="pre"
          color="transparent"
        >
          <Underlined text={text} unknown={unknown} />
        </Box>
        <Line
          ref={line}
          aria-label={T.label}
          placeholder={T.placeholder}
          value={text}
          autoFocus
          autoComplete="off"
          spellCheck={false}
          onChange={(event) => {
            setText(event.currentTarget.value);
            setChosen(new Map());
          }}
          onScroll={(event) => {
            if (under.current) under.current.scrollLeft = event.currentTarget.scrollLeft;
          }}
          onFocus={(event) => event.currentTarget.setSelectionRange(text.length, text.length)}
          onKeyDown={onKeyDown}
        />
      </Box>
      <Flex
        wrap="wrap"
        columnGap="2"
        rowGap="0.5"
        fontSize="16px"
        minHeight="24px"
        role="status"
        aria-label={T.understood}
      >
        {typed.map((part, i) => (
          <Understood
            key={`${part.from} ${part.meant.part}`}
            part={part}
            nth={reading.attempts > 1 && typed[i - 1]?.attempt !== part.attempt ? T.nth(part.attempt) : ''}
            lead={leadOf(part, typed[i - 1])}
            say={say(part)}
          />
        ))}
        {proposed !== null && (
          <Box as="span" color="inkSoft" fontStyle="italic" data-proposed>
            {T.proposed(proposed)}
          </Box>
        )}
        {noted.length > 0 && (
          <Box as="span" color="inkSoft" data-noted>
            {T.note(noted.map((n) => n.text))}
          </Box>
        )}
        {unknown.length > 0 && (
          <Box as="span" color="them">
            {T.notUnderstood(unknown.map((n) => n.text))} ({T.teach})
          </Box>
        )}
        {stays !== null && (
          <Box as="span" color="inkSoft">
            {stays}
          </Box>
        )}
        {text.trim() === '' && (
          <Box as="span" color="inkSoft">
            {T.example}
          </Box>
        )}
      </Flex>
      {(isAsked || reading.attempts > 1) && (
        <Box fontSize="14px" color="inkSoft">
          {[isAsked && T.unanswered, reading.attempts > 1 && T.chain(reading.attempts)].filter(Boolean).join(' ')}
        </Box>
      )}
      {teaching && (
        <TeachWord
          key={teaching.typed}
          {...teaching}
          reading={reading}
          words={words}
          onDone={(name) => {
            setLearned(name === null ? null : { typed: teaching.typed, name });
            setTeaching(null);
            line.current?.focus();
          }}
        />
      )}
      {learned && (
        <Box fontSize="14px" role="status">
          {T.learned(learned.typed, learned.name)} <AlsoSaid typed={learned.typed} />
        </Box>
      )}
    </Flex>
  );
};
