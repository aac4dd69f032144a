/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { ChakraProvider } from '@chakra-ui/react';
import { configureStore } from '@reduxjs/toolkit';
import { BARE_HOLD, BARE_REACTION, timeTable, type Attempt } from '@odograph/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { attemptWith, libraryWith } from '../../../../test/library.js';
import { makeSystem } from '../../../design/index.js';
import { useClipViews } from '../../library/index.js';
import { queueSlice } from '../../replica/index.js';
import { libraryApi, serverApi } from '../../server/index.js';
import { type WholeLine as Line } from './WholeLine.js';

const table = timeTable(
  Array.from({ length: 101 }, (_, i) => i),
  1,
  25,
);
jest.mock('../../player/index.js', () => ({ useTimeTable: () => table }));
// eslint-disable-next-line @typescript-eslint/no-require-imports -- after what it uses has been put in place
const { WholeLine } = require('./WholeLine.js') as { WholeLine: typeof Line };

let forget: () => void = () => undefined;

const show = async (attempt: Attempt, start = '') => {
  const store = configureStore({
    reducer: { server: serverApi.reducer, edits: queueSlice.reducer },
    middleware: (all) => all().concat(serverApi.middleware),
  });
  forget = () => void store.dispatch(serverApi.util.resetApiState());
  await store.dispatch(libraryApi.util.upsertQueryData('library', undefined, libraryWith([attempt])));
  const Bench = (): React.JSX.Element | null => {
    const view = useClipViews().find((v) => v.attempt.id === attempt.id);
    return view ? (
      <WholeLine view={view} left={undefined} start={start} onDone={() => undefined} onLeave={() => undefined} />
    ) : null;
  };
  render(
    <MemoryRouter>
      <Provider store={store}>
        <ChakraProvider value={makeSystem()}>
          <Bench />
        </ChakraProvider>
      </Provider>
    </MemoryRouter>,
  );
  return {
    user: userEvent.setup(),
    line: screen.getByRole<HTMLInputElement>('textbox', { name: 'The whole attempt in one line' }),
    edits: () => store.getState().edits.pending,
    understood: () => screen.getByRole('status', { name: 'Understood so far' }).textContent,
  };
};

const told = attemptWith('1', {
  state: { position: 'half-guard', role: 'top' },
  action: 'knee-through',
  result: 'failed',
  finish: { kind: 'state', position: 'half-guard', role: 'top' },
  controls: [
    {
      ...BARE_HOLD,
      ...{ id: 'h', holder: 'subject', limb: 'arm', limbSide: null, kind: 'underhook', target: 'underarm' },
      ...{ targetOwner: 'other', targetSide: null, reach: 'far', cloth: false, won: true },
    },
  ],
  reactions: [{ id: 'r', what: 'frames', isAction: false, ...BARE_REACTION, deciding: true }],
});

