import { Box, Flex } from '@chakra-ui/react';
import { useId, useState, type FormEvent } from 'react';
import { Action, Choice, Counted, FormActions, Labelled, Ruled, Subheading } from '../../design/index.js';
import { useLibrary } from '../library/index.js';
import { FOOTAGE_TEXT as T, SETTING_WORDS } from './footage.text.js';
import { notAgreed, sheetProblems, type Sheet, type SheetProblem } from './sheet.js';

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
  const names = useId();
  const { persons } = useLibrary();
  const problems = tried ? sheetProblems(sheet) : [];
  const problem = (field: SheetProblem['field']): string | undefined => problems.find((p) => p.field === field)?.why;
  const missing = notAgreed(sheet, persons);
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
            <Ruled name="date" type="date" value={sheet.date} onChange={(e) => set({ date: e.target.value })} />
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
        <datalist id={names}>
          {persons.map((p) => (
            <option key={p.id} value={p.name} />
          ))}
        </datalist>
        {(
          [
            ['first', 'kitA', T.first, 'us'],
            ['second', 'kitB', T.second, 'them'],
          ] as const
        ).map(([who, kit, label, colour]) => (
          <Flex
            key={who}
            gap="8"
            marginBottom="5"
            borderLeftWidth="4px"
            borderColor={colour}
            borderLeftStyle={colour === 'us' ? 'solid' : 'dashed'}
            paddingLeft="3"
          >
            <Labelled label={label} problem={problem(who)}>
              <Counted
                name={who}
                list={names}
                limit={120}
                value={sheet[who]}
                onChange={(e) => set({ [who]: e.target.value })}
              />
            </Labelled>
            <Labelled label={T.kit}>
              <Counted
                name={kit}
                limit={120}
                placeholder={T.kitHint}
                value={sheet[kit]}
                onChange={(e) => set({ [kit]: e.target.value })}
              />
            </Labelled>
          </Flex>
        ))}
        <Flex gap="8" marginBottom="2" wrap="wrap">
          <Choice
            label={T.setting}
            name="setting"
            value={sheet.setting}
            options={(['competition', 'training', 'demonstration'] as const).map((s) => [s, SETTING_WORDS[s]] as const)}
            onChange={(setting) => set({ setting })}
          />
          <Choice
            label={T.gi}
            name="gi"
            value={sheet.gi ? 'gi' : 'no-gi'}
            options={[
              ['gi', 'gi'],
              ['no-gi', 'no-gi'],
            ]}
            onChange={(gi) => set({ gi: gi === 'gi' })}
          />
        </Flex>
        <Flex gap="8" marginTop="5" marginBottom="5">
          {(
            [
              ['ruleset', T.ruleset, T.rulesetHint],
              ['level', T.level, T.levelHint],
              ['place', T.place, ''],
            ] as const
          ).map(([field, label, hint]) => (
            <Labelled key={field} label={label}>
              <Counted
                name={field}
                limit={120}
                placeholder={hint}
                value={sheet[field]}
                onChange={(e) => set({ [field]: e.target.value })}
              />
            </Labelled>
          ))}
        </Flex>
        <Flex gap="8" marginBottom="5" wrap="wrap">
          <Choice
            label={T.surroundings}
            name="surroundings"
            value={sheet.surroundings}
            options={[
              ['', 'not said'],
              ['open', 'open mat'],
              ['edge', 'an edge'],
              ['wall', 'a wall'],
            ]}
            onChange={(surroundings) => set({ surroundings })}
          />
          <Choice
            label={T.audience}
            name="audience"
            value={sheet.audience}
            options={[
              ['academy', 'the academy'],
              ['coaches', 'coaches only'],
            ]}
            onChange={(audience) => set({ audience })}
          />
        </Flex>
        {missing.length > 0 && (
          <Box borderLeftWidth="3px" borderColor="caution" paddingLeft="3" marginBottom="5" data-testid="consent">
            <Box marginBottom="1">{T.notShown(missing.map(({ name }) => name))}</Box>
            {missing.map(({ who, name }) => (
              <Box as="label" key={who} display="flex" gap="2" alignItems="center" cursor="pointer">
                <input
                  type="checkbox"
                  checked={sheet.agreed.includes(who)}
                  onChange={(e) =>
                    set({ agreed: [...sheet.agreed.filter((w) => w !== who), ...(e.target.checked ? [who] : [])] })
                  }
                />
                {T.hasAgreed(name)}
              </Box>
            ))}
          </Box>
        )}
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
