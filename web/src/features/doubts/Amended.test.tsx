/** @jest-environment jsdom */
import { afterEach, expect, test } from '@jest/globals';
import { ChakraProvider } from '@chakra-ui/react';
import { configureStore } from '@reduxjs/toolkit';
import type { AmendmentItem } from '@odograph/core/contract';
import { cleanup, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { attemptWith, libraryWith } from '../../../test/library.js';
import { makeSystem } from '../../design/index.js';
import { queueSlice } from '../replica/index.js';
import { libraryApi, serverApi } from '../server/index.js';
import { amendmentsApi } from './amendments.api.js';
import { Amended } from './Amended.js';
import { Doubts } from './Doubts.js';

const drawn: (() => void)[] = [];

afterEach(() => {
  cleanup();
  for (const end of drawn.splice(0)) end();
});

const ATTEMPT = attemptWith('x', {
  action: 'hip-bump',
  result: 'partial',
  evidence: (['result', 'action'] as const).map((part) => ({ part, how: 'felt', proof: null, by: null })),
});

const item = (more: Partial<AmendmentItem>): AmendmentItem => ({
  ...{ editId: 'e', attemptId: ATTEMPT.id, field: 'result', before: 'failed', after: 'partial' },
  ...{ by: 'Pell Quarrier', at: '2026-03-02T18:00:00.000Z' },
  ...{ saidBy: 'Maren Oxblood', saidAt: '2026-03-01T18:00:00.000Z' },
  ...more,
});

/** Draws something of the page over a library of one attempt and what was amended in it. */
const draw = async (what: React.ReactNode, items: readonly AmendmentItem[]): Promise<void> => {
  const store = configureStore({
    reducer: { server: serverApi.reducer, edits: queueSlice.reducer },
    middleware: (all) => all().concat(serverApi.middleware),
  });
  drawn.push(() => store.dispatch(serverApi.util.resetApiState()));
  await store.dispatch(libraryApi.util.upsertQueryData('library', undefined, libraryWith([ATTEMPT])));
  const account = { id: 'p', name: 'Pell Quarrier', email: 'p@example.com' };
  const me = { role: 'coach', account, academy: { id: 'a' }, academies: [] };
  await store.dispatch(libraryApi.util.upsertQueryData('me', undefined, me as never));
  await store.dispatch(amendmentsApi.util.upsertQueryData('amendments', undefined, [...items]));
  render(
    <Provider store={store}>
      <ChakraProvider value={makeSystem()}>
        <MemoryRouter>{what}</MemoryRouter>
      </ChakraProvider>
    </Provider>,
  );
};

test('what was said and then said otherwise should be told with both values, by whom and when, and whose words it was', async () => {
  await draw(<Amended />, [
    item({}),
    item({ editId: 'f', field: 'subject', before: 'a', after: 'b', saidBy: 'Pell Quarrier' }),
    item({ editId: 'g', attemptId: 'gone' }),
  ]);
  const rows = screen.getAllByTestId('amended');
  expect(rows).toHaveLength(2);
  expect(within(rows[0]!).getByText('failed', { selector: 'del' }).tagName).toBe('DEL');
  expect(within(rows[0]!).getByText('partly', { selector: 'ins' }).tagName).toBe('INS');
  expect(rows[0]!.textContent).toContain('Changed by Pell Quarrier');
  expect(rows[0]!.textContent).toContain('It had been said by Maren Oxblood');
  expect(rows[1]!.textContent).toContain('Their own words before');
});

test('however many details need another angle, what was amended should stand on the page once', async () => {
  await draw(<Doubts />, [item({})]);
  expect(screen.getAllByTestId('angle-needed')).toHaveLength(2);
  expect(screen.getAllByTestId('amended')).toHaveLength(1);
});
