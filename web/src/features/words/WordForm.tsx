import { Box, Flex } from '@chakra-ui/react';
import {
  LANGUAGES,
  SHIPPED_WORDS,
  asCompared,
  type Language,
  type OwnAlias,
  type Scope,
  type Words,
} from '@odograph/core';
import { Plus, X } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { v7 as newId } from 'uuid';
import { Action, Counted, FormActions, Labelled, Picked, Ruled } from '../../design/index.js';
import { useLibrary } from '../library/index.js';
import { useMeQuery } from '../server/index.js';
import { DefinitionFields } from './DefinitionFields.js';
import { EVERYBODY, type Draft } from './draft.js';
import { LANGUAGE_NAMES, WORDS_TEXT as T } from './words.text.js';

/** Other words that are called the same. */
const alsoMeant = (text: string, draft: Draft, words: Words): readonly string[] =>
  asCompared(text) === ''
    ? []
    : words.all
        .filter((w) => w.kind !== draft.kind || w.key !== draft.key)
        .filter((w) => [w.name, ...w.aliases].some((n) => asCompared(n) === asCompared(text)))
        .map((w) => `${w.kind} ${w.name}`);

const ScopePicked = ({
  label,
  scope,
  onChange,
}: {
  readonly label: string;
  readonly scope: Scope;
  readonly onChange: (scope: Scope) => void;
}): React.JSX.Element => {
  const { data: me } = useMeQuery();
  const { footage } = useLibrary();
  const value =
    scope.kind === 'academy'
      ? 'academy'
      : scope.kind === 'coach'
        ? `coach ${scope.accountId}`
        : `footage ${scope.footageId}`;
  const read = (said: string): Scope => {
    const [kind, id = ''] = said.split(' ');
    if (kind === 'coach') return { kind, accountId: id };
    return kind === 'footage' ? { kind, footageId: id } : EVERYBODY;
  };
  const isOther = scope.kind === 'coach' && scope.accountId !== me?.account.id;
  return (
    <Picked
      aria-label={label}
      fontSize="16px"
      maxWidth="220px"
      value={value}
      onChange={(e) => onChange(read(e.target.value))}
    >
      <option value="academy">{T.everybody}</option>
      {me && <option value={`coach ${me.account.id}`}>{T.onlyMe}</option>}
      {isOther && <option value={value}>another coach</option>}
      {footage.map((f) => (
        <option key={f.id} value={`footage ${f.id}`}>
          {f.title}
        </option>
      ))}
    </Picked>
  );
};

