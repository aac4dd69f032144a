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
import { useImperativeHandle, useMemo, useRef, useState, type KeyboardEvent, type RefObject } from 'react';
import type { Focusable } from '../desk/index.js';
import { LINE_TEXT as T } from './phrase.text.js';
import { forgetDraft, useLineDraft } from './lineDraft.js';
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

/** How the parts of a phrase begin in a sentence. */
const LEADS: Readonly<Record<Meant['part'], string>> = {
  who: '',
  clothing: '',
  position: 'from',
  grip: 'with',
  entry: '',
  reaction: 'they',
  finish: 'ends in',
  result: '',
  intent: 'as',
  depth: '',
  reason: 'because',
};
/** How one more of the same part begins. */
const MORE: Partial<Record<Meant['part'], string>> = { grip: 'and', reaction: 'then', reason: 'and' };
/** What a part is, where another reading makes it something else. */
const AS: Readonly<Record<Meant['part'], string>> = {
  who: 'whose it is',
  clothing: 'what they wear',
  position: 'where it begins',
  grip: 'a grip',
  entry: 'what is done',
  reaction: 'what they do',
  finish: 'where it ends',
  result: 'how it went',
  intent: 'a bait',
  depth: 'how far it came',
  reason: 'why',
};
const leadOf = (part: PhrasePart, before: PhrasePart | undefined): string => {
  const { meant } = part;
  const isTheirs = meant.part === 'grip' && meant.holder === 'opponent';
  const isMore = before?.meant.part === meant.part && before.attempt === part.attempt && !isTheirs;
  if (isTheirs) return 'they have';
  return isMore ? (MORE[meant.part] ?? '') : LEADS[meant.part];
};

/**
 * A reading with the choices that were made, by where the part begins. What is asked about stays open at 0, and is answered by a choice; what is certain is as it is read at 0.
 */
const withChoices = (reading: PhraseReading, chosen: ReadonlyMap<number, number>): PhraseReading => ({
  ...reading,
  parts: reading.parts.map((part) => {
    if (part.status === 'proposed') return part;
    const all = [part.meant, ...part.others];
    const turns = all.length + (part.status === 'asked' ? 1 : 0);
    const turn = (chosen.get(part.from) ?? 0) % turns;
    const nth = part.status === 'asked' ? turn - 1 : turn;
    if (nth < 0) return part;
    const meant = all[nth]!;
    return { ...part, meant, status: 'certain', others: all.filter((m) => m !== meant) };
  }),
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
  const typed = reading.parts.filter((p) => p.status !== 'proposed');
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
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    const open = typed.filter((p) => p.others.length > 0 || p.status === 'asked' || chosen.has(p.from));
    const caret = event.currentTarget.selectionStart ?? text.length;
    if (event.key === 'Escape') {
      event.stopPropagation();
      forgetDraft(draftOf);
      onLeave();
    } else if (event.key === 'Enter') {
      event.preventDefault();
      forgetDraft(draftOf);
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
  const { at: markedTo, spans: marked } = unknown.reduce<{
    readonly at: number;
    readonly spans: readonly React.JSX.Element[];
  }>(
    ({ at, spans }, { from, to }) => ({
      at: to,
      spans: [
        ...spans,
        <span key={`${from} before`}>{text.slice(at, from)}</span>,
        <Box as="span" key={from} textDecoration="underline wavy var(--od-them) 1.5px" textUnderlineOffset="4px">
          {text.slice(from, to)}
        </Box>,
      ],
    }),
    { at: 0, spans: [] },
  );
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
          {marked}
          {/* as long as the line, so that both scroll alike */}
          <span>{text.slice(markedTo)}</span>
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

/** A part as it is understood: what is asked about is a question with its key; a role that nobody said is set apart. */
const Understood = ({
  part,
  nth,
  lead,
  say,
}: {
  readonly lead: string;
  /** Where a further attempt of a chain begins: how it follows. */ readonly nth: string;
  readonly part: PhrasePart;
  readonly say: (meant: Meant) => string;
}): React.JSX.Element => {
  const isAsked = part.status === 'asked';
  // as what else it may be read: by what it is, where that is the difference
  const sayOther = (meant: Meant): string =>
    meant.part === part.meant.part && say(meant) !== say(part.meant) ? say(meant) : `${AS[meant.part]}: ${say(meant)}`;
  return (
    <Box as="span" data-part={part.meant.part} data-status={part.status} title={part.because}>
      {nth && (
        <Box as="span" color="inHand" fontWeight="600">
          {nth}{' '}
        </Box>
      )}
      {lead && (
        <Box as="span" color="inkSoft">
          {lead}{' '}
        </Box>
      )}
      <Box
        as="span"
        borderBottomWidth="1.5px"
        borderStyle={isAsked ? 'dashed' : part.because ? 'dotted' : 'solid'}
        borderColor={isAsked ? 'caution' : 'us'}
        fontWeight={part.meant.part === 'entry' ? '600' : '400'}
      >
        {say(part.meant)}
      </Box>
      {isAsked && (
        <Box as="span" color="caution">
          {T.answer(part.others.map(sayOther))}
        </Box>
      )}
      {!isAsked && part.others.length > 0 && (
        <Box as="span" color="inkSoft">
          {' '}
          {T.or(part.others.map(sayOther))}
        </Box>
      )}
    </Box>
  );
};
