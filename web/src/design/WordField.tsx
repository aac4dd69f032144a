import { Box, chakra, type BoxProps } from '@chakra-ui/react';
import { matchWords, type Sayable } from '@odograph/core';
import { useCombobox, type UseComboboxState, type UseComboboxStateChangeOptions } from 'downshift';
import { useEffect, useId, useMemo, useState, type KeyboardEvent } from 'react';
import { WORD_FIELD_TEXT } from './design.text.js';

const SHOWN = 8;
/** A field nearer than this to the right edge of the window opens its menu to the left, in pixels. */
const MENU_ROOM = 340;

const Field = chakra('input', {
  base: {
    fieldSizing: 'content',
    maxWidth: '22em',
    background: 'transparent',
    border: 'none',
    borderBottom: '1.5px dotted',
    borderColor: 'field',
    borderRadius: '0',
    paddingInline: '1px',
    color: 'inherit',
    font: 'inherit',
    lineHeight: '1.3',
    _placeholder: { color: 'inkSoft', opacity: 1 },
    _focusVisible: { outline: 'none', borderColor: 'inHand', borderStyle: 'solid', background: 'inHandSoft' },
    '&[aria-invalid=true]': {
      borderColor: 'caution',
      borderStyle: 'wavy',
      textDecoration: 'underline wavy var(--od-caution)',
    },
  },
});

/** A choice by its name; `via` is the alias that fitted, where that is another; `more` says what a short name means. */
export type Found<T> = { readonly value: T; readonly name: string; readonly via: string; readonly more?: string };

/** Finds among a fixed list of choices: by names, aliases, beginnings, slips of the key. */
export const among = <T,>(choices: readonly Sayable<T>[]): ((typed: string) => readonly Found<T>[]) => {
  const names = new Map(choices.map((c) => [c.value, c.texts[0] ?? '']));
  return (typed) =>
    matchWords(typed, choices)
      .slice(0, SHOWN)
      .map((m) => ({ value: m.value, name: names.get(m.value)!, via: m.text }));
};

const begins = (name: string, typed: string): boolean => name.toLowerCase().startsWith(typed.trim().toLowerCase());

export type WordFieldProps<T> = {
  readonly label: string;
  readonly placeholder: string;
  /** What is chosen now, in words; null = nothing. */
  readonly said: string | null;
  /** What a typed text may mean, best first; an empty text asks for what is likely here. */
  readonly find: (typed: string) => readonly Found<T>[];
  readonly onPick: (value: T) => void;
  /** Backspace in an empty field. */
  readonly onClear?: () => void;
  /** Enter when there is nothing to choose, or after choosing. */
  readonly onNext?: () => void;
  /** Several can be said: the field empties after each and stays. */
  readonly several?: boolean;
  /** What follows from the rest: shown with a question mark while nothing is said, and taken by Enter. */
  readonly proposed?: { readonly value: T; readonly name: string } | null;
  /** What is said here stands only because it follows; Enter says that it is so. */
  readonly onConfirm?: (() => void) | undefined;
  /** A text that ends in a question mark: nobody has a word for it yet, or, with nothing before the mark, what is said is unsure. */
  readonly onDoubt?: ((text: string) => void) | undefined;
  /** A text with a comma that begins no choice: more than this part is being said. */
  readonly onLine?: ((typed: string) => void) | undefined;
  readonly opens?: 'up' | 'down';
  readonly name?: string;
  /** Just put there: it takes the hand. */
  readonly isFresh?: boolean;
  /** A number beside a choice, for instance how many clips it leaves. */
  readonly countOf?: (value: T) => number;
};

type Place = BoxProps & { readonly position: 'absolute' };

/** What the list looks like; closed, it takes no room beside a narrow window. */
const MENU = {
  minWidth: '250px',
  background: 'raised',
  color: 'ink',
  borderColor: 'field',
  listStyleType: 'none',
  fontSize: '16px',
  fontFamily: 'body',
} as const;

