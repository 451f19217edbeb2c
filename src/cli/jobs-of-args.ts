import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { sayFault } from '#core/base/fault';
import { readInspectionFile } from '#core/interchange/inspection-file';
import type { Inspection } from '#core/model/job/inspection';
import { anyMadeInspection } from '#core/testing/made';

const BAD_FILE = 2;

function readFile(path: string): Inspection {
  const outcome = readInspectionFile(readFileSync(path === '-' ? 0 : path, 'utf8'));
  if (outcome.ok) return outcome.value;
  process.stderr.write(`${path}:\n${outcome.faults.map(sayFault).join('\n')}\n`);
  return process.exit(BAD_FILE);
}

/** The jobs that a command is asked about, by name: files, or `--made N` for as many made logs. Exits 2 where it cannot tell. */
export function jobsOfArgs(
  name: string,
  usualCount: number,
  seed: number,
): (readonly [string, Inspection])[] {
  const args = process.argv.slice(2);
  const made = args[0] === '--made' ? Number(args[1] ?? usualCount) : 0;
  if (args.length === 0 || !Number.isInteger(made)) {
    process.stderr.write(
      `usage: npm run -s ${name} -- FILE.chert.json …   (or --made ${usualCount} for as many made logs)\n`,
    );
    process.exit(BAD_FILE);
  }
  return made > 0
    ? fc
        .sample(anyMadeInspection, { numRuns: made, seed })
        .map((one, at) => [`made ${at + 1}`, one] as const)
    : args.map((path) => [path, readFile(path)] as const);
}
