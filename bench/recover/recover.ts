import { assess } from '#core/assess';
import { seededRandom } from '#core/base/random';
import type { Assessment } from '#core/judge/assessment';
import { digitsOf } from '#core/measure/join/causes/cause';
import { suggestTies } from '#core/measure/join/suggest';
import type { Inspection, Tie } from '#core/model/job/inspection';
import type { Entry } from '#core/model/log/entry';
import type { LateralTruth } from '#core/simulator/truth';
import { percentile } from '../times';
import { makeScene, type Scene } from './scene';

type Errors = { readonly errorsFt: number[]; readonly sigmas: number[] };
const noErrors = (): Errors => ({ errorsFt: [], sigmas: [] });

/** What many seeds gave. */
export type Recovered = {
  scenes: number;
  /** Scenes in which every run found its place. */
  placed: number;
  readonly all: Errors;
  readonly reference: Errors;
  readonly others: Errors;
  readonly ties: { offered: number; right: number };
  readonly swapped: { tried: number; caught: number; named: number; explained: number };
  readonly turned: { tried: number; caught: number; explained: number };
  readonly clean: { tried: number; alarms: number };
  /** Runs held by one tie: how often Chert said that nothing checks it. */
  readonly one: { tried: number; said: number };
  /** Runs held by two ties that disagree: how often both were named and neither blamed. */
  readonly two: { tried: number; said: number };
};

/** A log as it is when readings are said to the nearest foot, or whatever the grain is. */
function sayTo(inspection: Inspection, grainFt: number): Inspection {
  if (grainFt <= 0.1) return inspection;
  const round = (readingFt: number) => Math.round(readingFt / grainFt) * grainFt;
  const coarse = (entry: Entry): Entry =>
    entry.readingFt === null
      ? entry
      : {
          ...entry,
          readingFt: round(entry.readingFt),
          ...('toReadingFt' in entry ? { toReadingFt: round(entry.toReadingFt) } : {}),
        };
  return {
    ...inspection,
    runs: inspection.runs.map((run) => ({ ...run, entries: run.entries.map(coarse) })),
  };
}

/** Accepts every tie that Chert offers, as a hurried inspector would, until it offers none. */
export function tieAll(inspection: Inspection): Inspection {
  let now = inspection;
  for (let round = 0; round < 4; round += 1) {
    const { lateral, settings } = assess(now);
    const offered = suggestTies([...lateral.axes, ...lateral.unplaced], settings, new Set());
    if (offered.length === 0) break;
    const ties = new Map(now.ties.map((tie) => [tie.id, tie]));
    for (const { sightings, tieId, label } of offered) {
      const id = tieId ?? `T${ties.size + 1}`;
      const held = ties.get(id)?.sightings ?? [];
      const isNew = (one: (typeof sightings)[number]) =>
        !held.some((two) => two.runId === one.runId);
      ties.set(id, { id, label, sightings: [...held, ...sightings.filter(isNew)] });
    }
    now = { ...now, ties: [...ties.values()] };
  }
  return now;
}

export const isRight = ({ trueFtOf }: Scene, tie: Tie) =>
  new Set(tie.sightings.map(({ runId, entryId }) => trueFtOf(runId, entryId))).size === 1;

function noteErrors(scene: Scene, assessment: Assessment, into: Recovered): void {
  for (const feature of assessment.lateral.features) {
    const [first] = feature.sightings;
    const at = first ? scene.trueFtOf(first.runId, first.entryId) : null;
    if (at === null) continue;
    const errorFt = feature.stationFt - (at - scene.referenceFt);
    const isReference = feature.sightings.some(({ runId }) => runId === 'R1');
    for (const errors of [into.all, isReference ? into.reference : into.others]) {
      errors.errorsFt.push(errorFt);
      errors.sigmas.push(Math.abs(errorFt) / feature.sigmaFt);
    }
  }
}

const tiesOf = (inspection: Inspection, runId: string) =>
  inspection.ties.filter(({ sightings }) => sightings.some((one) => one.runId === runId));
const withRun = (
  inspection: Inspection,
  runId: string,
  change: (run: Inspection['runs'][number]) => object,
): Inspection => ({
  ...inspection,
  runs: inspection.runs.map((run) => (run.id === runId ? { ...run, ...change(run) } : run)),
});

/** The reading with its first two differing neighbours swapped; `null` when that changes nothing. */
function swapDigits(readingFt: number): number | null {
  const [whole, tenth] = digitsOf(readingFt);
  for (let at = 0; at + 1 < whole.length; at += 1) {
    if (whole[at] !== whole[at + 1]) {
      return Number(
        `${whole.slice(0, at)}${whole[at + 1]!}${whole[at]!}${whole.slice(at + 2)}.${tenth}`,
      );
    }
  }
  return null;
}

