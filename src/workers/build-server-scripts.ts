import { fileURLToPath } from 'node:url';
import type { AstroIntegration } from 'astro';
import { build } from 'esbuild';

const source = (path: string) => fileURLToPath(new URL(`../${path}.ts`, import.meta.url));

/** What runs beside the built app, and how it is called there. Whoever runs Chert runs what was built. */
const SCRIPTS: Readonly<Record<string, string>> = {
  'app-thread': 'server/front/app-thread',
  serve: 'cli/serve',
  seed: 'cli/seed',
  owner: 'cli/owner',
  export: 'cli/export',
  media: 'cli/media',
  backup: 'cli/backup',
  restore: 'cli/restore',
  verify: 'cli/verify',
};

/** Bundles the server, its threads and its tools beside the built app. */
export function serverScripts(): AstroIntegration {
  let serverFolder = '';
  return {
    name: 'chert-server-scripts',
    hooks: {
      'astro:config:done': ({ config }) => {
        serverFolder = fileURLToPath(config.build.server);
      },
      'astro:build:done': async () => {
        await build({
          entryPoints: Object.entries(SCRIPTS).map(([out, path]) => ({ in: source(path), out })),
          outdir: serverFolder,
          outExtension: { '.js': '.mjs' },
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
