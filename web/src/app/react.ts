/** What draws: a part of the program of its own, so that reading it is a task of its own. */
export { ChakraProvider } from '@chakra-ui/react';
export { default as createCache } from '@emotion/cache';
export { CacheProvider } from '@emotion/react';
export { StrictMode, createElement, startTransition } from 'react';
export { createRoot } from 'react-dom/client';
export { Provider } from 'react-redux';
export { RouterProvider } from 'react-router/dom';
