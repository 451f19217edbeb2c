import { existsSync } from 'node:fs';
import { fileURLToPath, pathToFileURL } from 'node:url';

// node scripts/built.mjs NAME …: runs a tool of the built app, as whoever runs Chert does.
const NOT_READY = 2;
const [name = ''] = process.argv.splice(2, 1);
const path = fileURLToPath(new URL(`../dist/server/${name}.mjs`, import.meta.url));
if (!existsSync(path)) {
  console.error(`${path}: expected a built app, got nothing. Run: npm run build`);
  process.exit(NOT_READY);
}
await import(pathToFileURL(path).href);
