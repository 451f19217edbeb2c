import { assess } from '#core/assess';
import { derivedJson } from '#core/interchange/derived-json';
import { readInspectionFile, writeInspectionFile } from '#core/interchange/inspection-file';
import { composeReport } from '#core/report/compose';
import { buildSection } from '#core/section/build';
import { parseCallout } from '#core/speech/parse';
import { inspectionWith } from '#core/testing/long-log';
import { leastOf } from './limit';
import type { Row } from './row';
import { timeTask } from './times';

const SIZES = [200, 1_000, 5_000, 20_000];
const say = ({ p50, p99 }: { readonly p50: number; readonly p99: number }) =>
  `${p50.toFixed(2)} ms (p99 ${p99.toFixed(2)})`;

/** Times deriving beside the least that a log needs, and how it grows. */
async function benchDeriving(): Promise<Row[]> {
  const rows: Row[] = [];
  let before: { readonly size: number; readonly p50: number } | null = null;
  for (const size of SIZES) {
    const job = inspectionWith(size);
    const least = await timeTask(() => leastOf(job));
    const whole = await timeTask(() => assess(job));
    const growth = before ? whole.p50 / before.p50 / (size / before.size) : null;
    const grown = growth === null ? '' : `; ${growth.toFixed(2)} times linear from the size before`;
    rows.push({
      what: `derive, ${size.toLocaleString('en-US')} entries`,
      aim: 'growth ≤ 1.3',
      got: `${say(whole)}; the least program ${least.p50.toFixed(2)} ms, ${(whole.p50 / least.p50).toFixed(0)} times it${grown}`,
    });
    before = { size, p50: whole.p50 };
  }
  return rows;
}

/** Times the core's main doors. */
export async function benchCore(): Promise<Row[]> {
  const middle = inspectionWith(200);
  const text = writeInspectionFile(inspectionWith(5_000));
  const small = assess(middle);
  const context = {
    counterFt: 20,
    pass: 'out',
    boreHereIn: 4,
    standing: middle.runs[0]!.entries,
    openIds: new Set<string>(),
  } as const;
  const tasks: [string, string, () => unknown][] = [
    ['derive and print, 200 entries', '≤ 30 ms', () => JSON.stringify(derivedJson(assess(middle)))],
    ['read and check a file of 5,000 entries', '–', () => readInspectionFile(text)],
    // What was worked out is remembered by what it was worked out of: a copy each time.
    ['compose a report, plans and all, 200 entries', '–', () => composeReport({ ...small })],
    [
      'build the Section, 200 entries',
      '–',
      () => buildSection(small, { width: 1248, height: 206 }),
    ],
    [
      'read a call-out',
      '≤ 2 ms',
      () => parseCallout('roots 57 10 to 2 60% in the barrel', context),
    ],
  ];
  const rows = await benchDeriving();
  for (const [what, aim, task] of tasks) rows.push({ what, aim, got: say(await timeTask(task)) });
  return rows;
}
