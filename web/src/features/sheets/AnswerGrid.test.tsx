/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { ChakraProvider } from '@chakra-ui/react';
import { configureStore } from '@reduxjs/toolkit';
import {
  BARE_REACTION,
  answerTable,
  sheetSourceOf,
  shippedWords,
  type AnswerTable,
  type PlaceId,
} from '@odograph/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { attemptWith, libraryWith } from '../../../test/library.js';
import { makeSystem } from '../../design/index.js';
import { queueSlice } from '../replica/index.js';
import { libraryApi, serverApi } from '../server/index.js';
import { AnswerGrid } from './AnswerGrid.js';
import { askedIn, sayAsked } from './asked.js';

const words = shippedWords();
const PLACE = 'mount/bottom' as PlaceId;
const library = libraryWith([
  attemptWith('1', {
    ...{ state: { position: 'mount', role: 'bottom' }, action: 'bridge-and-roll', result: 'failed' },
    reactions: [{ ...BARE_REACTION, id: 'r', what: 'posts', isAction: false }],
  }),
  attemptWith('2', {
    ...{ state: { position: 'mount', role: 'bottom' }, action: 'bridge-and-roll', result: 'failed' },
    reactions: [{ ...BARE_REACTION, id: 'r', what: 'armlock', isAction: true }],
  }),
]);
const table = answerTable(PLACE, sheetSourceOf(library, words), words);

const show = async (of: AnswerTable, onPick: (key: string) => void): Promise<void> => {
  const store = configureStore({
    reducer: { server: serverApi.reducer, edits: queueSlice.reducer },
    middleware: (all) => all().concat(serverApi.middleware),
  });
  await store.dispatch(libraryApi.util.upsertQueryData('library', undefined, library));
  render(
    <Provider store={store}>
      <ChakraProvider value={makeSystem()}>
        <MemoryRouter>
          <AnswerGrid table={of} picked={undefined} onPick={onPick} />
        </MemoryRouter>
      </ChakraProvider>
    </Provider>,
  );
};

describe('the table of answers', () => {
  afterEach(cleanup);

  test('each box should say entry, what was met, how far it is answered and how often it came, and be taken in hand', async () => {
    const onPick = jest.fn<(key: string) => void>();
    await show(table, onPick);
    const box = screen.getByRole('button', { name: /^bridge and roll, they post a hand: no answer/ });
    await userEvent.setup().click(box);
    expect(onPick).toHaveBeenCalledWith('bridge-and-roll × posts');
    screen.getByRole('columnheader', { name: 'post a hand' });
  });

  test('what is missing should be asked for by place, entry and what they did: a reaction, or an attack of theirs', () => {
    const [row] = table.rows;
    const asked = row!.cells.map((cell) => askedIn(PLACE, row!, cell)!);
    expect(asked.map(({ reaction, theirs }) => [reaction, theirs]).sort()).toEqual([
      [null, 'armlock'],
      ['posts', null],
    ]);
    expect(asked.map((a) => sayAsked(a, words)).sort()).toEqual([
      'Find or film an answer: their straight armlock, against bridge and roll from mount, bottom',
      'Find or film an answer: they post a hand, against bridge and roll from mount, bottom',
    ]);
    const entry = { ...asked[0]!, reaction: null, theirs: null };
    expect(sayAsked(entry, words)).toBe('Find or film: bridge and roll from mount, bottom');
    const theirs = {
      state: { position: 'mount', role: 'bottom' },
      action: null,
      reaction: null,
      theirs: 'armlock',
    } as const;
    expect(sayAsked(theirs, words)).toBe('Find or film an answer: their straight armlock, in mount, bottom');
  });
});
