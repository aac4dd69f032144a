import '@fontsource/barlow-condensed/latin-400.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import '@fontsource-variable/public-sans/wght.css';
import '@fontsource-variable/jetbrains-mono/wght.css';

/** Lets the browser answer in between: the parts of the program, which the page fetches together, are read one after the other, none of them long. */
const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

const start = async (): Promise<void> => {
  const {
    createElement,
    createRoot,
    startTransition,
    CacheProvider,
    ChakraProvider,
    createCache,
    Provider,
    RouterProvider,
    StrictMode,
  } = await import('./react.js');
  await pause();
  const { makeSystem } = await import('../design/index.js');
  await pause();
  const system = makeSystem();
  await pause();
  const { makeStore } = await import('./store.js');
  const store = makeStore();
  window.addEventListener('beforeunload', (event) => {
    if (store.getState().edits.pending.length) event.preventDefault();
  });
  await pause();
  const { router } = await import('./router.js');
  await pause();
  const routed = createElement(RouterProvider, { router });
  const themed = createElement(ChakraProvider, { value: system, children: routed });
  const nonce = document.querySelector<HTMLMetaElement>('meta[property=csp-nonce]')?.nonce;
  const styled = createElement(CacheProvider, {
    value: createCache({ key: 'css', ...(nonce ? { nonce } : {}) }),
    children: themed,
  });
  const stored = createElement(Provider, { store, children: styled });
  const root = createRoot(document.getElementById('root')!);
  // drawn in slices
  startTransition(() => root.render(createElement(StrictMode, null, stored)));
};

void start();
