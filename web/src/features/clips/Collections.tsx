import { Box, Flex } from '@chakra-ui/react';
import type { Collection } from '@odograph/core';
import { useState, type FormEvent } from 'react';
import { Action, Counted, Picked } from '../../design/index.js';
import { CollectionOptions, filterOf, type Filter } from '../finding/index.js';
import { useLibrary, useMayWrite } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { COLLECTIONS_TEXT as T } from './clips.text.js';
import { KeepCollection } from './KeepCollection.js';

type Props = {
  readonly collection: Collection | undefined;
  readonly filter: Filter;
  readonly clipIds: readonly string[];
  readonly onPick: (id: string | undefined) => void;
};

/** The name of the collection that is open, where it can be changed. */
const Rename = ({
  collection,
  onDone,
}: {
  readonly collection: Collection;
  readonly onDone: () => void;
}): React.JSX.Element => {
  const edit = useEdit();
  const [name, setName] = useState(collection.name);
  const keep = (event: FormEvent): void => {
    event.preventDefault();
    if (!name.trim()) return;
    if (name.trim() !== collection.name)
      edit({ kind: 'collection', id: collection.id, changes: { name: name.trim() } });
    onDone();
  };
  return (
    <form onSubmit={keep}>
      <Flex gap="3" alignItems="flex-end">
        <Counted
          autoFocus
          aria-label={T.name}
          width="240px"
          limit={120}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Action tone="next" type="submit">
          {T.keeping}
        </Action>
      </Flex>
    </form>
  );
};

/** What can be done to the collection that is open. */
const OnOpen = ({
  collection,
  onGone,
}: {
  readonly collection: Collection;
  readonly onGone: () => void;
}): React.JSX.Element => {
  const edit = useEdit();
  const [isNaming, setNaming] = useState(false);
  if (isNaming) return <Rename collection={collection} onDone={() => setNaming(false)} />;
  return (
    <>
      <Box color="inkSoft">{collection.filter ? T.isLive : T.isFixed(collection.clipIds.length)}</Box>
      <Action tone="quiet" onClick={() => setNaming(true)}>
        {T.rename}
      </Action>
      <Action
        tone="quiet"
        onClick={() => {
          edit({ kind: 'remove', what: 'collection', id: collection.id });
          onGone();
        }}
      >
        {T.remove}
      </Action>
    </>
  );
};

/** Clips gathered under a name: opens one, keeps what is shown as one. The address says which is open. */
export const Collections = ({ collection, filter, clipIds, onPick }: Props): React.JSX.Element | null => {
  const { collections } = useLibrary();
  const mayWrite = useMayWrite();
  const [isKeeping, setKeeping] = useState(false);
  if (!collections.length && !mayWrite) return null;
  return (
    <Box as="section" aria-label={T.title} marginBottom="3">
      <Flex gap="3" alignItems="center" wrap="wrap" fontSize="16px" data-testid="collections">
        {collections.length > 0 && (
          <Picked
            aria-label={T.title}
            maxWidth="280px"
            value={collection?.id ?? ''}
            onChange={(e) => onPick(e.target.value || undefined)}
          >
            <option value="">{T.any}</option>
            <CollectionOptions collections={collections} />
          </Picked>
        )}
        {collection && mayWrite && (
          <OnOpen key={collection.id} collection={collection} onGone={() => onPick(undefined)} />
        )}
        {mayWrite && !isKeeping && (
          <Action tone="quiet" disabled={!clipIds.length} onClick={() => setKeeping(true)}>
            {T.keep}
          </Action>
        )}
      </Flex>
      {isKeeping && (
        <KeepCollection
          filter={collection?.filter === null ? null : { ...(collection && filterOf(collection)), ...filter }}
          clipIds={clipIds}
          onCancel={() => setKeeping(false)}
          onKept={(id) => {
            setKeeping(false);
            onPick(id);
          }}
        />
      )}
    </Box>
  );
};
