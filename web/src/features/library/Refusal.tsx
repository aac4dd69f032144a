import { Box, Flex } from '@chakra-ui/react';
import { fieldsSent, withoutFields } from '@odograph/core';
import { useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { v7 as newId } from 'uuid';
import { Action, Choice } from '../../design/index.js';
import { refusalSettled, selectRefused, type RefusedEdit } from '../replica/index.js';
import { fieldName, refusalText } from './refusal.text.js';
import { useWords } from './useLibrary.js';
import { valueText } from './valueText.js';
import { REFUSAL_TEXT } from './library.text.js';

type Differing = { readonly field: string; readonly yours: unknown; readonly theirs: unknown };
const differing = ({ why, edit }: RefusedEdit): readonly Differing[] =>
  why.code === 'stale' && 'changes' in edit ? why.facts.fields : [];

/** The fields that two have changed at once, each with both values: what is to stand is chosen field by field. */
const FieldByField = ({ refused }: { readonly refused: RefusedEdit }): React.JSX.Element => {
  const fields = differing(refused);
  const words = useWords();
  const dispatch = useDispatch();
  const [mine, setMine] = useState<ReadonlySet<string>>(new Set());
  const choose = (field: string, isMine: boolean): void =>
    setMine((before) => new Set(isMine ? [...before, field] : [...before].filter((f) => f !== field)));
  const settle = (): void => {
    const theirs = new Set(fields.map((f) => f.field).filter((f) => !mine.has(f)));
    const left = withoutFields(refused.edit, theirs);
    dispatch(refusalSettled({ editId: refused.edit.editId, instead: left && { ...left, editId: newId() } }));
  };
  return (
    <Box flex="1">
      <Box marginBottom="2">
        <strong>{REFUSAL_TEXT.somebodyElseHasChanged}</strong> {REFUSAL_TEXT.whatShouldStand}
      </Box>
      <Flex gap="6" wrap="wrap" alignItems="flex-end">
        {fields.map(({ field, yours, theirs }) => (
          <Choice
            key={field}
            label={fieldName(field)}
            name={`stale-${field}`}
            value={mine.has(field) ? 'mine' : 'theirs'}
            options={[
              ['theirs', REFUSAL_TEXT.theirs(valueText(field, theirs, words))],
              ['mine', REFUSAL_TEXT.mine(valueText(field, yours, words))],
            ]}
            onChange={(whose) => choose(field, whose === 'mine')}
          />
        ))}
        <Action tone="next" onClick={settle}>
          {REFUSAL_TEXT.letThisStand}
        </Action>
      </Flex>
    </Box>
  );
};

/** Another kind of edit that came too late, or that cannot be done: what happened, what was kept, what to do. */
const Plain = ({ refused }: { readonly refused: RefusedEdit }): React.JSX.Element => {
  const dispatch = useDispatch();
  const words = useWords();
  const isStale = refused.why.code === 'stale';
  // what the server failed at may succeed another time, and what was said is not to be typed once more
  const isFailed = refused.why.code === 'internal';
  const said = Object.entries(fieldsSent(refused.edit));
  const again = (): void => {
    dispatch(refusalSettled({ editId: refused.edit.editId, instead: { ...refused.edit, editId: newId() } }));
  };
  return (
    <>
      <Box flex="1">
        <strong>{REFUSAL_TEXT.notSaved}</strong> {refusalText(refused.why)} {isStale && REFUSAL_TEXT.seenIsTheirs}
        {isFailed && said.length > 0 && (
          <Box marginTop="1">
            {said.map(([field, value]) => `${fieldName(field)}: ${valueText(field, value, words)}`).join('; ')}
          </Box>
        )}
      </Box>
      {isStale && <Action onClick={again}>{REFUSAL_TEXT.doItAllThe}</Action>}
      {isFailed && <Action onClick={again}>{REFUSAL_TEXT.tryOnceMore}</Action>}
      <Action onClick={() => dispatch(refusalSettled({ editId: refused.edit.editId, instead: null }))}>
        {isStale ? REFUSAL_TEXT.keepTheirs : REFUSAL_TEXT.understood}
      </Action>
    </>
  );
};

/** The edits that were not taken, one after the other: each waits until it is decided. */
export const Refusal = (): React.JSX.Element | null => {
  const all = useSelector(selectRefused);
  const [refused] = all;
  if (!refused) return null;
  return (
    <Box
      role="alert"
      display="flex"
      gap="3"
      alignItems="center"
      background="cautionSoft"
      borderBottomWidth="1px"
      borderColor="caution"
      paddingInline="4"
      paddingBlock="2"
    >
      {all.length > 1 && (
        <Box flexShrink="0" color="inkSoft" data-testid="refusals">
          {REFUSAL_TEXT.of(all.length)}
        </Box>
      )}
      {differing(refused).length ? (
        <FieldByField key={refused.edit.editId} refused={refused} />
      ) : (
        <Plain key={refused.edit.editId} refused={refused} />
      )}
    </Box>
  );
};
