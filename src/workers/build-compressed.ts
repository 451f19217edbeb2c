import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import type { AstroIntegration } from 'astro';

/** Text worth making smaller; fonts and pictures are small already. */
const TEXT = /\.(js|css|svg|json|webmanifest)$/;
/** Below this a smaller file is sent in as many packets, bytes. */
const WORTH_BYTES = 1_024;

/** Keeps each text file of the built app as brotli and gzip beside it, once, so that no request waits for it. */
export function compressed(): AstroIntegration {
  let folder = '';
  return {
    name: 'chert-compressed',
    hooks: {
      'astro:config:done': ({ config }) => {
        folder = fileURLToPath(config.build.client);
      },
      'astro:build:done': () => {
        for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
          if (!TEXT.test(name)) continue;
          const path = join(folder, name);
          const bytes = readFileSync(path);
          if (bytes.byteLength < WORTH_BYTES) continue;
          const params = { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY };
          writeFileSync(`${path}.br`, brotliCompressSync(bytes, { params }));
          writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
        }
      },
    },
  };
}
