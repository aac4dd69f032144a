import { Box } from '@chakra-ui/react';
import { CalendarDays } from 'lucide-react';
import { Suspense, lazy, useId, useState, type FocusEvent, type KeyboardEvent } from 'react';
import { DAY_TEXT as T } from './design.text.js';
import { Bare, Ruled } from './Plain.js';
import { readDay, sayDay } from './readDay.js';

// the calendar comes where somebody asks for it
const DayCalendar = lazy(async () => ({ default: (await import('./DayCalendar.js')).DayCalendar }));

type Props = {
  /** In ISO 8601; empty where none is said. */ readonly value: string;
  readonly onChange: (iso: string) => void;
  /** Where no label stands beside it. */ readonly label?: string;
  readonly name?: string;
  readonly placeholder?: string;
  readonly width?: string;
};

const textOf = (value: string): string => (value ? sayDay(value) : '');
const today = (): string => new Date().toISOString().slice(0, 10);

/** A day, typed as days are said or picked from its month. What is no day stays as it was typed, and is said to be none. */
export const DayField = ({ value, onChange, label, name, placeholder, width = '100%' }: Props): React.JSX.Element => {
  const [typed, setTyped] = useState<{ readonly of: string; readonly text: string }>();
  const [isOpen, setOpen] = useState(false);
  const problemId = useId();
  const text = typed?.of === value ? typed.text : textOf(value);
  const read = readDay(text, today());
  const isWrong = typed?.of === value && text.trim() !== '' && read === undefined;
  /** Says the day that was typed; where nothing was, nothing is said. */
  const take = (): void => {
    const day = text.trim() === '' ? '' : read;
    if (typed?.of !== value || day === undefined) return;
    setTyped(undefined);
    if (day !== value) onChange(day);
  };
  const onLeave = (event: FocusEvent<HTMLElement>): void => {
    if (event.currentTarget.contains(event.relatedTarget)) return;
    take();
    setOpen(false);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key !== 'Escape' || !isOpen) return;
    event.stopPropagation();
    setOpen(false);
  };
  return (
    <Box
      position="relative"
      display="inline-flex"
      alignItems="center"
      width={width}
      onBlur={onLeave}
      onKeyDown={onKeyDown}
    >
      <Ruled
        aria-label={label}
        aria-invalid={isWrong || undefined}
        aria-describedby={isWrong ? problemId : undefined}
        name={name}
        placeholder={placeholder ?? T.example}
        autoComplete="off"
        paddingRight="6"
        value={text}
        onChange={(e) => setTyped({ of: value, text: e.currentTarget.value })}
        onKeyDown={(e) => {
          if (e.key !== 'Enter') return;
          if (text !== textOf(value)) e.preventDefault();
          take();
        }}
      />
      <Bare
        type="button"
        aria-label={label === undefined ? T.pick : T.pickFor(label)}
        aria-expanded={isOpen}
        position="absolute"
        right="0"
        padding="1"
        color="inkSoft"
        onClick={() => setOpen(!isOpen)}
      >
        <CalendarDays size={16} />
      </Bare>
      {isWrong && !isOpen && (
        <Box
          id={problemId}
          role="alert"
          position="absolute"
          top="100%"
          color="caution"
          fontSize="13px"
          whiteSpace="nowrap"
        >
          {T.noDay}
        </Box>
      )}
      {isOpen && (
        <Box
          position="absolute"
          top="100%"
          right="0"
          marginTop="1"
          zIndex="popover"
          padding="3"
          minWidth="250px"
          background="ground"
          borderWidth="1px"
          borderColor="field"
          boxShadow="0 6px 24px rgb(0 0 0 / 18%)"
        >
          <Suspense>
            <DayCalendar
              value={value}
              onPick={(iso) => {
                onChange(iso);
                setTyped(undefined);
                setOpen(false);
              }}
            />
          </Suspense>
        </Box>
      )}
    </Box>
  );
};
