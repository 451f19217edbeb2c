import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { assess } from '#core/assess';
import { sayFault } from '#core/base/fault';
import { readInspectionFile } from '#core/interchange/inspection-file';
import type { Inspection } from '#core/model/job/inspection';
import { anyMadeInspection } from '#core/testing/made';
import { traceDocuments } from '#core/trace/trace';

const USAGE =
  'usage: npm run -s trace -- FILE.chert.json …   (or --made 2000 for as many made logs)';
/** Exit codes: something has no source; a file cannot be read. */
const UNTRACED = 1;
const BAD_FILE = 2;

function readFile(path: string): Inspection {
  const outcome = readInspectionFile(readFileSync(path === '-' ? 0 : path, 'utf8'));
  if (outcome.ok) return outcome.value;
  process.stderr.write(`${path}:\n${outcome.faults.map(sayFault).join('\n')}\n`);
  return process.exit(BAD_FILE);
}

const args = process.argv.slice(2);
const made = args[0] === '--made' ? Number(args[1] ?? 2000) : 0;
if (args.length === 0 || !Number.isInteger(made)) {
  process.stderr.write(`${USAGE}\n`);
  process.exit(BAD_FILE);
}
const jobs: (readonly [string, Inspection])[] =
  made > 0
    ? fc
        .sample(anyMadeInspection, { numRuns: made, seed: 17 })
        .map((one, at) => [`made ${at + 1}`, one] as const)
    : args.map((path) => [path, readFile(path)] as const);
let count = 0;
for (const [name, inspection] of jobs) {
  for (const { document, where, claim, why, text } of traceDocuments(assess(inspection))) {
    count += 1;
    process.stdout.write(`${name} · ${document} · ${where}: ${claim}: ${why}\n    “${text}”\n`);
  }
}
process.stdout.write(`${jobs.length} jobs, ${count} claims without a source\n`);
process.exitCode = count > 0 ? UNTRACED : 0;
