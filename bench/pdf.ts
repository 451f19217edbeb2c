import { assess } from '#core/assess';
import { composeReport } from '#core/report/compose';
import { drawForReport } from '#core/report/frozen';
import { DEMO_NAMES, demoInspection } from '#core/testing/demo-inspections';
import { printPdf } from '../src/pdf/print-pdf';
import type { Row } from './row';

/** Times the buyer's report as PDF, without stills, for every demo job, the first print of the process included. */
export async function benchPdf(): Promise<Row[]> {
  const measured: { name: string; ms: number; bytes: number }[] = [];
  for (const name of DEMO_NAMES) {
    const assessment = assess(demoInspection(name));
    const start = performance.now();
    const bytes = await printPdf({
      title: name,
      author: '',
      blocks: composeReport(assessment).blocks,
      section: drawForReport(assessment).paper,
      paper: 'letter',
      footer: '',
      stills: new Map(),
      at: new Date(0),
    });
    measured.push({ name, ms: performance.now() - start, bytes: bytes.byteLength });
  }
  const slowest = measured.reduce((most, one) => (one.ms > most.ms ? one : most));
  const largest = measured.reduce((most, one) => (one.bytes > most.bytes ? one : most));
  return [
    {
      what: `slowest PDF of ${measured.length} demo jobs (${slowest.name}, fonts read)`,
      aim: '< 2 s',
      got: `${(slowest.ms / 1000).toFixed(2)} s`,
    },
    {
      what: `largest PDF without stills (${largest.name})`,
      aim: '< 1 MB',
      got: `${Math.round(largest.bytes / 1024)} kB`,
    },
  ];
}
