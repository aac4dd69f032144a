import { Box, Flex } from '@chakra-ui/react';
import { valueKey, type FactValue } from '@odograph/core';
import { Plus, X } from 'lucide-react';
import { Action, Choice, Ruled, YesNo } from '../../design/index.js';
import type { FieldsOf } from './fieldParts.js';
import { FACT_TEXT as T } from './words.text.js';

const MOST = 9;
const SAME = ' = ';
/** All ways of saying a value, as one text; the first is its name. */
const valueText = ({ says, aliases }: FactValue): string => [says, ...aliases].join(SAME);
const withText = (value: FactValue, text: string): FactValue => {
  const [says = '', ...aliases] = text.split('=').map((part) => part.trimStart());
  return { ...value, says, aliases: aliases.map((a) => a.trim()).filter(Boolean) };
};
/** A key that no other value has; what is kept under it stays under it when the words are bettered. */
const freshKey = (values: readonly FactValue[]): string => {
  for (let n = values.length + 1; ; n++) {
    const key = valueKey(`value ${n}`);
    if (!values.some((v) => v.key === key)) return key;
  }
};

/** What a fact of one's own may be, about whom it mostly is, and whether it has sides. */
export const FactFields = ({ definition, onChange }: FieldsOf<'fact'>): React.JSX.Element => {
  const { values } = definition;
  const set = (next: readonly FactValue[]): void => onChange({ ...definition, values: next });
  return (
    <>
      <Flex gap="8" wrap="wrap">
        <Choice
          label={T.whose}
          name="whose"
          value={definition.whose}
          options={(['subject', 'opponent', 'both'] as const).map((w) => [w, T.whoseIs[w]] as const)}
          onChange={(whose) => onChange({ ...definition, whose: whose })}
        />
        <YesNo
          label={T.sided}
          name="sided"
          is={definition.sided}
          words={T.sides}
          onChange={(sided) => onChange({ ...definition, sided })}
        />
      </Flex>
      <Box as="fieldset" border="none" marginTop="3">
        <Box as="legend" color="inkSoft" fontSize="14px">
          {T.values}
        </Box>
        {values.map((value, i) => (
          <Flex key={value.key} gap="3" alignItems="center" paddingBlock="0.5">
            <Ruled
              aria-label={T.value(i + 1)}
              width="420px"
              maxWidth="100%"
              maxLength={400}
              defaultValue={valueText(value)}
              onChange={(e) => set(values.map((v, k) => (k === i ? withText(v, e.target.value) : v)))}
            />
            <Action
              type="button"
              tone="quiet"
              aria-label={T.takeAway(i + 1)}
              onClick={() => set(values.filter((_, k) => k !== i))}
            >
              <X size={15} aria-hidden />
            </Action>
          </Flex>
        ))}
        <Flex gap="3" alignItems="center" marginTop="1">
          <Action
            type="button"
            disabled={values.length >= MOST}
            onClick={() => set([...values, { key: freshKey(values), says: '', aliases: [] }])}
          >
            <Plus size={15} aria-hidden /> {T.add}
          </Action>
          <Box color="inkSoft" fontSize="14px">
            {T.valuesHint}
          </Box>
        </Flex>
      </Box>
    </>
  );
};
