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
import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { LINE_TEXT as T } from './bench.text.js';

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

/** A reading with the choices that were made among close readings, by where the part begins. */
const withChoices = (reading: PhraseReading, chosen: ReadonlyMap<number, number>): PhraseReading => ({
  ...reading,
  parts: reading.parts.map((part) => {
    const all = [part.meant, ...part.others];
    const meant = all[(chosen.get(part.from) ?? 0) % all.length]!;
    return { ...part, meant, others: all.filter((m) => m !== meant) };
  }),
});

type Props = {
  /** What was typed before it became a line. */ readonly start: string;
  readonly words: Words;
  readonly context: PhraseContext;
  readonly athletes: Readonly<Record<'a' | 'b', string>>;
  /** What is said already and the line need not say: the entry, for the rungs of its ladder. */ readonly action:
    string | null;
  /** What follows from the parts though nobody said it, in words. */ readonly proposal: (
    reading: PhraseReading,
    text: string,
  ) => string | null;
  readonly onKeep: (reading: PhraseReading, text: string) => void;
  readonly onLeave: () => void;
};

/** The whole attempt in one line: what it is understood as stands under it while it is typed. Enter keeps it, Escape leaves it. */
export const PhraseLine = (props: Props): React.JSX.Element => {
  const { start, words, context, athletes, proposal, onKeep, onLeave } = props;
  const [text, setText] = useState(start);
  const [chosen, setChosen] = useState<ReadonlyMap<number, number>>(new Map());
  const under = useRef<HTMLDivElement>(null);
  const reading = useMemo(() => withChoices(readPhrase(text, words, context), chosen), [text, words, context, chosen]);
  const said = reading.parts.find((p) => p.meant.part === 'entry')?.meant;
  const action = said?.part === 'entry' ? said.action : props.action;
  const proposed = proposal(reading, text);
  const say = (meant: Meant): string => sayMeant(meant, words, athletes, action);
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    const open = reading.parts.filter((p) => p.others.length);
    if (event.key === 'Escape') {
      event.stopPropagation();
      onLeave();
    } else if (event.key === 'Enter') {
      event.preventDefault();
      if (text.trim()) onKeep(reading, text);
      else onLeave();
    } else if ((event.key === 'ArrowDown' || event.key === 'ArrowUp') && open.length) {
      event.preventDefault();
      // of the parts that may be read otherwise, the one the caret is in or behind
      const caret = event.currentTarget.selectionStart ?? text.length;
      const part = open.findLast((p) => p.from <= caret) ?? open[0]!;
      const many = part.others.length + 1;
      const by = event.key === 'ArrowDown' ? 1 : many - 1;
      setChosen(new Map(chosen).set(part.from, ((chosen.get(part.from) ?? 0) + by) % many));
    }
  };
  const marked = reading.notUnderstood.reduce<{ readonly at: number; readonly spans: readonly React.JSX.Element[] }>(
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
  ).spans;
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
        </Box>
        <Line
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
        {reading.parts.map((part, i) => (
          <Understood
            key={`${part.from} ${part.meant.part}`}
            part={part}
            lead={
              reading.parts[i - 1]?.meant.part === part.meant.part
                ? (MORE[part.meant.part] ?? '')
                : LEADS[part.meant.part]
            }
            say={say}
          />
        ))}
        {proposed !== null && (
          <Box as="span" color="inkSoft">
            {T.proposed(proposed)}
          </Box>
        )}
        {reading.notUnderstood.length > 0 && (
          <Box as="span" color="them">
            {T.notUnderstood(reading.notUnderstood.map((n) => n.text))}
          </Box>
        )}
        {text.trim() === '' && (
          <Box as="span" color="inkSoft">
            {T.example}
          </Box>
        )}
      </Flex>
    </Flex>
  );
};

const Understood = ({
  part,
  lead,
  say,
}: {
  readonly lead: string;
  readonly part: PhrasePart;
  readonly say: (meant: Meant) => string;
}): React.JSX.Element => (
  <Box as="span" data-part={part.meant.part}>
    {lead && (
      <Box as="span" color="inkSoft">
        {lead}{' '}
      </Box>
    )}
    <Box as="span" borderBottomWidth="1.5px" borderColor="us" fontWeight={part.meant.part === 'entry' ? '600' : '400'}>
      {say(part.meant)}
    </Box>
    {part.others.length > 0 && (
      <Box as="span" color="inkSoft">
        {' '}
        {T.or(part.others.map(say))}
      </Box>
    )}
  </Box>
);