describe('an attempt in one line', () => {
  afterEach(() => {
    cleanup();
    forget();
    sessionStorage.clear();
  });

  test('when the page is loaded anew in the middle of a line, it should stand there again, unless it was kept or left', async () => {
    const begun = await show(attemptWith('1'));
    await begun.user.type(begun.line, 'half top, knee sl');
    cleanup();
    forget();
    const again = await show(attemptWith('1'));
    expect(again.line.value).toBe('half top, knee sl');
    await again.user.type(again.line, 'ice, side{Enter}');
    cleanup();
    forget();
    const after = await show(attemptWith('1'));
    expect(after.line.value).toBe('');
    await after.user.type(after.line, 'mount{Escape}');
    cleanup();
    forget();
    expect((await show(attemptWith('1'))).line.value).toBe('');
  });

  test('when it is told already, it should stand in the line, and what is taken out there be taken out', async () => {
    const { user, line, edits } = await show(told);
    expect(line.value).toBe(
      'from half guard top; with far underhook; knee-through pass; they frame; ends in half guard top; failed; ',
    );
    await user.clear(line);
    await user.type(line, 'from half guard top; with far underhook; smash pass; ends in half guard top; failed{Enter}');
    expect(edits().map((e) => ('changes' in e ? e.changes : e.kind))).toEqual([
      {
        state: told.state,
        action: 'smash-pass',
        finish: told.finish,
        result: 'failed',
        // the same hold, as it was told before
        controls: told.controls,
        reactions: [],
      },
    ]);
  });

  test('when something can be read in two ways, it should be asked, kept once it is answered, and wait among the doubts otherwise', async () => {
    const { user, line, edits, understood } = await show(attemptWith('1'));
    await user.type(line, 'they torreando, failed');
    expect(understood()).toContain('bullfighter pass? ↓ yes, ↓↓ or what is done: bullfighter pass');
    await user.keyboard('{Enter}');
    expect(edits()).toMatchObject([
      { changes: { result: 'failed', doubts: [{ field: 'reactions', kind: 'unsure', text: 'they torreando' }] } },
      { kind: 'clip', changes: { note: 'they torreando' } },
    ]);
    cleanup();
    forget();
    const answered = await show(attemptWith('1'));
    await answered.user.type(answered.line, 'they torreando, failed{ArrowDown}');
    expect(answered.understood()).not.toContain('? ↓');
    await answered.user.keyboard('{Enter}');
    expect(answered.edits()).toMatchObject([
      { changes: { result: 'failed', reactions: [{ what: 'knees-aside', isAction: true }] } },
    ]);
  });

  test('when something follows, Enter should keep it as proposed, and Ctrl and Enter as said', async () => {
    const typed = 'half guard top, knee slice, ends in side control top';
    const { user, line, edits, understood } = await show(attemptWith('1'));
    await user.type(line, typed);
    expect(understood()).toContain('and so, unless you say otherwise: worked');
    await user.keyboard('{Enter}');
    expect(edits()).toMatchObject([{ changes: { result: 'success', proposed: ['result'] } }]);
    cleanup();
    forget();
    const confirmed = await show(attemptWith('1'));
    await confirmed.user.type(confirmed.line, typed);
    await confirmed.user.keyboard('{Control>}{Enter}{/Control}');
    expect(confirmed.edits()).toMatchObject([{ changes: { result: 'success', proposed: [] } }]);
  });

  test('when the line tells two tries, each should become a clip, the second from where the first ends', async () => {
    const { user, line, edits, understood } = await show(
      attemptWith('1', { start: { frame: 0, pts: 0 }, end: { frame: 40, pts: 40 } }),
    );
    await user.type(line, 'half top, knee slice, they frame, then back step, side control, ok # again');
    expect(understood()).toMatch(/^first from half guard, top.*they frame.*then back-step pass.*note: “again”/);
    // what follows is told of each
    await user.clear(line);
    await user.type(line, 'half top, knee slice, they frame, then back step, side control # again');
    expect(understood()).toMatch(/then from half guard, top \(where things were left\), worked \(by where it ended\)/);
    await user.clear(line);
    await user.type(line, 'half top, knee slice, they frame, then back step, side control, ok # again');
    await user.keyboard('{Enter}');
    const [first, second, note] = edits();
    expect(first).toMatchObject({
      changes: { action: 'knee-through', end: { frame: 20, pts: 20 } },
    });
    expect(second).toMatchObject({
      kind: 'new clips',
      made: [
        {
          attempt: {
            action: 'back-step',
            state: { position: 'half-guard', role: 'top' },
            finish: { kind: 'state', position: 'side-control', role: 'top' },
            result: 'success',
            followsId: '1',
          },
          clip: { in: { frame: 20 }, out: { frame: 40 } },
        },
      ],
    });
    expect(note).toMatchObject({ kind: 'clip', changes: { note: 'again' } });
  });

  test('when a word is not known, F2 should ask what it is called here, and it be taught in two more keys', async () => {
    const { user, line, edits, understood } = await show(attemptWith('1'));
    await user.type(line, 'half top, gravlock, ok');
    expect(understood()).toContain('not understood, kept as a note: “gravlock”');
    await user.keyboard('{F2}');
    expect(document.activeElement).toBe(screen.getByRole('combobox', { name: 'What do you call “gravlock”?' }));
    // what can be done from there stands first
    expect(screen.getAllByRole('option')[0]!.textContent).toMatch(/action$/);
    await user.keyboard('smash{Enter}');
    expect(edits()).toMatchObject([
      { kind: 'aliases', lines: [{ kind: 'action', key: 'smash-pass', alias: 'gravlock' }] },
    ]);
    expect(document.activeElement).toBe(line);
  });
});
