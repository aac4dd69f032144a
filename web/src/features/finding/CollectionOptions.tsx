import type { Collection } from '@odograph/core';

/** Collections to be picked from, by their names. */
export const CollectionOptions = ({
  collections,
}: {
  readonly collections: readonly Collection[];
}): React.JSX.Element => (
  <>
    {[...collections]
      .sort((a, b) => a.name.localeCompare(b.name))
      .map((c) => (
        <option key={c.id} value={c.id}>
          {c.name}
        </option>
      ))}
  </>
);