/** What the academy says of one word; for a word of its own also what it is. */
export const WordForm = ({
  start,
  words,
  onKeep,
  onCancel,
  onShipped,
  onRemove,
}: {
  readonly start: Draft;
  readonly words: Words;
  readonly onKeep: (draft: Draft) => void;
  readonly onCancel: () => void;
  readonly onShipped?: (() => void) | undefined;
  readonly onRemove?: (() => void) | undefined;
}): React.JSX.Element => {
  const [draft, setDraft] = useState(start);
  const [alias, setAlias] = useState('');
  const [tried, setTried] = useState(false);
  const set = (change: Partial<Draft>): void => setDraft((before) => ({ ...before, ...change }));
  const changeAlias = (id: string, change: Partial<OwnAlias>): void =>
    set({ aliases: draft.aliases.map((a) => (a.id === id ? { ...a, ...change } : a)) });
  const withTyped = (): readonly OwnAlias[] =>
    alias.trim() ? [...draft.aliases, { id: newId(), alias: alias.trim(), scope: EVERYBODY }] : draft.aliases;
  const addAlias = (): void => {
    set({ aliases: withTyped() });
    setAlias('');
  };
  const twin = words.of(start.kind).find((w) => w.key !== draft.key && asCompared(w.name) === asCompared(draft.name));
  const nameProblem = !draft.name.trim() ? T.needsName : twin ? T.taken(twin.name) : undefined;
  const risk = draft.definition?.kind === 'submission' ? draft.definition.risk : null;
  const ladder = draft.definition?.kind === 'action' ? (draft.definition.ladder ?? []) : [];
  const grips = draft.definition?.kind === 'target' ? draft.definition.grips : undefined;
  const isWhole =
    (!risk || (risk.injures.trim() !== '' && risk.care.trim() !== '')) &&
    ladder.every((rung) => rung.trim() !== '') &&
    grips?.length !== 0;
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    setTried(true);
    if (!nameProblem && isWhole) onKeep({ ...draft, name: draft.name.trim(), aliases: withTyped() });
  };
  const shipped = SHIPPED_WORDS.find((w) => w.kind === start.kind && w.key === start.key);
  const meant = alsoMeant(alias, draft, words);
  return (
    <Box borderWidth="1px" borderColor="field" background="raised" padding="5" marginBlock="3">
      <form aria-label={start.name || T.add} onSubmit={submit} noValidate>
        <Flex gap="8" alignItems="flex-start" marginBottom="4">
          <Labelled
            label={T.name}
            problem={tried ? nameProblem : undefined}
            hint={shipped && shipped.name !== draft.name ? T.renamed(shipped.name) : undefined}
          >
            <Counted limit={120} autoFocus value={draft.name} onChange={(e) => set({ name: e.target.value })} />
          </Labelled>
          <Labelled label={draft.definition ? T.offered : T.holdsFor}>
            <Box>
              <ScopePicked
                label={draft.definition ? T.offered : T.holdsFor}
                scope={draft.scope}
                onChange={(scope) => set({ scope })}
              />
            </Box>
          </Labelled>
        </Flex>
        {draft.definition && (
          <DefinitionFields
            definition={draft.definition}
            words={words}
            tried={tried}
            ownKey={start.key}
            onChange={(definition) => set({ definition })}
          />
        )}
        <Box as="fieldset" border="none" marginBottom="4">
          <Box as="legend" color="inkSoft" fontSize="14px">
            {T.aliases}
          </Box>
          {shipped && shipped.aliases.length > 0 && (
            <Box fontSize="15px" marginBottom="1">
              {shipped.aliases.join(' · ')}
            </Box>
          )}
          {draft.aliases.map((a) => (
            <Flex key={a.id} gap="3" alignItems="center" paddingBlock="0.5">
              <Box minWidth="220px" fontWeight="600">
                {a.alias}
              </Box>
              <Box color="inkSoft" fontSize="14px">
                {T.forWhom}
              </Box>
              <ScopePicked
                label={`${T.forWhom} whom ${a.alias} holds`}
                scope={a.scope}
                onChange={(scope) => changeAlias(a.id, { scope })}
              />
              <Picked
                aria-label={T.aliasLanguage(a.alias)}
                fontSize="16px"
                maxWidth="150px"
                value={a.language ?? 'en'}
                onChange={(e) => changeAlias(a.id, { language: e.target.value as Language })}
              >
                {LANGUAGES.map((language) => (
                  <option key={language} value={language}>
                    {LANGUAGE_NAMES[language]}
                  </option>
                ))}
              </Picked>
              <Action
                type="button"
                tone="quiet"
                aria-label={`Take ${a.alias} away`}
                onClick={() => set({ aliases: draft.aliases.filter((b) => b.id !== a.id) })}
              >
                <X size={15} aria-hidden />
              </Action>
            </Flex>
          ))}
          <Flex gap="3" alignItems="center" maxWidth="420px" marginTop="1">
            <Ruled
              aria-label={T.addAlias}
              placeholder={T.addAlias}
              maxLength={120}
              value={alias}
              onChange={(e) => setAlias(e.target.value)}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' || !alias.trim()) return;
                event.preventDefault();
                addAlias();
              }}
            />
            <Action type="button" disabled={!alias.trim()} onClick={addAlias} aria-label="Add this name">
              <Plus size={15} aria-hidden />
            </Action>
          </Flex>
          {meant.length > 0 && (
            <Box role="status" fontSize="14px" marginTop="1">
              {T.meansAlso(meant.join(', '))}
            </Box>
          )}
        </Box>
        <Box as="label" display="flex" gap="2" alignItems="baseline" marginBottom="4" cursor="pointer">
          <input type="checkbox" checked={draft.hidden} onChange={(e) => set({ hidden: e.target.checked })} />
          {T.hide}
          <Box as="span" color="inkSoft" fontSize="14px">
            {T.hideHint}
          </Box>
        </Box>
        <FormActions keep={T.keep} cancel={T.cancel} onCancel={onCancel}>
          {onShipped && (
            <Action type="button" onClick={onShipped}>
              {T.shipped}
            </Action>
          )}
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
