import { assess } from '#core/assess';
import { seededRandom } from '#core/base/random';
import { joinRuns, linksOf } from '#core/measure/join/join';
import { layRun } from '#core/measure/placement';
import type { Inspection, Tie } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import { settingsInForce } from '#core/model/job/settings';
import type { Entry } from '#core/model/log/entry';
import { foldLog } from '#core/model/log/fold';
import { accessOf } from '#core/testing/joined';
import { inspectionWith } from '#core/testing/long-log';
import type { Row } from './row';
import { timeTask } from './times';

/** Where the six runs go in, as shares of the line, and the way each faces. */
const RUNS = [
  ['A', 0, 'downstream'],
  ['B', 0.3, 'upstream'],
  ['B', 0.3, 'downstream'],
  ['C', 0.6, 'upstream'],
  ['C', 0.6, 'downstream'],
  ['D', 1, 'upstream'],
] as const;
/** Share of the line that each run goes through. */
const REACH = 0.45;
const STARTS_MS = Date.parse('2026-11-03T17:00:00Z');
const KINDS = [
  { kind: 'feature', feature: 'tee' },
  { kind: 'defect', defect: 'crack', form: 'open' },
  { kind: 'material', side: 'far', material: 'pvc', diameterIn: 6 },
  { kind: 'defect', defect: 'roots', extentRatio: 0.3, locus: 'joint' },
];

/** No run of them goes farther than a rod reaches, feet. */
const MOST_LENGTH_FT = 1_000;

/** Six runs over one line, of about `count` entries in all, tied at `tieCount` things that two saw. */
export function sixRunsWith(count: number, tieCount: number): Inspection {
  const random = seededRandom(11).next;
  const lengthFt = Math.min(count * 0.6, MOST_LENGTH_FT);
  const perRun = Math.floor(count / RUNS.length);
  const stepFt = (lengthFt * REACH) / perRun;
  const seen = new Map<number, { runId: string; entryId: string }[]>();
  const runs = RUNS.map(([accessPointId, share, facing], index): Run => {
    const id = `R${index + 1}`;
    const direction = facing === 'downstream' ? 1 : -1;
    const entries: Entry[] = [];
    // Things stand on one grid for all runs, so that two runs see the same ones.
    const first = Math.round((share * lengthFt) / stepFt);
    for (let step = 1; step < perRun; step += 1) {
      const thing = first + direction * step;
      const readingFt = Math.round((step * stepFt + random() * 0.4) * 10) / 10;
      const entryId = `${id}-${step}`;
      const at = new Date(STARTS_MS + (index * 86_400 + step) * 1000).toISOString();
      entries.push({
        id: entryId,
        at,
        pass: 'out',
        readingFt,
        ...KINDS[Math.abs(thing) % KINDS.length],
      } as Entry);
      const held = seen.get(thing);
      if (held) held.push({ runId: id, entryId });
      else seen.set(thing, [{ runId: id, entryId }]);
    }
    return {
      id,
      accessPointId,
      facing,
      zero: { at: 'horizontal', readingFt: 0, dropFt: 0 },
      cleanedBefore: 'none',
      aid: 'none',
      entries,
    };
  });
  const shared = [...seen.values()].filter((sightings) => sightings.length > 1);
  const every = Math.max(1, Math.floor(shared.length / tieCount));
  const ties = shared
    .filter((_, index) => index % every === 0)
    .slice(0, tieCount)
    .map((sightings, index): Tie => ({ id: `T${index + 1}`, label: 'thing', sightings }));
  const base = inspectionWith(1);
  return {
    ...base,
    accessPoints: ['A', 'B', 'C', 'D'].map((id) => accessOf(id)),
    runs,
    ties,
  };
}

/** Times joining, and the growth of deriving six joined runs. */
export async function benchJoin(): Promise<Row[]> {
  const six = sixRunsWith(5_000, 200);
  const settings = settingsInForce({});
  const axes = six.runs.map((run) => layRun(run, foldLog(run.entries), settings, null));
  const rows: Row[] = [];
  const time = async (what: string, aim: string, task: () => unknown, per?: number) => {
    const { p50, p99 } = await timeTask(task);
    const each = per === undefined ? '' : `, ${((p50 * 1000) / per).toFixed(1)} µs an entry`;
    rows.push({ what, aim, got: `${p50.toFixed(2)} ms (p99 ${p99.toFixed(2)})${each}` });
  };
  await time(`join 6 runs with ${six.ties.length} ties`, '–', () =>
    joinRuns(axes, { runId: 'R1', accessId: 'A' }, linksOf(axes, six.ties, [])),
  );
  for (const count of [200, 1_000, 5_000]) {
    const file = sixRunsWith(count, Math.min(800, count / 25));
    const entries = file.runs.reduce((sum, run) => sum + run.entries.length, 0);
    const what = `derive 6 joined runs, ${count.toLocaleString('en-US')} entries, ${file.ties.length} ties`;
    await time(what, '–', () => assess(file), entries);
  }
  return rows;
}
