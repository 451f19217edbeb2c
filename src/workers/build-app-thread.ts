import { fileURLToPath } from 'node:url';
import type { AstroIntegration } from 'astro';
import { build } from 'esbuild';

/** Bundles the script of the server's threads beside the built app, which it loads. */
export function appThread(): AstroIntegration {
  let serverFolder = '';
  return {
    name: 'chert-app-thread',
    hooks: {
      'astro:config:done': ({ config }) => {
        serverFolder = fileURLToPath(config.build.server);
      },
      'astro:build:done': async () => {
        await build({
          entryPoints: [fileURLToPath(new URL('../server/front/app-thread.ts', import.meta.url))],
          outfile: `${serverFolder}/app-thread.mjs`,
          bundle: true,
          packages: 'external',
          platform: 'node',
          format: 'esm',
          target: 'node20',
          logLevel: 'error',
        });
      },
    },
  };
}
