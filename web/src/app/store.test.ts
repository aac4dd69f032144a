import { describe, expect, test } from '@jest/globals';
import { BARE_HOLD, withEdits, type Control, type LibraryEdit } from '@odograph/core';
import 'fake-indexeddb/auto';
import { attemptWith, clipOn, libraryWith } from '../../test/library.js';
import { KeptEdits, editQueued, selectPending, type Around } from '../features/replica/index.js';
import { openEdits } from '../features/replica/keptEdits.js';
import { libraryApi, serverApi } from '../features/server/index.js';
import { makeStore } from './store.js';

const HOUR = 3600;
/** A coach who types all the time says one part of an attempt in so many seconds. */
const PART_S = 1.5;
const PARTS = 14;

const hold = (id: string): Control => ({
  ...BARE_HOLD,
  ...{ id: `00000000-0000-7000-8000-${id.padStart(12, '0')}`, holder: 'subject', limb: 'hand', limbSide: 'right' },
  ...{ kind: 'grip', target: 'collar', targetOwner: 'other', targetSide: 'left', cloth: true },
});
const work = (): readonly LibraryEdit[] =>
  Array.from({ length: HOUR / PART_S / (PARTS + 1) }, (_, i): LibraryEdit[] => {
    const attempt = attemptWith(`a${i}`);
    return [
      { kind: 'new clip', editId: `clip ${i}`, attempt, clip: clipOn(attempt, `c${i}`) },
      ...Array.from({ length: PARTS }, (__, part): LibraryEdit => {
        const changes = part < 4 ? { controls: [hold(`${i}1`), hold(`${i}2`)] } : { depth: part % 5 };
        const editId = `00000000-0000-7000-8000-${`${i}x${part}`.padStart(12, '0')}`;
        return { kind: 'attempt', editId, id: attempt.id, changes };
      }),
    ];
  }).flat();

describe('what the server does not have yet', () => {
  test('when it is an hour of work, it should lie in the browser, be there for whoever opens it again, and for nobody else', async () => {
    const opened = async (accountId: string) => {
      const store = makeStore((onKept): Around => ({
        edits: new KeptEdits(openEdits(), onKept),
        turns: (_, doWork) => doWork(),
        channel: { tell: () => undefined, hear: () => () => undefined },
        wait: () => new Promise(() => undefined),
      }));
      await store.dispatch(libraryApi.util.upsertQueryData('me', undefined, { account: { id: accountId } } as never));
      return store;
    };
    const edits = work();
    expect(edits.length).toBeGreaterThan(2000);
    const first = await opened('one');
    for (const edit of edits) first.dispatch(editQueued(edit));
    await first.replica.kept();
    first.replica.end();
    const again = await opened('one');
    await again.replica.kept();
    expect(selectPending(again.getState())).toEqual(edits);
    const library = withEdits(libraryWith([]), selectPending(again.getState()));
    expect(library.attempts).toHaveLength(edits.filter((e) => e.kind === 'new clip').length);
    expect(library.attempts.every((a) => a.controls.length === 2 && a.depth !== null)).toBe(true);
    const other = await opened('other');
    await other.replica.kept();
    expect(selectPending(other.getState())).toEqual([]);
    for (const { replica, dispatch } of [first, again, other]) {
      replica.end();
      dispatch(serverApi.util.resetApiState());
    }
  });
});
