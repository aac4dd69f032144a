import { Box, chakra } from '@chakra-ui/react';

const Option = chakra('label', {
  base: {
    fontFamily: 'heading',
    fontSize: '17px',
    cursor: 'pointer',
    paddingInline: '2.5',
    paddingBlock: '1',
    borderWidth: '1px',
    borderColor: 'field',
    marginLeft: '-1px',
    '&:has(input:checked)': { background: 'ink', color: 'ground', borderColor: 'ink' },
    '&:has(input:focus-visible)': { outline: '2px solid var(--od-inHand)', outlineOffset: '2px', zIndex: 1 },
  },
});

type Props<T extends string> = {
  readonly label: string;
  readonly name: string;
  readonly value: T;
  readonly options: readonly (readonly [value: T, text: string])[];
  readonly onChange: (value: T) => void;
  /** The label is only read aloud. */
  readonly isTight?: boolean;
};

/** One of a few words, all in view. */
export const Choice = <T extends string>({
  label,
  name,
  value,
  options,
  onChange,
  isTight = false,
}: Props<T>): React.JSX.Element => (
  <Box as="fieldset" border="none">
    <Box
      as="legend"
      color="inkSoft"
      fontSize="14px"
      marginBottom={isTight ? '0' : '1.5'}
      className={isTight ? 'sr-only' : ''}
    >
      {label}
    </Box>
    <Box display="flex" flexWrap="wrap" rowGap="1px" paddingLeft="1px">
      {options.map(([option, text]) => (
        <Option key={option}>
          <input
            className="sr-only"
            type="radio"
            name={name}
            value={option}
            checked={option === value}
            onChange={() => onChange(option)}
          />
          {text}
        </Option>
      ))}
    </Box>
  </Box>
);

/** One of two words, for what is so or is not. */
export const YesNo = ({
  label,
  name,
  is,
  words,
  onChange,
}: {
  readonly label: string;
  readonly name: string;
  readonly is: boolean;
  readonly words: Readonly<Record<'yes' | 'no', string>>;
  readonly onChange: (is: boolean) => void;
}): React.JSX.Element => (
  <Choice
    label={label}
    name={name}
    value={is ? 'yes' : 'no'}
    options={[
      ['yes', words.yes],
      ['no', words.no],
    ]}
    onChange={(said) => onChange(said === 'yes')}
  />
);
