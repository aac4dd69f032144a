import { Box, Flex } from '@chakra-ui/react';
import { LANGUAGES, type Language, type OwnAlias } from '@odograph/core';
import { Plus, X } from 'lucide-react';
import { Action, Picked, Ruled } from '../../design/index.js';
import { ScopePicked } from './ScopePicked.js';
import { LANGUAGE_NAMES, WORDS_TEXT as T, ALIAS_FIELDS_TEXT } from './words.text.js';

/** The other names of a word: those shipped, and the academy's own with for whom and in which language each holds. */
export const AliasFields = ({
  aliases,
  shipped,
  typed,
  meant,
  onTyped,
  onAdd,
  onChange,
}: {
  readonly aliases: readonly OwnAlias[];
  readonly shipped: readonly string[];
  /** One that is being typed, and what else it means already. */ readonly typed: string;
  readonly meant: readonly string[];
  readonly onTyped: (text: string) => void;
  readonly onAdd: () => void;
  readonly onChange: (aliases: readonly OwnAlias[]) => void;
}): React.JSX.Element => {
  const change = (id: string, more: Partial<OwnAlias>): void =>
    onChange(aliases.map((a) => (a.id === id ? { ...a, ...more } : a)));
  return (
    <Box as="fieldset" border="none" marginBottom="4">
      <Box as="legend" color="inkSoft" fontSize="14px">
        {T.aliases}
      </Box>
      {shipped.length > 0 && (
        <Box fontSize="15px" marginBottom="1">
          {shipped.join(' · ')}
        </Box>
      )}
      {aliases.map((a) => (
        <Flex key={a.id} gap="3" alignItems="center" paddingBlock="0.5">
          <Box minWidth="220px" fontWeight="600">
            {a.alias}
          </Box>
          <Box color="inkSoft" fontSize="14px">
            {T.forWhom}
          </Box>
          <ScopePicked
            label={ALIAS_FIELDS_TEXT.whomHolds(T.forWhom, a.alias)}
            scope={a.scope}
            onChange={(scope) => change(a.id, { scope })}
          />
          <Picked
            aria-label={T.aliasLanguage(a.alias)}
            fontSize="16px"
            maxWidth="150px"
            value={a.language ?? 'en'}
            onChange={(e) => change(a.id, { language: e.target.value as Language })}
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
            aria-label={ALIAS_FIELDS_TEXT.takeAway(a.alias)}
            onClick={() => onChange(aliases.filter((b) => b.id !== a.id))}
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
          value={typed}
          onChange={(e) => onTyped(e.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || !typed.trim()) return;
            event.preventDefault();
            onAdd();
          }}
        />
        <Action type="button" disabled={!typed.trim()} onClick={onAdd} aria-label={ALIAS_FIELDS_TEXT.addThisName}>
          <Plus size={15} aria-hidden />
        </Action>
      </Flex>
      {meant.length > 0 && (
        <Box role="status" fontSize="14px" marginTop="1">
          {T.meansAlso(meant.join(', '))}
        </Box>
      )}
    </Box>
  );
};
