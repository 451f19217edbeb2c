import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { AstroIntegration } from 'astro';
import { build } from 'esbuild';

function filesUnder(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesUnder(path) : [path];
  });
}

/** Bundles the service worker beside the built pages, with the list of files it keeps. */
export function serviceWorker(): AstroIntegration {
  return {
    name: 'chert-service-worker',
    hooks: {
      'astro:build:done': async ({ dir }) => {
        const folder = fileURLToPath(dir);
        const files = filesUnder(folder).filter((path) => !path.endsWith('service-worker.js'));
        const precache = files.map((path) => {
          const url = `/${relative(folder, path)}`;
          const revision = createHash('sha256')
            .update(readFileSync(path))
            .digest('hex')
            .slice(0, 16);
          // Names under _astro carry a hash of their content already.
          return { url, revision: url.startsWith('/_astro/') ? null : revision };
        });
        await build({
          entryPoints: [fileURLToPath(new URL('./service-worker.ts', import.meta.url))],
          outfile: join(folder, 'service-worker.js'),
          bundle: true,
          minify: true,
          format: 'iife',
          target: 'es2022',
          define: {
            PRECACHE: JSON.stringify(precache),
            'process.env.NODE_ENV': '"production"',
          },
          logLevel: 'error',
        });
      },
    },
  };
}
