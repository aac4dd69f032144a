import { Flex } from '@chakra-ui/react';
import type { Collection } from '@odograph/core';
import { COLLECTION_LIMIT } from '@odograph/core';
import { useState, type FormEvent } from 'react';
import { v7 as newId } from 'uuid';
import { Action, Choice, Counted, Labelled, Picked } from '../../design/index.js';
import { CollectionOptions, keptFilter, type Filter } from '../finding/index.js';
import { useLibrary } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { COLLECTIONS_TEXT as T } from './clips.text.js';

type Kind = 'live' | 'fixed';
type Props = {
  /** What finds the clips that are shown; null where no sentence does: they come out of a fixed collection. */ readonly filter: Filter | null;
  /** The clips that are shown, in their order. */ readonly clipIds: readonly string[];
  readonly onKept: (id: string) => void;
  readonly onCancel: () => void;
};

/** Keeps what is shown under a name: whatever the sentence finds from now on, or these clips as they are; or puts them into a collection that is there. */
export const KeepCollection = ({ filter, clipIds, onKept, onCancel }: Props): React.JSX.Element => {
  const edit = useEdit();
  const { collections } = useLibrary();
  const [name, setName] = useState('');
  const [kind, setKind] = useState<Kind>(filter && Object.keys(filter).length > 0 ? 'live' : 'fixed');
  const [into, setInto] = useState('');
  const one = collections.find((c) => c.id === into);
  const isFixed = one !== undefined || kind === 'fixed';
  const all = [...new Set([...(one?.clipIds ?? []), ...clipIds])];
  const isTooMany = isFixed && all.length > COLLECTION_LIMIT;
  const keep = (event: FormEvent): void => {
    event.preventDefault();
    if (isTooMany) return;
    if (one) {
      edit({ kind: 'collection', id: one.id, changes: { clipIds: all } });
      onKept(one.id);
      return;
    }
    if (!name.trim()) return;
    const collection: Collection = {
      ...{ id: newId(), version: 0, name: name.trim() },
      ...(kind === 'live' && filter ? { clipIds: [], filter: keptFilter(filter) } : { clipIds, filter: null }),
    };
    edit({ kind: 'new collection', collection });
    onKept(collection.id);
  };
  const fixed = collections.filter((c) => c.filter === null);
  return (
    <form onSubmit={keep} aria-label={T.keep}>
      <Flex gap="5" alignItems="flex-end" wrap="wrap" marginBottom="4">
        {fixed.length > 0 && (
          <Labelled label={T.into}>
            <Picked value={into} maxWidth="220px" onChange={(e) => setInto(e.target.value)}>
              <option value="">{T.aNew}</option>
              <CollectionOptions collections={fixed} />
            </Picked>
          </Labelled>
        )}
        {!one && (
          <>
            <Labelled label={T.name}>
              <Counted
                autoFocus
                width="240px"
                limit={120}
                value={name}
                onChange={(event) => setName(event.target.value)}
              />
            </Labelled>
            {filter && (
              <Choice
                label={T.kind}
                name="collection-kind"
                value={kind}
                options={[
                  ['live', T.live],
                  ['fixed', T.fixed(clipIds.length)],
                ]}
                onChange={setKind}
              />
            )}
          </>
        )}
        <Action tone="next" type="submit" disabled={isTooMany || (!one && !name.trim())}>
          {one ? T.put(clipIds.length) : T.keeping}
        </Action>
        <Action type="button" onClick={onCancel}>
          {T.cancel}
        </Action>
        {isTooMany && <span role="alert">{T.tooMany(COLLECTION_LIMIT)}</span>}
      </Flex>
    </form>
  );
};
