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

afterEach(cleanup);

test('what was said and then said otherwise should be told with both values, by whom and when, and whose words it was', async () => {
  const attempt = attemptWith('x', { result: 'partial' });
  const item = (more: Partial<AmendmentItem>): AmendmentItem => ({
    ...{ editId: 'e', attemptId: attempt.id, field: 'result', before: 'failed', after: 'partial' },
    ...{ by: 'Pell Quarrier', at: '2026-03-02T18:00:00.000Z' },
    ...{ saidBy: 'Maren Oxblood', saidAt: '2026-03-01T18:00:00.000Z' },
    ...more,
  });
  const store = configureStore({
    reducer: { server: serverApi.reducer, edits: queueSlice.reducer },
    middleware: (all) => all().concat(serverApi.middleware),
  });
  await store.dispatch(libraryApi.util.upsertQueryData('library', undefined, libraryWith([attempt])));
  const account = { id: 'p', name: 'Pell Quarrier', email: 'p@example.com' };
  const me = { role: 'coach', account, academy: { id: 'a' }, academies: [] };
  await store.dispatch(libraryApi.util.upsertQueryData('me', undefined, me as never));
  const items = [
    item({}),
    item({ editId: 'f', field: 'subject', before: 'a', after: 'b', saidBy: 'Pell Quarrier' }),
    item({ editId: 'g', attemptId: 'gone' }),
  ];
  await store.dispatch(amendmentsApi.util.upsertQueryData('amendments', undefined, items));
  render(
    <Provider store={store}>
      <ChakraProvider value={makeSystem()}>
        <MemoryRouter>
          <Amended />
        </MemoryRouter>
      </ChakraProvider>
    </Provider>,
  );
  const rows = screen.getAllByTestId('amended');
  expect(rows).toHaveLength(2);
  expect(within(rows[0]!).getByText('failed', { selector: 'del' }).tagName).toBe('DEL');
  expect(within(rows[0]!).getByText('partly', { selector: 'ins' }).tagName).toBe('INS');
  expect(rows[0]!.textContent).toContain('Changed by Pell Quarrier');
  expect(rows[0]!.textContent).toContain('It had been said by Maren Oxblood');
  expect(rows[1]!.textContent).toContain('Their own words before');
  store.dispatch(serverApi.util.resetApiState());
});
