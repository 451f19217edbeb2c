import { seededRandom } from '#core/base/random';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import { generateLateral } from '#core/simulator/generate';
import { jobFromLateral } from '#core/simulator/job-from-lateral';
import { scopeRun } from '#core/simulator/script/scope-run';
import type { LateralTruth, TruthFeature, TruthLine } from '#core/simulator/truth';
import { DEFAULT_PREFERENCES } from '#core/site/equipment';

/** A lateral scoped by three runs from two accesses, and what each entry truly is. */
export type Scene = {
  readonly inspection: Inspection;
  /** Station of the reference access on the truth's axis, feet. */
  readonly referenceFt: number;
  /** The true station of a feature's entry, feet on the truth's axis; `null` for other entries. */
  readonly trueFtOf: (runId: string, entryId: string) => number | null;
};

const EXTRA = ['tee', 'wye', 'coupling', 'tee', 'test-tee'] as const;
const STARTS_AT = [
  '2026-11-03T09:00:00-08:00',
  '2026-11-03T10:00:00-08:00',
  '2026-11-03T11:00:00-08:00',
];
/** The head that gets round the most. */
const SMALLEST = [...DEFAULT_PREFERENCES.equipment.heads].sort(
  (a, b) => a.diameterIn - b.diameterIn,
)[0]!;
/** Features nobody sees with the camera, or that end a line. */
const NOT_SEEN = ['property-line', 'main-tap', 'tank'];

/** The house line with five more things on it, so that there is something to tie. */
function furnish(line: TruthLine, seed: number): TruthLine {
  const random = seededRandom(seed * 7919 + 3);
  const extra = EXTRA.map((feature, index): TruthFeature => {
    const atFt = line.lengthFt * (0.12 + 0.17 * index) + random.between(-2.5, 2.5);
    return {
      feature,
      atFt: Math.round(atFt * 10) / 10,
      clock: random.oneOf([2, 3, 9, 10]),
    };
  });
  const isFree = ({ atFt }: TruthFeature) =>
    line.features.every((one) => Math.abs(one.atFt - atFt) > 1.5);
  const features = [...line.features, ...extra.filter(isFree)].sort((a, b) => a.atFt - b.atFt);
  return { ...line, features };
}

/** Adds a two-way cleanout well down the line, from which two more runs go. */
function withSecondAccess(truth: LateralTruth, seed: number): LateralTruth {
  const house = truth.lines[0]!;
  const line = furnish(house, seed);
  const first = truth.accesses.find(({ lineId, usable }) => lineId === house.id && usable)!;
  const atFt = Math.round(
    first.atFt + (line.lengthFt - first.atFt) * (0.55 + 0.3 * seededRandom(seed).next()),
  );
  return {
    ...truth,
    lines: [line, ...truth.lines.slice(1)],
    accesses: [
      first,
      {
        ...first,
        id: 'Z',
        kind: 'two-way-cleanout',
        atFt,
        ways: ['upstream', 'downstream'],
        dropFt: 3,
        bendsDeg: [45, 45],
        bendRadiusIn: 8,
      },
    ],
  };
}

/** Scopes a lateral three times: down from its access, and up and down from another. */
export function makeScene(laterals: readonly LateralTruth[], seed: number): Scene {
  // Every other one is a lateral that nobody drew.
  const drawn = laterals[(seed >> 1) % laterals.length]!;
  const truth = withSecondAccess(seed % 2 === 0 ? drawn : generateLateral(seed), seed);
  const [first, second] = truth.accesses;
  const job = jobFromLateral(truth, {
    id: `recover-${seed}`,
    scheduledFor: STARTS_AT[0]!,
    inspector: 'Script',
    seed,
  });
  const plans = [
    [first!, 'downstream'],
    [second!, 'upstream'],
    [second!, 'downstream'],
  ] as const;
  const runs = plans.map(([{ id }, facing], index) =>
    scopeRun(
      truth,
      { runId: `R${index + 1}`, accessId: id, facing, head: SMALLEST.name, aid: 'none', zeroFt: 3 },
      seed * 31 + index,
      STARTS_AT[index]!,
    ),
  );
  const trueFt = new Map<string, number>();
  for (const run of runs) {
    for (const entry of run.entries) {
      if (entry.kind !== 'feature' || NOT_SEEN.includes(entry.feature)) continue;
      const at = nearestTrue(truth, run, entry.feature, entry.readingFt!);
      if (at !== null) trueFt.set(`${run.id} ${entry.id}`, at);
    }
  }
  return {
    inspection: { ...job, job: { ...job.job, referenceRunId: 'R1' }, runs },
    referenceFt: first!.atFt,
    trueFtOf: (runId, entryId) => trueFt.get(`${runId} ${entryId}`) ?? null,
  };
}

/** What an entry really saw: the feature of its kind nearest to where its reading would have it. */
function nearestTrue(
  truth: LateralTruth,
  run: Run,
  feature: string,
  readingFt: number,
): number | null {
  const access = truth.accesses.find(({ id }) => id === run.accessPointId)!;
  const alongFt = readingFt - run.zero.readingFt - run.zero.dropFt;
  const wouldBeFt = access.atFt + (run.facing === 'downstream' ? alongFt : -alongFt);
  const [nearest] = truth.lines[0]!.features.filter((one) => one.feature === feature).sort(
    (a, b) => Math.abs(a.atFt - wouldBeFt) - Math.abs(b.atFt - wouldBeFt),
  );
  return nearest && Math.abs(nearest.atFt - wouldBeFt) < 5 ? nearest.atFt : null;
}
