import {
  LANGUAGES,
  WORD_KINDS,
  type Definition,
  type OwnAlias,
  type Scope,
  type WordChange,
} from '../vocabulary/index.js';
import {
  FLAG,
  ID,
  bareOf,
  choice,
  fixed,
  key,
  list,
  name,
  object,
  optional,
  orNull,
  other,
  said,
  saidOr,
  union,
  type FieldsOf,
} from './shapes.js';

const ALIASES_LIMIT = 60;

/** What an academy says of a word, as it is kept: every field is there. */
export type KeptWord = {
  readonly id: string;
  readonly version: number;
  readonly kind: WordChange['kind'];
  readonly wordKey: string;
  readonly name: string | null;
  readonly hidden: boolean;
  readonly definition: Definition | null;
  readonly scope: Scope;
  readonly aliases: readonly OwnAlias[];
};

const scope = (isFlat: boolean) =>
  union<Scope>({ coach: { accountId: ID }, footage: { footageId: ID }, academy: {} }, isFlat);
const ALIAS = object<OwnAlias>({
  id: ID,
  alias: name(),
  scope: scope(false),
  language: optional(choice(...LANGUAGES)),
});

/** What is kept of what an academy says of a word. */
export const WORD = {
  kind: fixed(choice(...WORD_KINDS)),
  // its own key is no use of the word
  wordKey: fixed(key(null)),
  name: saidOr(orNull(name()), null),
  hidden: saidOr(FLAG, false),
  definition: saidOr(orNull(other<Definition>()), null),
  scope: saidOr(scope(true), { kind: 'academy' }),
  aliases: said(list(ALIAS, { most: ALIASES_LIMIT })),
} as const satisfies FieldsOf<KeptWord>;

/** What nobody said of a word. */
export const BARE_WORD = bareOf<KeptWord>()(WORD);

/** As everybody else knows it: what says nothing is absent, and aliases are in the order of the alphabet. */
export const asWordChange = ({ id, version, kind, wordKey, ...of }: KeptWord): WordChange => ({
  ...{ id, version, kind, key: wordKey },
  ...(of.name === null ? {} : { name: of.name }),
  ...(of.hidden ? { hidden: true } : {}),
  ...(of.definition === null ? {} : { definition: of.definition }),
  ...(of.scope.kind === 'academy' ? {} : { scope: of.scope }),
  ...(of.aliases.length
    ? {
        aliases: [...of.aliases].sort((a, b) =>
          a.alias < b.alias ? -1 : a.alias > b.alias ? 1 : a.id < b.id ? -1 : 1,
        ),
      }
    : {}),
});

/** The same the other way round. */
export const asKeptWord = ({ id, version, kind, key: wordKey, aliases = [], ...said }: WordChange): KeptWord => ({
  ...BARE_WORD,
  ...said,
  ...{ id, version, kind, wordKey, aliases },
});
