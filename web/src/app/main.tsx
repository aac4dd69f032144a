import '@fontsource/barlow-condensed/latin-400.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import '@fontsource-variable/public-sans/wght.css';
import '@fontsource-variable/jetbrains-mono/wght.css';
import { ChakraProvider } from '@chakra-ui/react';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { makeSystem } from '../design/index.js';
import { router } from './router.js';
import { keepPending, makeStore } from './store.js';

const store = makeStore();
keepPending(store);
window.addEventListener('beforeunload', (event) => {
  if (store.getState().edits.pending.length) event.preventDefault();
});

/** Lets the browser answer in between: reading the program, laying the theme together and drawing are three tasks, none of them long. */
const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

const start = async (): Promise<void> => {
  await pause();
  const system = makeSystem();
  await pause();
  createRoot(document.getElementById('root')!).render(
    <StrictMode>
      <Provider store={store}>
        <ChakraProvider value={system}>
          <RouterProvider router={router} />
        </ChakraProvider>
      </Provider>
    </StrictMode>,
  );
};

void start();
