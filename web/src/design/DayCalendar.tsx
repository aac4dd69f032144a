import { DatePicker, Flex, parseDate } from '@chakra-ui/react';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { DAY_TEXT as T } from './design.text.js';

const DAY = {
  width: '32px',
  height: '30px',
  textAlign: 'center',
  cursor: 'pointer',
  fontVariantNumeric: 'tabular-nums',
  _hover: { background: 'raised' },
  '&[data-outside-range]': { color: 'inkSoft' },
  '&[data-today]': { textDecoration: 'underline', textUnderlineOffset: '3px' },
  '&[data-selected]': { background: 'ink', color: 'ground' },
} as const;

const Weeks = (): React.JSX.Element => (
  <DatePicker.Context>
    {(picker) => (
      <DatePicker.Table>
        <DatePicker.TableHead>
          <DatePicker.TableRow>
            {picker.weekDays.map((day) => (
              <DatePicker.TableHeader
                key={day.long}
                aria-label={day.long}
                color="inkSoft"
                fontWeight="400"
                fontSize="13px"
              >
                {day.short.slice(0, 2)}
              </DatePicker.TableHeader>
            ))}
          </DatePicker.TableRow>
        </DatePicker.TableHead>
        <DatePicker.TableBody>
          {picker.weeks.map((week) => (
            <DatePicker.TableRow key={week[0]!.toString()}>
              {week.map((day) => (
                <DatePicker.TableCell key={day.toString()} value={day}>
                  <DatePicker.TableCellTrigger css={DAY}>{day.day}</DatePicker.TableCellTrigger>
                </DatePicker.TableCell>
              ))}
            </DatePicker.TableRow>
          ))}
        </DatePicker.TableBody>
      </DatePicker.Table>
    )}
  </DatePicker.Context>
);

/** A month of which a day is picked; `value`: the day that is said, in ISO 8601, or nothing. */
export const DayCalendar = ({
  value,
  onPick,
}: {
  readonly value: string;
  readonly onPick: (iso: string) => void;
}): React.JSX.Element => (
  <DatePicker.Root
    inline
    value={value ? [parseDate(value)] : []}
    onValueChange={({ value: [day] }) => day && onPick(day.toString())}
    startOfWeek={1}
    locale="en-GB"
  >
    <DatePicker.View view="day">
      <Flex justifyContent="space-between" alignItems="center" marginBottom="2">
        <DatePicker.PrevTrigger aria-label={T.before} cursor="pointer">
          <ChevronLeft size={18} />
        </DatePicker.PrevTrigger>
        <DatePicker.RangeText fontFamily="heading" fontSize="17px" fontWeight="600" />
        <DatePicker.NextTrigger aria-label={T.after} cursor="pointer">
          <ChevronRight size={18} />
        </DatePicker.NextTrigger>
      </Flex>
      <Weeks />
    </DatePicker.View>
  </DatePicker.Root>
);
