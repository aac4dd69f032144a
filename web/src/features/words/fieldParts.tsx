import type { Definition, Words } from '@odograph/core';
import { Labelled, Picked } from '../../design/index.js';
import { WORDS_TEXT as T } from './words.text.js';

/** What the fields of a definition work with. */
export type DefinitionProps<D> = {
  readonly definition: D;
  readonly words: Words;
  readonly tried: boolean;
  /** Of the word itself; empty while it is new. */ readonly ownKey: string;
  readonly onChange: (definition: Definition) => void;
};
export type DefinitionOf<K extends Definition['kind']> = Extract<Definition, { kind: K }>;
export type FieldsOf<K extends Definition['kind']> = DefinitionProps<DefinitionOf<K>>;

/** Leaves a field out where nothing is said in it. */
export const without = <D, K extends keyof D>(definition: D, field: K): Omit<D, K> => {
  const { [field]: _, ...rest } = definition;
  void _;
  return rest;
};

/** What a word is a kind of: others of its sort. */
export const ParentPicked = <D extends DefinitionOf<'position'> | DefinitionOf<'action'>>({
  definition,
  parents,
  onChange,
}: {
  readonly definition: D;
  readonly parents: readonly { readonly key: string; readonly name: string }[];
  readonly onChange: (definition: Definition) => void;
}): React.JSX.Element => (
  <Labelled label={T.parent}>
    <Picked
      maxWidth="260px"
      value={definition.parent ?? ''}
      onChange={(e) =>
        onChange(
          e.target.value === ''
            ? without(definition as DefinitionOf<'position'>, 'parent')
            : { ...definition, parent: e.target.value },
        )
      }
    >
      <option value="">{T.noParent}</option>
      {[...parents]
        .sort((a, b) => a.name.localeCompare(b.name))
        .map(({ key, name }) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
    </Picked>
  </Labelled>
);
