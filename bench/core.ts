import { assess } from '#core/assess';
import { derivedJson } from '#core/interchange/derived-json';
import { readInspectionFile, writeInspectionFile } from '#core/interchange/inspection-file';
import { composeReport } from '#core/report/compose';
import { buildSection } from '#core/section/build';
import { parseCallout } from '#core/speech/parse';
import { inspectionWith } from '#core/testing/long-log';
import type { Row } from './row';
import { timeTask } from './times';

/** Times the core's main doors on logs of growing length. */
export async function benchCore(): Promise<Row[]> {
  const sizes = [200, 1_000, 5_000, 20_000];
  const files = new Map(sizes.map((size) => [size, inspectionWith(size)]));
  const middle = files.get(200)!;
  const text = writeInspectionFile(files.get(5_000)!);
  const small = assess(middle);
  const aims: Record<number, string> = { 200: '3 ms', 5_000: '60 ms' };
  const context = {
    counterFt: 20,
    pass: 'out',
    boreHereIn: 4,
    standing: middle.runs[0]!.entries,
    openIds: new Set<string>(),
  } as const;
  const tasks: [string, string, () => unknown][] = [
    ...sizes.map((size): [string, string, () => unknown] => [
      `derive, ${size.toLocaleString('en-US')} entries`,
      aims[size] ?? '–',
      () => assess(files.get(size)!),
    ]),
    ['derive and print, 200 entries', '–', () => JSON.stringify(derivedJson(assess(middle)))],
    ['read and check a file of 5,000 entries', '–', () => readInspectionFile(text)],
    ['compose a report, 200 entries', '–', () => composeReport(small)],
    [
      'build the Section, 200 entries',
      '–',
      () => buildSection(small, { width: 1248, height: 206 }),
    ],
    ['read a call-out', '–', () => parseCallout('roots 57 10 to 2 60% in the barrel', context)],
  ];
  const rows: Row[] = [];
  for (const [what, aim, task] of tasks) {
    const { p50, p99 } = await timeTask(task);
    rows.push({ what, aim, got: `${p50.toFixed(2)} ms (p99 ${p99.toFixed(2)})` });
  }
  return rows;
}
