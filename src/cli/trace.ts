import { assess } from '#core/assess';
import { traceDocuments } from '#core/trace/trace';
import { jobsOfArgs } from './jobs-of-args';

/** Exit code: something has no source. */
const UNTRACED = 1;

const jobs = jobsOfArgs('trace', 2000, 17);
let count = 0;
for (const [name, inspection] of jobs) {
  for (const { document, where, claim, why, text } of traceDocuments(assess(inspection))) {
    count += 1;
    process.stdout.write(`${name} · ${document} · ${where}: ${claim}: ${why}\n    “${text}”\n`);
  }
}
process.stdout.write(`${jobs.length} jobs, ${count} claims without a source\n`);
process.exitCode = count > 0 ? UNTRACED : 0;
