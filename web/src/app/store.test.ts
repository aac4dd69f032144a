/** @jest-environment jsdom */
import { describe, expect, jest, test } from '@jest/globals';
import { BARE_HOLD, type Control } from '@odograph/core';
import { attemptWith, clipOn, libraryWith } from '../../test/library.js';
import { editsReplaced, libraryApi, type PendingEdit } from '../features/library/index.js';
import { withPending } from '../features/library/edits.js';
import { keepPending, makeStore } from './store.js';

const HOUR = 3600;
/** A coach who types all the time says one part of an attempt in so many seconds. */
const PART_S = 1.5;
const PARTS = 14;

const hold = (id: string): Control => ({
  ...BARE_HOLD,
  ...{ id: `00000000-0000-7000-8000-${id.padStart(12, '0')}`, holder: 'subject', limb: 'hand', limbSide: 'right' },
  ...{ kind: 'grip', target: 'collar', targetOwner: 'other', targetSide: 'left', cloth: true },
});
const work = (): readonly PendingEdit[] =>
  Array.from({ length: HOUR / PART_S / (PARTS + 1) }, (_, i): PendingEdit[] => {
    const attempt = attemptWith(`a${i}`);
    const clip = clipOn(attempt, `c${i}`);
    const body = { editId: `clip ${i}`, attempt, clip: { ...clip, inFrame: 0, outFrame: 9 } } as never;
    return [
      { kind: 'new clip', editId: `clip ${i}`, body, attempt, clip },
      ...Array.from({ length: PARTS }, (__, part): PendingEdit => {
        const changes = part < 4 ? { controls: [hold(`${i}1`), hold(`${i}2`)] } : { depth: part % 5 };
        const editId = `00000000-0000-7000-8000-${`${i}${part}`.padStart(12, '0')}`;
        return { kind: 'attempt', editId, id: attempt.id, changes, patch: changes };
      }),
    ];
  }).flat();

describe('what the server does not have yet', () => {
  test('when it is an hour of work, it should lie in the browser, be there for whoever opens it again, and for nobody else', async () => {
    jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick'] });
    const opened = async (accountId: string) => {
      const store = makeStore();
      keepPending(store);
      await store.dispatch(libraryApi.util.upsertQueryData('me', undefined, { account: { id: accountId } } as never));
      await Promise.resolve();
      return store;
    };
    const edits = work();
    expect(edits.length).toBeGreaterThan(2000);
    const first = await opened('one');
    first.dispatch(editsReplaced(edits));
    const again = await opened('one');
    expect(again.getState().edits.pending).toEqual(edits);
    const library = withPending(libraryWith([]), again.getState().edits.pending);
    expect(library.attempts).toHaveLength(edits.filter((e) => e.kind === 'new clip').length);
    expect(library.attempts.every((a) => a.controls.length === 2 && a.depth !== null)).toBe(true);
    expect((await opened('other')).getState().edits.pending).toEqual([]);
    jest.useRealTimers();
  });
});