const Unknown = ({ typed, at }: { readonly typed: string; readonly at: Place }): React.JSX.Element => (
  <Box
    role="alert"
    {...at}
    paddingInline="3"
    paddingBlock="1.5"
    background="raised"
    borderWidth="1px"
    borderColor="caution"
    color="caution"
    fontSize="15px"
    fontWeight="400"
    lineHeight="1.3"
    whiteSpace="nowrap"
  >
    {WORD_FIELD_TEXT.nothing(typed)}
  </Box>
);

const Item = ({
  isNext,
  name,
  more,
  ...props
}: BoxProps & {
  readonly isNext: boolean;
  readonly name: string;
  readonly more: React.ReactNode;
}): React.JSX.Element => (
  <Box
    as="li"
    {...props}
    display="flex"
    justifyContent="space-between"
    gap="6"
    whiteSpace="nowrap"
    paddingInline="3"
    paddingBlock="1"
    cursor="pointer"
    background={isNext ? 'inHandSoft' : undefined}
  >
    <span>{name}</span>
    <Box as="span" color="inkSoft" fontSize="14px">
      {more}
    </Box>
  </Box>
);

/** How the list behaves beside what downshift does by itself. */
const steadily = <T,>(
  state: UseComboboxState<T>,
  { type, changes }: UseComboboxStateChangeOptions<T>,
): Partial<UseComboboxState<T>> => {
  const { InputClick, InputChange, MenuMouseLeave } = useCombobox.stateChangeTypes;
  switch (type) {
    // a click into the field opens its choices; it never shuts them
    case InputClick:
      return { ...changes, isOpen: true };
    // what stands first is what Enter takes, from the first letter on …
    case InputChange:
      return { ...changes, highlightedIndex: changes.inputValue?.trim() ? 0 : -1 };
    // … also where a resting pointer was passed by the list
    case MenuMouseLeave:
      return { ...changes, highlightedIndex: state.highlightedIndex };
    default:
      return changes;
  }
};

/**
 * One part of a sentence that completes itself: understands names, aliases, beginnings and slips of the key. Enter or Tab takes what stands first.
 * Text that fits nothing stays, marked, and is not taken.
 */
