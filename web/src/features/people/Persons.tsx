import { Box, Flex } from '@chakra-ui/react';
import type { Audience, Person } from '@odograph/core';
import { useState, type FormEvent } from 'react';
import { v7 as newId } from 'uuid';
import { Action, Choice, Counted, FormActions, Labelled, Picked, Ruled, Subheading } from '../../design/index.js';
import { useLibrary } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { AUDIENCE_TEXT, PEOPLE_TEXT as T, PERSONS_TEXT } from './people.text.js';
import { usePeopleQuery } from './people.api.js';

type Fields = Omit<Person, 'id' | 'version'>;
const NOBODY: Fields = {
  name: '',
  athlete: false,
  member: true,
  accountId: null,
  level: null,
  age: null,
  filming: null,
  shownTo: null,
};

const isWhat = (person: Person): string =>
  [
    person.athlete ? PERSONS_TEXT.is.athlete : '',
    person.member ? PERSONS_TEXT.is.member : '',
    person.accountId === null ? '' : PERSONS_TEXT.is.account,
    person.level ?? '',
    person.age ?? '',
  ]
    .filter(Boolean)
    .join(', ');

const consent = ({ filming, shownTo }: Person): string =>
  `${PERSONS_TEXT.filming(filming)}; ${PERSONS_TEXT.shownTo(shownTo)}`;

const Ticked = ({
  label,
  checked,
  onChange,
}: {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
}): React.JSX.Element => (
  <Box as="label" display="flex" gap="2" alignItems="center" cursor="pointer">
    <input type="checkbox" checked={checked} onChange={(event) => onChange(event.target.checked)} />
    {label}
  </Box>
);