function injectMisfits(tied: Inspection, seed: number, into: Recovered): void {
  const random = seededRandom(seed + 77);
  for (const runId of ['R2', 'R3']) {
    const ties = tiesOf(tied, runId);
    if (ties.length < 3) continue;
    const culprit = random.oneOf(ties);
    const { entryId } = culprit.sightings.find((one) => one.runId === runId)!;
    const entries = tied.runs.find(({ id }) => id === runId)!.entries;
    const entry = entries.find(({ id }) => id === entryId)!;
    const swapped = swapDigits(entry.readingFt!);
    if (swapped !== null) {
      const bad = withRun(tied, runId, () => ({
        entries: entries.map((one): Entry =>
          one === entry ? { ...entry, readingFt: swapped } : one,
        ),
      }));
      const { misfits } = assess(bad).lateral.join;
      into.swapped.tried += 1;
      if (misfits.length > 0) into.swapped.caught += 1;
      if (misfits.some(({ links }) => links.some(({ id }) => id === culprit.id)))
        into.swapped.named += 1;
      const explained = misfits.some(({ explanations }) =>
        explanations.some(({ cause }) => cause === 'swapped-digits'),
      );
      if (explained) into.swapped.explained += 1;
    }
    noteFew(tied, ties, runId, swapped, culprit, into);
    const turned = assess(withRun(tied, runId, turn)).lateral.join;
    into.turned.tried += 1;
    if (turned.misfits.length > 0 || turned.strained.length > 0) into.turned.caught += 1;
    if (
      turned.misfits.some(({ explanations }) =>
        explanations.some(({ cause }) => cause === 'wrong-facing'),
      )
    )
      into.turned.explained += 1;
  }
}

/** The same run held by one tie, and by two of which one is wrong: what Chert says then. */
function noteFew(
  tied: Inspection,
  ties: readonly Tie[],
  runId: string,
  swapped: number | null,
  culprit: Tie,
  into: Recovered,
): void {
  const two = tied.runs.filter(({ id }) => id === 'R1' || id === runId);
  const other = ties.find(
    (tie) => tie !== culprit && tie.sightings.some((one) => one.runId === 'R1'),
  );
  if (!other || !culprit.sightings.some((one) => one.runId === 'R1')) return;
  const only = (held: readonly Tie[]): Inspection => ({
    ...tied,
    runs: two,
    ties: held.map((tie) => ({
      ...tie,
      sightings: tie.sightings.filter((one) => two.some(({ id }) => id === one.runId)),
    })),
  });
  into.one.tried += 1;
  const alone = assess(only([other])).lateral.join;
  if (alone.unchecked.length === 1 && alone.misfits.length === 0) into.one.said += 1;
  if (swapped === null) return;
  const { entryId } = culprit.sightings.find((one) => one.runId === runId)!;
  const bad = withRun(only([other, culprit]), runId, ({ entries }) => ({
    entries: entries.map((one) => (one.id === entryId ? { ...one, readingFt: swapped } : one)),
  }));
  const { misfits } = assess(bad).lateral.join;
  if (misfits.length === 0) return;
  into.two.tried += 1;
  if (misfits.every(({ links }) => links.length === 2)) into.two.said += 1;
}

const turn = ({ facing }: Inspection['runs'][number]) => ({
  facing: facing === 'downstream' ? 'upstream' : 'downstream',
});

/**
 * Scopes, ties, derives and spoils one lateral for each seed.
 *
 * @param grainFt what readings are said to: the counter's tenth, or the whole foot.
 */
export function recover(
  laterals: readonly LateralTruth[],
  seeds: number,
  grainFt = 0.1,
): Recovered {
  const sum: Recovered = {
    scenes: 0,
    placed: 0,
    all: noErrors(),
    reference: noErrors(),
    others: noErrors(),
    ties: { offered: 0, right: 0 },
    swapped: { tried: 0, caught: 0, named: 0, explained: 0 },
    turned: { tried: 0, caught: 0, explained: 0 },
    clean: { tried: 0, alarms: 0 },
    one: { tried: 0, said: 0 },
    two: { tried: 0, said: 0 },
  };
  for (let seed = 1; seed <= seeds; seed += 1) {
    const scene = makeScene(laterals, seed);
    const offered = tieAll(sayTo(scene.inspection, grainFt));
    sum.scenes += 1;
    sum.ties.offered += offered.ties.length;
    // What follows is about joining, so a tie that was wrongly offered is counted above and left out.
    const right = offered.ties.filter((tie) => isRight(scene, tie));
    sum.ties.right += right.length;
    const tied = { ...offered, ties: right };
    const assessment = assess(tied);
    if (assessment.lateral.unplaced.length === 0) sum.placed += 1;
    noteErrors(scene, assessment, sum);
    if (right.length >= 3) {
      sum.clean.tried += 1;
      if (assessment.lateral.join.misfits.length > 0) sum.clean.alarms += 1;
    }
    injectMisfits(tied, seed, sum);
  }
  return sum;
}

/** Share of errors within so many σ. */
export const withinSigmas = ({ sigmas }: Errors, most: number) =>
  sigmas.filter((sigma) => sigma <= most).length / Math.max(1, sigmas.length);

/** What σ would have to be multiplied by for its errors to be of one σ, by mean square. */
export const sigmaShare = ({ sigmas }: Errors) =>
  Math.sqrt(sigmas.reduce((sum, sigma) => sum + sigma ** 2, 0) / Math.max(1, sigmas.length));

/** Feet of error: root mean square, 95th percentile and worst. */
export function feetOf({ errorsFt }: Errors) {
  const sizes = errorsFt.map(Math.abs).sort((a, b) => a - b);
  const meanSquare = sizes.reduce((sum, feet) => sum + feet ** 2, 0) / Math.max(1, sizes.length);
  return { rms: Math.sqrt(meanSquare), p95: percentile(sizes, 0.95), worst: sizes.at(-1) ?? 0 };
}
