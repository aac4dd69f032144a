import { Box, Flex } from '@chakra-ui/react';
import { useState, type FormEvent } from 'react';
import { DayField, Action, Choice, Counted, FormActions, Labelled, Subheading } from '../../design/index.js';
import { FOOTAGE_TEXT as T } from './footage.text.js';
import { SheetConsent, SheetCounts, SheetEvent, SheetWho } from './SheetParts.js';
import { sheetProblems, type Sheet, type SheetProblem } from './sheet.js';

type Props = {
  readonly title: string;
  readonly start: Sheet;
  readonly submit: string;
  /** Why it cannot be put on the shelf yet; the form can be filled in all the same. */
  readonly waiting: boolean;
  readonly onSubmit: (sheet: Sheet) => void;
  readonly onCancel: () => void;
  readonly onRemove?: () => void;
  readonly children?: React.ReactNode;
  /** Why it could not be kept. */
  readonly problem?: string | undefined;
};

/** What is known about a piece of footage: who is who, and what the counts need. */
export const SheetForm = ({
  title,
  start,
  submit,
  waiting,
  onSubmit,
  onCancel,
  onRemove,
  children,
  problem: failure,
}: Props): React.JSX.Element => {
  const [sheet, setSheet] = useState(start);
  const [tried, setTried] = useState(false);
  const problems = tried ? sheetProblems(sheet) : [];
  const problem = (field: SheetProblem['field']): string | undefined => problems.find((p) => p.field === field)?.why;
  const set = (change: Partial<Sheet>): void => setSheet((before) => ({ ...before, ...change }));
  const go = (event: FormEvent): void => {
    event.preventDefault();
    setTried(true);
    if (!sheetProblems(sheet).length) onSubmit(sheet);
  };
  return (
    <Box
      asChild
      borderWidth="1px"
      borderColor="field"
      background="raised"
      padding="6"
      maxWidth="860px"
      marginBottom="8"
    >
      <form onSubmit={go} aria-label={title} noValidate>
        <Subheading marginBottom="4">{title}</Subheading>
        {children}
        <Flex gap="8" marginBottom="5">
          <Labelled label={T.name} problem={problem('title')}>
            <Counted name="title" value={sheet.title} limit={120} onChange={(e) => set({ title: e.target.value })} />
          </Labelled>
          <Labelled label={T.date}>
            <DayField name="date" value={sheet.date} onChange={(date) => set({ date })} />
          </Labelled>
        </Flex>
        <Flex gap="5" marginBottom="5" alignItems="flex-end" wrap="wrap">
          <Choice
            label={T.logged}
            name="logged"
            value={sheet.logged}
            options={[
              ['throughout', T.throughout],
              ['picked', T.picked],
            ]}
            onChange={(logged) => set({ logged })}
          />
          <Box fontSize="14px" paddingBottom="1.5">
            {problem('logged') ? (
              <Box as="span" role="alert" color="caution">
                {problem('logged')}
              </Box>
            ) : (
              <Box as="span" color="inkSoft">
                {T.loggedMeans(sheet.logged)}
              </Box>
            )}
          </Box>
        </Flex>
        <SheetWho sheet={sheet} set={set} problem={problem} />
        <SheetEvent sheet={sheet} set={set} />
        <SheetConsent sheet={sheet} set={set} />
        <SheetCounts sheet={sheet} set={set} />
        <Labelled label={T.context}>
          <Counted
            name="context"
            limit={500}
            placeholder={T.contextHint}
            value={sheet.context}
            onChange={(e) => set({ context: e.target.value })}
          />
        </Labelled>
        <Box color="inkSoft" fontSize="14px" marginTop="4" marginBottom="5">
          {T.consent}
        </Box>
        {failure && (
          <Box role="alert" color="caution" marginBottom="3">
            {failure}
          </Box>
        )}
        <FormActions keep={submit} cancel={T.cancel} waiting={waiting} onCancel={onCancel}>
          {onRemove && (
            <Action type="button" onClick={onRemove}>
              {T.toBin}
            </Action>
          )}
        </FormActions>
      </form>
    </Box>
  );
};