const PersonForm = ({
  person,
  onKeep,
  onCancel,
  onRemove,
}: {
  readonly person: Fields;
  readonly onKeep: (fields: Fields) => void;
  readonly onCancel: () => void;
  readonly onRemove?: () => void;
}): React.JSX.Element => {
  const { data } = usePeopleQuery();
  const [fields, setFields] = useState(person);
  const [tried, setTried] = useState(false);
  const set = (change: Partial<Fields>): void => setFields((before) => ({ ...before, ...change }));
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    setTried(true);
    const name = fields.name.trim();
    if (name) onKeep({ ...fields, name, level: fields.level?.trim() || null });
  };
  return (
    <Box borderWidth="1px" borderColor="field" background="raised" padding="5" marginBlock="3" maxWidth="860px">
      <form aria-label={person.name || T.newPerson} onSubmit={submit} noValidate>
        <Flex gap="7" marginBottom="4">
          <Labelled label={T.name} problem={tried && !fields.name.trim() ? T.needsName : undefined}>
            <Counted limit={120} autoFocus value={fields.name} onChange={(e) => set({ name: e.target.value })} />
          </Labelled>
          <Labelled label={`${T.level} (${T.levelHint})`}>
            <Ruled maxLength={40} value={fields.level ?? ''} onChange={(e) => set({ level: e.target.value })} />
          </Labelled>
          <Labelled label={T.account}>
            <Picked
              width="100%"
              value={fields.accountId ?? ''}
              onChange={(e) => set({ accountId: e.target.value || null })}
            >
              <option value="">{T.noAccount}</option>
              {data?.members.map((m) => (
                <option key={m.accountId} value={m.accountId}>
                  {m.name}
                </option>
              ))}
            </Picked>
          </Labelled>
        </Flex>
        <Flex gap="8" marginBottom="4" wrap="wrap" alignItems="flex-start">
          <Box>
            <Box color="inkSoft" fontSize="14px" marginBottom="1.5">
              {T.isWhat}
            </Box>
            <Ticked label={T.athlete} checked={fields.athlete} onChange={(athlete) => set({ athlete })} />
            <Ticked label={T.member} checked={fields.member} onChange={(member) => set({ member })} />
          </Box>
          <Choice
            label={T.age}
            name="age"
            value={fields.age ?? 'unsaid'}
            options={[
              ['unsaid', T.notSaid],
              ['adult', PERSONS_TEXT.ages.adult],
              ['minor', PERSONS_TEXT.ages.minor],
            ]}
            onChange={(age) => set({ age: age === 'unsaid' ? null : age })}
          />
          <Choice
            label={T.filming}
            name="filming"
            value={fields.filming === null ? 'unsaid' : fields.filming ? 'yes' : 'no'}
            options={[
              ['unsaid', T.notSaid],
              ['yes', PERSONS_TEXT.yes],
              ['no', PERSONS_TEXT.no],
            ]}
            onChange={(said) => set({ filming: said === 'unsaid' ? null : said === 'yes' })}
          />
          <Choice
            label={T.shownTo}
            name="shownTo"
            value={fields.shownTo ?? 'unsaid'}
            options={[
              ['unsaid', T.notSaid],
              ...(['coaches', 'academy', 'anyone'] as const).map(
                (a): readonly [Audience | 'unsaid', string] => [a, AUDIENCE_TEXT[a]] as const,
              ),
            ]}
            onChange={(said) => set({ shownTo: said === 'unsaid' ? null : said })}
          />
        </Flex>
        <FormActions keep={T.keep} cancel={T.cancel} onCancel={onCancel}>
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

/** Athletes and members: who they are, and what they agreed to. */
export const Persons = (): React.JSX.Element => {
  const { persons, footage } = useLibrary();
  const edit = useEdit();
  const [open, setOpen] = useState<string | null>(null);
  const piecesOf = (id: string): number => footage.filter((f) => f.athleteA === id || f.athleteB === id).length;
  const close = (): void => setOpen(null);
  const sorted = [...persons].sort((a, b) => a.name.localeCompare(b.name) || (a.id < b.id ? -1 : 1));
  return (
    <Box as="section" aria-label={T.persons} marginTop="10" maxWidth="860px">
      <Flex alignItems="baseline" gap="4">
        <Subheading fontSize="23px" flex="1">
          {T.persons}
        </Subheading>
        <Action onClick={() => setOpen('new')}>{T.newPerson}</Action>
      </Flex>
      <Box color="inkSoft">{T.personsLead}</Box>
      {open === 'new' && (
        <PersonForm
          person={NOBODY}
          onCancel={close}
          onKeep={(fields) => {
            edit({ kind: 'new person', person: { id: newId(), version: 0, ...fields } });
            close();
          }}
        />
      )}
      {sorted.length === 0 && open === null && <Box marginTop="4">{T.noPersons}</Box>}
      <Box as="ul" listStyleType="none" marginTop="3" borderTopWidth="1px">
        {sorted.map((person) => {
          const pieces = piecesOf(person.id);
          if (open === person.id) {
            const { id, version, ...fields } = person;
            void version;
            return (
              <Box as="li" key={id} borderBottomWidth="1px">
                <PersonForm
                  person={fields}
                  onCancel={close}
                  onKeep={(next) => {
                    const changes = Object.fromEntries(
                      Object.entries(next).filter(([field, value]) => value !== fields[field as keyof Fields]),
                    ) as Partial<Fields>;
                    if (Object.keys(changes).length) edit({ kind: 'person', id, changes });
                    close();
                  }}
                  {...(pieces === 0
                    ? {
                        onRemove: () => {
                          edit({ kind: 'remove', what: 'person', id });
                          close();
                        },
                      }
                    : {})}
                />
              </Box>
            );
          }
          return (
            <Box
              as="li"
              key={person.id}
              borderBottomWidth="1px"
              paddingBlock="2"
              display="grid"
              gridTemplateColumns={{ base: 'minmax(0, 1fr) auto', md: '200px 1fr auto auto' }}
              gap="5"
              alignItems="baseline"
            >
              <Box fontWeight="600">{person.name}</Box>
              <Box fontSize="14px">
                {isWhat(person)}
                <Box color="inkSoft">{consent(person)}</Box>
              </Box>
              <Box color="inkSoft" fontSize="14px">
                {PERSONS_TEXT.pieces(pieces)}
              </Box>
              <Action onClick={() => setOpen(person.id)} aria-label={PERSONS_TEXT.changeOf(person.name)}>
                {PERSONS_TEXT.change}
              </Action>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
};
