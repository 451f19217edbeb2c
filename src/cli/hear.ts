import { readFileSync } from 'node:fs';
import { hear } from '#core/speech/hear/hear';

const USAGE = 'usage: npm run -s hear -- FILE.vtt|srt|txt';
const [path] = process.argv.slice(2);
if (path === undefined) {
  process.stderr.write(`${USAGE}\n`);
  process.exit(2);
}
let text: string;
try {
  text = readFileSync(path === '-' ? 0 : path, 'utf8');
} catch (error) {
  process.stderr.write(`${path}: ${error instanceof Error ? error.message : 'cannot be read'}\n`);
  process.exit(2);
}
process.stdout.write(`${JSON.stringify(hear(text), null, 2)}\n`);
