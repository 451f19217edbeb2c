import { readFileSync } from 'node:fs';
import { assess } from '#core/assess';
import { sayFault } from '#core/base/fault';
import { derivedJson } from '#core/interchange/derived-json';
import { readInspectionFile } from '#core/interchange/inspection-file';

/** Exit code for a file that cannot be read as an inspection. */
const BAD_FILE = 2;

function fail(lines: readonly string[]): never {
  process.stderr.write(`${lines.join('\n')}\n`);
  process.exit(BAD_FILE);
}

function readText(path: string): string {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return fail([`${path}: expected a file that can be read, got ${why}`]);
  }
}

const [path, ...rest] = process.argv.slice(2);
if (path === undefined || rest.length > 0) {
  fail(['usage: npm run -s derive -- FILE.chert.json   (or - for standard input)']);
}
const outcome = readInspectionFile(readText(path));
if (!outcome.ok) fail(outcome.faults.map(sayFault));
process.stdout.write(`${JSON.stringify(derivedJson(assess(outcome.value)), null, 2)}\n`);
