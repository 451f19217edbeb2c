import { assess } from '#core/assess';
import { findContradictions } from '#core/report/contradictions';
import { jobsOfArgs } from './jobs-of-args';

/** Exit code: something disagrees. */
const DISAGREES = 1;

const jobs = jobsOfArgs('contradictions', 3000, 20);
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
