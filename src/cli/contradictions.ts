import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { assess } from '#core/assess';
import { sayFault } from '#core/base/fault';
import { readInspectionFile } from '#core/interchange/inspection-file';
import type { Inspection } from '#core/model/job/inspection';
import { findContradictions } from '#core/report/contradictions';
import { anyMadeInspection } from '#core/testing/made';

const USAGE =
  'usage: npm run -s contradictions -- FILE.chert.json …   (or --made 3000 for as many made logs)';
/** Exit codes: something disagrees; a file cannot be read. */
const DISAGREES = 1;
const BAD_FILE = 2;

function readFile(path: string): Inspection {
  const outcome = readInspectionFile(readFileSync(path === '-' ? 0 : path, 'utf8'));
  if (outcome.ok) return outcome.value;
  process.stderr.write(`${path}:\n${outcome.faults.map(sayFault).join('\n')}\n`);
  return process.exit(BAD_FILE);
}

const args = process.argv.slice(2);
const made = args[0] === '--made' ? Number(args[1] ?? 3000) : 0;
if (args.length === 0 || !Number.isInteger(made)) {
  process.stderr.write(`${USAGE}\n`);
  process.exit(BAD_FILE);
}
const jobs: (readonly [string, Inspection])[] =
  made > 0
    ? fc
        .sample(anyMadeInspection, { numRuns: made, seed: 20 })
        .map((one, at) => [`made ${at + 1}`, one] as const)
    : args.map((path) => [path, readFile(path)] as const);
let count = 0;
for (const [name, inspection] of jobs)
  for (const { where, what } of findContradictions(assess(inspection))) {
    count += 1;
    process.stdout.write(`${name} · ${where}: ${what}\n`);
  }
process.stdout.write(
  count === 0 ? `Nothing disagrees in ${jobs.length} jobs.\n` : `${count} disagree.\n`,
);
process.exit(count === 0 ? 0 : DISAGREES);
