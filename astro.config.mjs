import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';
import { compressed } from './src/workers/build-compressed.ts';
import { serverScripts } from './src/workers/build-server-scripts.ts';
import { serviceWorker } from './src/workers/build-service-worker.ts';

export default defineConfig({
  output: 'server',
  // Behind a front of Chert's own, which keeps what takes long off the thread that takes connections.
  adapter: node({ mode: 'middleware' }),
  // Whole pages are sent at once, and drawn in one go.
  integrations: [
    react({ experimentalDisableStreaming: true }),
    serviceWorker(),
    serverScripts(),
    compressed(),
  ],
  // `checkOrigin` compares with the request's own host; the middleware also knows CHERT_ORIGIN.
  security: { checkOrigin: false },
  devToolbar: { enabled: false },
  server: { host: '127.0.0.1', port: 4870 },
  experimental: {
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' data: blob:",
        "media-src 'self' blob:",
        "font-src 'self'",
        "connect-src 'self'",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ],
    },
  },
  vite: {
    build: { assetsInlineLimit: 0 },
    ssr: { external: ['better-sqlite3', '@aws-sdk/client-s3'] },
  },
});
