import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { database, dataFolder } from '#server/database';

const root = process.cwd();
const entry = join(root, 'dist/server/entry.mjs');
if (!existsSync(entry)) {
  console.error('dist/server/entry.mjs: expected a built app, got nothing. Run: npm run build');
  process.exit(2);
}
process.env['CHERT_ROOT'] ??= root;
process.env['HOST'] ??= '127.0.0.1';
process.env['PORT'] ??= '4870';
// Without it the page renderer runs its development build, several times slower.
process.env['NODE_ENV'] ??= 'production';
// Migrations run before the first request can arrive.
database();
console.log(`Data: ${dataFolder()}`);
await import(pathToFileURL(entry).href);