export const WordField = <T,>(props: WordFieldProps<T>): React.JSX.Element => {
  const {
    label,
    placeholder,
    said,
    find,
    onPick,
    onClear,
    onNext,
    several = false,
    onLine,
    onDoubt,
    onConfirm,
    proposed = null,
    opens = 'down',
    name,
    isFresh = false,
    countOf,
  } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const [side, setSide] = useState<'left' | 'right'>('left');
  const [hasHand, setHand] = useState(false);
  const id = useId();
  const isDoubt = onDoubt !== undefined && typed?.trimEnd().endsWith('?') === true;
  // choices are looked for by the field that has the hand, and by no other
  const items = useMemo(
    () => ((hasHand || typed !== null) && !isDoubt ? find(typed ?? '') : []),
    [hasHand, isDoubt, typed, find],
  );
  const text = typed ?? (several ? '' : (said ?? ''));
  const isUnknown = typed !== null && typed.trim() !== '' && !isDoubt && items.length === 0;
  useEffect(() => {
    // said anew by somebody else while the hand is in it: what is typed takes the place of that, too
    const input = document.getElementById(`${id}-input`);
    if (input instanceof HTMLInputElement && input === document.activeElement) input.select();
  }, [id, said]);
  const shownProposal = said === null && !several ? proposed : null;
  const at: Place = {
    position: 'absolute',
    [side]: '-6px',
    zIndex: 'dropdown',
    ...(opens === 'up' ? { bottom: 'calc(100% + 6px)' } : { top: 'calc(100% + 6px)' }),
  };
  const hint = shownProposal ? `${shownProposal.name}?` : placeholder;

  const box = useCombobox<Found<T>>({
    id,
    items: items as Found<T>[],
    itemToString: (item) => item?.name ?? '',
    inputValue: text,
    selectedItem: null,
    defaultHighlightedIndex: typed ? 0 : -1,
    stateReducer: steadily,
    onStateChange: ({ type, selectedItem }) => {
      const { InputKeyDownEnter, ItemClick, InputBlur } = useCombobox.stateChangeTypes;
      if (!selectedItem || (type !== InputKeyDownEnter && type !== ItemClick && type !== InputBlur)) return;
      setTyped(null);
      onPick(selectedItem.value);
      if (!several && type !== InputBlur) onNext?.();
    },
  });

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === 'Escape') {
      if (typed !== null) event.stopPropagation();
      setTyped(null);
    }
    if (event.key === 'Backspace' && text === '' && onClear) {
      event.preventDefault();
      setTyped(null);
      onClear();
    }
    const isTaking = box.isOpen && items[box.highlightedIndex] !== undefined;
    if (isDoubt && (event.key === 'Enter' || event.key === 'Tab')) {
      if (event.key === 'Enter') event.preventDefault();
      setTyped(null);
      onDoubt(typed.trim().replace(/[?\s]+$/, ''));
      if (event.key === 'Enter') onNext?.();
      return;
    }
    if (event.key === 'Enter' && !isTaking) {
      event.preventDefault();
      if (typed === null && shownProposal) onPick(shownProposal.value);
      else if (typed === null) onConfirm?.();
      if (typed === '' && onClear && !several) onClear();
      if (isUnknown) return;
      const [first] = items;
      setTyped(null);
      // nothing that was typed goes without a trace
      if (typed?.trim() && first) onPick(first.value);
      if (!several || !typed?.trim()) onNext?.();
    }
  };

  return (
    <Box as="span" position="relative" display="inline-block" maxWidth="100%">
      <Field
        {...box.getInputProps({
          onKeyDown,
          // at once, not after downshift's own update: fast typing would lose letters
          onChange: (event) => {
            const { value } = event.currentTarget;
            const isMore = onLine && value.includes(',') && !find(value).some((item) => begins(item.name, value));
            setTyped(isMore ? null : value);
            if (isMore) onLine(value);
          },
          // pressing takes the whole word in hand, so that typing says another one; a second press sets the caret in it
          onMouseDown: (event) => {
            if (document.activeElement === event.currentTarget) return;
            event.preventDefault();
            event.currentTarget.focus();
          },
          onBlur: () => setHand(false),
          onFocus: (event) => {
            setHand(true);
            event.currentTarget.select();
            const { left } = event.currentTarget.getBoundingClientRect();
            setSide(left > window.innerWidth - MENU_ROOM ? 'right' : 'left');
            box.openMenu();
          },
          'aria-label': label,
          'aria-invalid': isUnknown,
          name,
          autoFocus: isFresh,
          placeholder: hint,
          fontStyle: onConfirm && typed === null ? 'italic' : undefined,
          size: Math.max(text.length, hint.length, 4),
          autoComplete: 'off',
          spellCheck: false,
        })}
      />
      {isUnknown && <Unknown typed={typed} at={at} />}
      <Box
        as="ul"
        {...box.getMenuProps({ 'aria-label': label })}
        {...at}
        {...MENU}
        display={box.isOpen ? 'block' : 'none'}
        borderWidth={box.isOpen && items.length > 0 ? '1px' : '0'}
      >
        {box.isOpen &&
          items.map((item, index) => (
            <Item
              key={`${item.name} ${index}`}
              {...box.getItemProps({ item, index })}
              isNext={box.highlightedIndex === index}
              name={item.name}
              more={countOf ? countOf(item.value) : (item.more ?? (item.via !== item.name && typed ? item.via : ''))}
            />
          ))}
      </Box>
    </Box>
  );
};
