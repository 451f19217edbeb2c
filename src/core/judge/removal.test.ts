import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import type { Inspection } from '../model/job/inspection';
import type { Entry } from '../model/log/entry';
import { DEMO_NAMES, demoInspection } from '../testing/demo-inspections';
import { anyScopedLine } from '../testing/scoped-line';
import type { Assessment } from './assessment';
import type { Overall } from './verdict';

/** How many made logs are taken apart; `MADE_LOGS=500` as many as one wants. */
const MADE = Number(process.env['MADE_LOGS'] ?? 100);

/** What a verdict says for a line. One that asks for work, and one that cannot be given, say nothing for it. */
const PRAISE: Record<Overall, number> = {
  serviceable: 3,
  'serviceable-with-upkeep': 2,
  inconclusive: 0,
  'repair-needed': 0,
  'not-serviceable': 0,
};

/**
 * Entries that speak for a line, or only place and name things. What speaks against it (a defect, a stretch
 * that could not be seen, water that ran, a fixture that was run, a flag) says less when it is gone, by its nature.
 */
function speaksFor(entry: Entry): boolean {
  if (entry.replaces !== undefined) return false;
  switch (entry.kind) {
    case 'water':
      return entry.state === 'drained' || entry.state === 'none';
    case 'material':
      return entry.joint !== 'lip' && entry.lipIn === undefined;
    case 'zone':
    case 'feature':
    case 'locate':
    case 'end':
    case 'home':
    case 'clear':
    case 'advice':
    case 'surface':
    case 'setup':
    case 'photo':
    case 'note':
      return true;
    default:
      return false;
  }
}

function without(inspection: Inspection, runAt: number, entryAt: number): Inspection {
  const runs = inspection.runs.map((run, at) =>
    at === runAt ? { ...run, entries: run.entries.filter((_, index) => index !== entryAt) } : run,
  );
  return { ...inspection, runs };
}

function expectNoMore(more: Assessment, less: Assessment, what: string): void {
  const known = new Set(more.absences);
  expect([what, less.absences.filter((kind) => !known.has(kind))]).toEqual([what, []]);
  expect([what, PRAISE[less.overall]]).toEqual([
    what,
    Math.min(PRAISE[less.overall], PRAISE[more.overall]),
  ]);
  // A homecoming only moves footages, by no more than the counter was out; and without its
  // end a line goes on to where the camera stopped, half a foot past the tap.
  const slipFt = more.lateral.axes.reduce(
    (most, { home }) => Math.max(most, Math.abs(home.misclosureFt)),
    0.5,
  );
  expect([what, less.lateral.coverage.clearFt <= more.lateral.coverage.clearFt + slipFt]).toEqual([
    what,
    true,
  ]);
  if (more.completeness === 'partial') expect([what, less.completeness]).toEqual([what, 'partial']);
}

function takeApart(inspection: Inspection): void {
  const whole = assess(inspection);
  // A tie lays the runs: without it the same feet lie elsewhere.
  const tied = new Set(
    inspection.ties.flatMap(({ sightings }) => sightings.map(({ entryId }) => entryId)),
  );
  inspection.runs.forEach((run, runAt) =>
    run.entries.forEach((entry, entryAt) => {
      // Without a later change of pipe the one before it is said to go on: another word, and not less.
      const isFirstPipe = run.entries.findIndex(({ kind }) => kind === 'material') === entryAt;
      if (entry.kind === 'material' && !isFirstPipe) return;
      if (!speaksFor(entry) || tied.has(entry.id)) return;
      const what = `${entry.kind} at ${entry.readingFt}`;
      expectNoMore(whole, assess(without(inspection, runAt, entryAt)), what);
    }),
  );
}

describe('taking an entry out of a log never lets the report claim more', () => {
  it.each(DEMO_NAMES)('in %s', (name) => {
    takeApart(demoInspection(name));
  });

  it('in made logs', () => {
    fc.assert(fc.property(anyScopedLine, takeApart), { numRuns: MADE });
  }, 600_000);
});
