import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import fc from 'fast-check';
import { assess } from '#core/assess';
import { derivedJson } from '#core/interchange/derived-json';
import { DEMO_NAMES, demoInspection } from '#core/testing/demo-inspections';
import { inspectionWith } from '#core/testing/long-log';
import { anyMadeInspection } from '#core/testing/made';

/**
 * A digest of what the headless door prints for each demo job, for made ones and for two benchmark logs, one to a line.
 * Run before and after a change that should change nothing, and compare the two files.
 *
 *     npx tsx bench/door.ts FILE [MADE]
 */
const [file = 'door.txt', made = '500'] = process.argv.slice(2);
const jobs = [
  ...DEMO_NAMES.map(demoInspection),
  inspectionWith(200),
  inspectionWith(1_000),
  ...fc.sample(anyMadeInspection, { numRuns: Number(made), seed: 22 }),
];
/** A long log's plans are not what is asked here: of those only what is judged. */
const judged = [5_000].map((count) => {
  const { findings, checks, overall, absences, lateral } = assess(inspectionWith(count));
  return { findings, checks, overall, absences, segments: lateral.segments, grade: lateral.grade };
});
const lines = [...judged, ...jobs.map((job) => derivedJson(assess(job)))].map((door, index) => {
  const printed = JSON.stringify(door);
  return `${index} ${createHash('sha256').update(printed).digest('hex')} ${printed.length}`;
});
writeFileSync(file, `${lines.join('\n')}\n`);
