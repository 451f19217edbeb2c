import loadHighs from 'highs';
import { assess } from '#core/assess';
import { choose } from '#core/planning/choose/choose';
import { startPlay, USUAL_HISTORIES } from '#core/planning/futures/play';
import { repairOf } from '#core/planning/repair';
import { denseProblem, randomProblem } from '#core/testing/choosing';
import { demoInspection } from '#core/testing/demo-inspections';
import { integerProgramOf } from '#core/testing/integer-program';
import type { Row } from './row';
import { median, percentile } from './times';

const CASES = 100;
/** Sizes at which the solver is asked as well. */
const BOTH = [7, 20, 40];
const ALONE = [100, 200];

function timed(task: () => void): number {
  const start = performance.now();
  task();
  return performance.now() - start;
}

const say = (times: readonly number[]) =>
  `median ${median(times).toFixed(2)} ms, p99 ${percentile(times, 0.99).toFixed(2)} ms`;

/** Times choosing beside an integer-programming solver on the same problems, and says whether they agree. */
export async function compareChoosing(): Promise<string> {
  const solver = await loadHighs();
  for (let seed = 1; seed <= 200; seed += 1) choose(randomProblem(seed, 20));
  const rows = [...BOTH, ...ALONE].map((count) => {
    const problems = Array.from({ length: CASES }, (_, index) => randomProblem(index + 1, count));
    const costs = problems.map((problem) => choose(problem)!.cost);
    const ours = problems.map((problem) => timed(() => choose(problem)));
    if (!BOTH.includes(count)) return `| ${count} | ${say(ours)} | – | – | – |`;
    const programs = problems.map(integerProgramOf);
    const solved = programs.map((program) => solver.solve(program).ObjectiveValue);
    const theirs = programs.map((program) => timed(() => solver.solve(program)));
    const equal = costs.filter((cost, index) => Math.abs(cost - solved[index]!) < 1e-3).length;
    const faster = median(theirs.map((time, index) => time / ours[index]!));
    return `| ${count} | ${say(ours)} | ${say(theirs)} | ${faster.toFixed(0)} times | ${equal} of ${CASES} |`;
  });
  return [
    '| findings | Chert | HiGHS | Chert is faster by | same optimum |',
    '| --- | --- | --- | --- | --- |',
    ...rows,
  ].join('\n');
}

/** How close two hundred findings may lie, feet. */
const DENSITIES = [1 / 12, 0.25, 0.5, 1, 4];

/** Times choosing among two hundred findings however close they lie, and counts the choices that are not proved. */
export const benchDensity = (): Row[] =>
  DENSITIES.map((feetApart) => {
    const choices = Array.from({ length: CASES }, (_, index) => {
      const problem = denseProblem(index + 1, 200, feetApart);
      let isExact = false;
      const ms = timed(() => (isExact = choose(problem)!.isExact));
      return { ms, isExact };
    });
    const proved = choices.filter(({ isExact }) => isExact).length;
    return {
      what: `choose among 200 findings, ${feetApart < 1 ? `${Math.round(feetApart * 12)} in` : `${feetApart} ft`} apart`,
      aim: 'p99 ≤ 50 ms, all proved',
      got: `${say(choices.map(({ ms }) => ms))}; ${proved} of ${CASES} proved`,
    };
  });

/** Times the plans of a job, and its futures, in this process. */
export function benchRepair(): Row[] {
  const assessment = assess(demoInspection('alder-bend'));
  // What was worked out is remembered by what it was worked out of: a copy each time.
  const plans = Array.from({ length: 60 }, () => {
    const copy = { ...assessment };
    return timed(() => repairOf(copy));
  }).slice(20);
  const { futures } = repairOf(assessment);
  const played = Array.from({ length: 12 }, (_, seed) =>
    timed(() => {
      const play = startPlay(futures, { seed });
      play.step(USUAL_HISTORIES);
      play.tell();
    }),
  ).slice(2);
  return [
    { what: 'plans, pick, refusals and looks of a demo job', aim: '–', got: say(plans) },
    { what: '20,000 histories × 30 years × 3 plans', aim: '< 1,000 ms', got: say(played) },
  ];
}
