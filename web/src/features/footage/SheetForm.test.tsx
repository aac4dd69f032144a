/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { ChakraProvider } from '@chakra-ui/react';
import { configureStore } from '@reduxjs/toolkit';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { libraryWith } from '../../../test/library.js';
import { makeSystem } from '../../design/index.js';
import { queueSlice } from '../replica/index.js';
import { libraryApi, serverApi } from '../server/index.js';
import { sheetForFile, type Sheet } from './sheet.js';
import { SheetForm } from './SheetForm.js';

describe('the footage sheet on screen', () => {
  let forget: () => void = () => undefined;
  afterEach(() => {
    cleanup();
    forget();
  });
  const show = async () => {
    const store = configureStore({
      reducer: { server: serverApi.reducer, edits: queueSlice.reducer },
      middleware: (all) => all().concat(serverApi.middleware),
    });
    forget = () => void store.dispatch(serverApi.util.resetApiState());
    await store.dispatch(libraryApi.util.upsertQueryData('library', undefined, libraryWith([])));
    const onSubmit = jest.fn<(sheet: Sheet) => void>();
    render(
      <Provider store={store}>
        <ChakraProvider value={makeSystem()}>
          <SheetForm
            title="sheet"
            start={sheetForFile('round.mp4')}
            submit="go"
            waiting={false}
            onSubmit={onSubmit}
            onCancel={() => undefined}
          />
        </ChakraProvider>
      </Provider>,
    );
    return { user: userEvent.setup(), onSubmit };
  };

  test('when what will be clipped is not said, it should be asked for before anything is kept', async () => {
    const { user, onSubmit } = await show();
    await user.type(screen.getByLabelText(/First athlete/), 'Somebody');
    await user.type(screen.getByLabelText(/Second athlete/), 'Somebody Else');
    await user.click(screen.getByRole('button', { name: 'go' }));
    expect(onSubmit).not.toHaveBeenCalled();
    expect(screen.getByRole('alert').textContent).toBe('pick one');
    await user.click(screen.getByText('highlights only'));
    await user.click(screen.getByRole('button', { name: 'go' }));
    expect(onSubmit.mock.calls[0]![0]).toMatchObject({ logged: 'picked', agreed: [] });
  });

  test('when it is for the academy and nobody has agreed yet, the coach should be told, and may say so there', async () => {
    const { user, onSubmit } = await show();
    expect(screen.queryByTestId('consent')).toBeNull();
    await user.type(screen.getByLabelText(/First athlete/), 'Somebody');
    await user.type(screen.getByLabelText(/Second athlete/), 'Somebody Else');
    expect(screen.getByTestId('consent').textContent).toContain('Somebody and Somebody Else');
    await user.click(screen.getByLabelText(/^Somebody Else has agreed/));
    await user.click(screen.getByText('every attempt, both sides'));
    await user.click(screen.getByRole('button', { name: 'go' }));
    expect(onSubmit.mock.calls[0]![0]).toMatchObject({ logged: 'throughout', agreed: ['second'] });
    await user.click(screen.getByText('coaches only'));
    expect(screen.queryByTestId('consent')).toBeNull();
  });
});
