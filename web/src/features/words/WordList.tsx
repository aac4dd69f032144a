import { Box, Flex } from '@chakra-ui/react';
import {
  SHIPPED_WORDS,
  WORD_KINDS,
  freshDefinition,
  matchWords,
  ownKey,
  withChanges,
  wordsCsv,
  type Scope,
  type Word,
  type WordChange,
  type Words,
} from '@odograph/core';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { Action, Choice, Heading, PickFile, Ruled, saveText } from '../../design/index.js';
import { useLibrary, useMayWrite } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { useMeQuery } from '../server/index.js';
import { EVERYBODY, draftOf, shippedName, wordEditOf, type Draft } from './draft.js';
import { ReadWords } from './ReadWords.js';
import { WordForm } from './WordForm.js';
import { WordRow } from './WordRow.js';
import { SHOWN_LANGUAGES, useShownLanguage } from './shownLanguage.js';
import { KIND_NAMES, KIND_ONE, LANGUAGE_NAMES, WORDS_TEXT as T, scopeText, WORD_LIST_TEXT } from './words.text.js';

const markOf = (word: Word, change: WordChange | undefined, nameOf: (scope: Scope) => string | undefined): string => {
  const ships = shippedName(word.kind, word.key);
  return [
    ships === undefined ? T.own : ships !== word.name ? T.renamed(ships) : '',
    change?.hidden ? T.hidden : '',
    change?.scope ? T.holds(scopeText(change.scope, nameOf)) : '',
  ]
    .filter(Boolean)
    .join(', ');
};

/** Everything is in view here, also what is hidden or holds elsewhere. */
const useAllWords = (): Words => {
  const { wordChanges } = useLibrary();
  return useMemo(
    () =>
      withChanges(
        SHIPPED_WORDS,
        wordChanges.map(({ hidden, scope, ...rest }) => {
          void hidden;
          void scope;
          return { ...rest, aliases: rest.aliases?.map((a) => ({ ...a, scope: { kind: 'academy' } as const })) ?? [] };
        }),
      ),
    [wordChanges],
  );
};

/** The academy's words, kind by kind: their names, their other names, and what they are. */
export const WordList = (): React.JSX.Element | null => {
  const { wordChanges, footage } = useLibrary();
  const { data: me } = useMeQuery();
  const edit = useEdit();
  const mayWrite = useMayWrite();
  const [search, setSearch] = useSearchParams();
  const [open, setOpen] = useState<string | null>(null);
  const [sought, setSought] = useState('');
  const [list, setList] = useState<string | null>(null);
  const [language, setLanguage] = useShownLanguage();
  const isSought = sought.trim() !== '';
  const kind = WORD_KINDS.find((k) => k === search.get('kind')) ?? 'position';
  const words = useAllWords();
  const changes = useMemo(() => new Map(wordChanges.map((c) => [`${c.kind}:${c.key}`, c])), [wordChanges]);
  const shown = useMemo(() => {
    if (!sought.trim()) return words.all.filter((w) => w.kind === kind).sort((a, b) => a.name.localeCompare(b.name));
    // what is looked for may be of any kind
    return matchWords(
      sought,
      words.all.map((word) => ({ value: word, texts: [word.name, ...word.aliases] })),
    ).map((m) => m.value);
  }, [words, kind, sought]);
  if (!mayWrite) return null;
  const isOwn = (word: Word): boolean => changes.get(`${word.kind}:${word.key}`)?.definition !== undefined;
  const nameOfScope = (scope: Scope): string | undefined => {
    if (scope.kind === 'footage') return footage.find((f) => f.id === scope.footageId)?.title;
    return scope.kind === 'coach' && scope.accountId === me?.account.id ? T.onlyMe : undefined;
  };
  const close = (): void => setOpen(null);
  const keep = (draft: Draft): void => {
    const key = draft.key || ownKey(draft.name, (k) => words.get(draft.kind, k) !== undefined);
    edit(wordEditOf({ ...draft, key }, changes.get(`${draft.kind}:${key}`)));
    close();
  };
  const remove = (change: WordChange): void => {
    edit({ kind: 'remove', what: 'word', id: change.id });
    close();
  };
  return (
    <Box maxWidth="980px">
      <Flex alignItems="baseline" gap="3" flexWrap="wrap">
        <Heading flex="1">{T.title}</Heading>
        <Action onClick={() => saveText('odograph-words.csv', 'text/csv', wordsCsv(words, isOwn))}>{T.save}</Action>
        <PickFile accept=".csv,text/csv" testId="words-picker" onText={setList}>
          {T.read}
        </PickFile>
        <Action tone="next" onClick={() => setOpen('new')}>
          {T.add}
        </Action>
      </Flex>
      <Box color="inkSoft" marginBottom="4">
        {T.lead}
      </Box>
      {list !== null && <ReadWords key={list} text={list} words={words} onDone={() => setList(null)} />}
      <Flex columnGap="6" rowGap="3" flexWrap="wrap" alignItems="flex-end" marginBottom="3">
        <Choice
          label={WORD_LIST_TEXT.kind}
          name="kind"
          value={kind}
          options={WORD_KINDS.map((k) => [k, KIND_NAMES[k]] as const)}
          onChange={(k) => {
            setSearch({ kind: k }, { replace: true });
            close();
          }}
        />
        <Ruled
          flex="1 1 200px"
          width="auto"
          aria-label={T.find}
          placeholder={T.find}
          value={sought}
          onChange={(e) => setSought(e.target.value)}
        />
        <Choice
          label={T.language}
          name="language"
          value={language}
          options={SHOWN_LANGUAGES.map((l) => [l, LANGUAGE_NAMES[l]] as const)}
          onChange={setLanguage}
        />
      </Flex>
      {open === 'new' && (
        <WordForm
          key={kind}
          start={{
            kind,
            key: '',
            name: '',
            aliases: [],
            hidden: false,
            definition: freshDefinition(kind),
            scope: EVERYBODY,
          }}
          words={words}
          onKeep={keep}
          onCancel={close}
        />
      )}
      {shown.length === 0 && <Box>{T.none}</Box>}
      <Box as="ul" listStyleType="none" borderTopWidth="1px" aria-label={isSought ? T.found : KIND_NAMES[kind]}>
        {shown.map((word) => {
          const id = `${word.kind}:${word.key}`;
          const change = changes.get(id);
          if (open === id)
            return (
              <Box as="li" key={id} borderBottomWidth="1px">
                <WordForm
                  start={draftOf(word.kind, word.key, words, change)}
                  words={words}
                  onKeep={keep}
                  onCancel={close}
                  onShipped={change && !change.definition ? () => remove(change) : undefined}
                  onRemove={change?.definition ? () => remove(change) : undefined}
                />
              </Box>
            );
          const mark = [isSought ? KIND_ONE[word.kind] : '', markOf(word, change, nameOfScope)];
          return (
            <WordRow
              key={id}
              word={word}
              words={words}
              mark={mark.filter(Boolean).join(', ')}
              isHidden={change?.hidden === true}
              language={language}
              onChange={() => setOpen(id)}
            />
          );
        })}
      </Box>
    </Box>
  );
};
