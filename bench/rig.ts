import { assess } from '#core/assess';
import { createRig, type RigSetup } from '#core/simulator/rig';
import { compareWithTruth, originsOf } from '#core/simulator/script/compare';
import { planRuns, scopeLateral } from '#core/simulator/script/scope-lateral';
import type { LateralTruth } from '#core/simulator/truth';
import { readDemoLaterals } from '#core/testing/demo-laterals';
import { onRigPage, setupOf } from './rig-page';
import type { Row } from './row';
import { median, percentile } from './times';

const FOLDER = new URL(`file://${process.cwd()}/demo/laterals/`);
const SIZE = [640, 400] as const;
const SEEDS = 20;

function timeSteps(truths: readonly LateralTruth[]): number[] {
  return truths.flatMap((truth) => {
    const rig = createRig(truth, setupOf(truth), 1);
    rig.runWater(truth.fixtures[0]!);
    const times: number[] = [];
    for (let step = 0; step < 3000 && rig.state().warning === null; step += 1) {
      const startMs = performance.now();
      rig.advance(1 / 30, { motion: 'push', speedFtPerS: 0.7 });
      times.push(performance.now() - startMs);
    }
    return times.slice(100);
  });
}

/** Times the rig's step in this process, and its picture in Chromium with software GL. */
export async function benchRig(): Promise<Row[]> {
  const truths = readDemoLaterals(FOLDER);
  const steps = timeSteps(truths);
  type Timed = {
    timePictures: (
      truth: LateralTruth,
      setup: RigSetup,
      size: [number, number],
    ) => Promise<number[]>;
  };
  const pictures = await onRigPage('bench/picture-page.ts', async (page) => {
    const taken: number[] = [];
    for (const truth of truths) {
      const times = await page.evaluate(
        ([one, setup, size]) =>
          (window as unknown as Timed).timePictures(one, setup, [...size] as [number, number]),
        [truth, setupOf(truth), SIZE] as const,
      );
      taken.push(...times);
    }
    return taken;
  });
  const say = (times: readonly number[], digits: number) =>
    `median ${median(times).toFixed(digits)} ms, p90 ${percentile(times, 0.9).toFixed(digits)} ms, p99 ${percentile(times, 0.99).toFixed(digits)} ms`;
  return [
    { what: 'rig step, water running', aim: '< 1 ms', got: say(steps, 3) },
    {
      what: `picture at ${SIZE.join('×')}, software GL, every half foot of six laterals`,
      aim: '< 60 ms',
      got: say(pictures, 0),
    },
  ];
}

/** Scopes every lateral by script under many slips, and lays what was assessment beside the truth. */
export function compareLaterals(): string {
  const rows = readDemoLaterals(FOLDER).map((truth) => {
    const plans = planRuns(truth);
    const all = Array.from({ length: SEEDS }, (_, seed) =>
      compareWithTruth(
        truth,
        assess(scopeLateral(truth, plans, seed + 1)),
        originsOf(truth, plans),
      ),
    );
    const compared = all.flatMap(({ rows: one }) => one);
    const of = (outcome: string) =>
      compared.filter((one) => one.outcome === outcome).length / SEEDS;
    const errors = compared.flatMap(({ errorFt }) => (errorFt === null ? [] : [Math.abs(errorFt)]));
    const inSigmas = compared.flatMap(({ errorFt, sigmaFt }) =>
      errorFt === null ? [] : [Math.abs(errorFt) / sigmaFt!],
    );
    const madeUp = all.reduce((sum, { unexplained }) => sum + unexplained.length, 0) / SEEDS;
    return `| ${truth.title} | ${[of('found'), of('unseen'), of('unreached'), of('missed'), madeUp].map((count) => String(Math.round(count * 10) / 10)).join(' | ')} | ${median(errors).toFixed(2)} | ${Math.max(...errors).toFixed(2)} | ${Math.max(...inSigmas).toFixed(1)} |`;
  });
  return [
    `| lateral, mean of ${SEEDS} slips | found | unseen | not reached | missed | made up | median error, ft | worst, ft | worst, σ |`,
    '| --- | --- | --- | --- | --- | --- | --- | --- | --- |',
    ...rows,
  ].join('\n');
}
