import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/** The parts that the start reads one after the other are fetched together: the page names them all. */
const fetchedTogether: Plugin = {
  name: 'fetched-together',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle }) => {
      const parts = Object.values(bundle ?? {}).flatMap((part) =>
        part.type === 'chunk' &&
        /\/src\/(app\/(react|store|router)|design\/index)\.tsx?$/.test(part.facadeModuleId ?? '')
          ? [part.fileName, ...part.imports]
          : [],
      );
      return [...new Set(parts)].map((file) => ({
        tag: 'link',
        attrs: { rel: 'modulepreload', crossorigin: true, href: `/${file}` },
        injectTo: 'head' as const,
      }));
    },
  },
};

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), fetchedTogether],
  worker: { format: 'es' },
  // the server puts a new one into each page that it gives out
  html: { cspNonce: '__STYLE_NONCE__' },
  build: {
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 900,
    // fonts come as files: the page takes none out of addresses that hold their bytes
    assetsInlineLimit: (path) => (path.endsWith('.woff2') ? false : undefined),
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4170' } },
});
