import { Box, Flex } from '@chakra-ui/react';
import { SHIPPED_WORDS, asCompared, type OwnAlias, type Words } from '@odograph/core';
import { useState, type FormEvent } from 'react';
import { v7 as newId } from 'uuid';
import { Action, Counted, FormActions, Labelled } from '../../design/index.js';
import { AliasFields } from './AliasFields.js';
import { DefinitionFields } from './DefinitionFields.js';
import { ScopePicked } from './ScopePicked.js';
import { EVERYBODY, type Draft } from './draft.js';
import { WORDS_TEXT as T } from './words.text.js';

/** Other words that are called the same. */
const alsoMeant = (text: string, draft: Draft, words: Words): readonly string[] =>
  asCompared(text) === ''
    ? []
    : words.all
        .filter((w) => w.kind !== draft.kind || w.key !== draft.key)
        .filter((w) => [w.name, ...w.aliases].some((n) => asCompared(n) === asCompared(text)))
        .map((w) => `${w.kind} ${w.name}`);

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
        <AliasFields
          aliases={draft.aliases}
          shipped={shipped?.aliases ?? []}
          typed={alias}
          meant={alsoMeant(alias, draft, words)}
          onTyped={setAlias}
          onAdd={addAlias}
          onChange={(aliases) => set({ aliases })}
        />
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
