import { readDemoLaterals } from '#core/testing/demo-laterals';
import { feetOf, recover, type Recovered, sigmaShare, withinSigmas } from './recover';

const SEEDS = 500;

const percent = (part: number, whole: number) =>
  whole === 0 ? '–' : `${((100 * part) / whole).toFixed(1)}% of ${whole}`;

/** Recovers the laterals over many seeds and says how well, in Markdown. */
export function tellRecovered(seeds = SEEDS): string {
  const laterals = readDemoLaterals(new URL(`file://${process.cwd()}/demo/laterals/`));
  const tenth = recover(laterals, seeds);
  const foot = recover(laterals, seeds, 1);
  const line = (what: string, errors: Recovered['all']) => {
    const { rms, p95, worst } = feetOf(errors);
    const share = (sigmas: number) => `${(100 * withinSigmas(errors, sigmas)).toFixed(1)}%`;
    return `| ${what} | ${errors.sigmas.length} | ${share(2)} | ${share(3)} | ${rms.toFixed(2)} | ${p95.toFixed(2)} | ${worst.toFixed(2)} | ${sigmaShare(errors).toFixed(2)} |`;
  };
  return `| readings | features | within 2σ | within 3σ | error, ft rms | 95% | worst | true σ ÷ stated σ |
| --- | --- | --- | --- | --- | --- | --- | --- |
${line('to the tenth, all', tenth.all)}
${line('to the tenth, seen by the reference run', tenth.reference)}
${line('to the tenth, seen by joined runs only', tenth.others)}
${line('said to the foot, all', foot.all)}
${line('said to the foot, seen by joined runs only', foot.others)}

| what | aim | readings to the tenth | said to the foot |
| --- | --- | --- | --- |
| laterals in which every run found its place | – | ${percent(tenth.placed, tenth.scenes)} | ${percent(foot.placed, foot.scenes)} |
| suggested ties that are right | – | ${percent(tenth.ties.right, tenth.ties.offered)} | ${percent(foot.ties.right, foot.ties.offered)} |
| swapped digits caught (three ties or more) | ≥ 95% | ${percent(tenth.swapped.caught, tenth.swapped.tried)} | ${percent(foot.swapped.caught, foot.swapped.tried)} |
| – the right tie named | – | ${percent(tenth.swapped.named, tenth.swapped.tried)} | ${percent(foot.swapped.named, foot.swapped.tried)} |
| – and told that swapped digits would do it | – | ${percent(tenth.swapped.explained, tenth.swapped.tried)} | ${percent(foot.swapped.explained, foot.swapped.tried)} |
| wrong facing caught (three ties or more) | ≥ 95% | ${percent(tenth.turned.caught, tenth.turned.tried)} | ${percent(foot.turned.caught, foot.turned.tried)} |
| – and told that the facing would do it | – | ${percent(tenth.turned.explained, tenth.turned.tried)} | ${percent(foot.turned.explained, foot.turned.tried)} |
| false alarms, by lateral | < 2% | ${percent(tenth.clean.alarms, tenth.clean.tried)} | ${percent(foot.clean.alarms, foot.clean.tried)} |
| one tie only: “nothing checks it” said | 100% | ${percent(tenth.one.said, tenth.one.tried)} | ${percent(foot.one.said, foot.one.tried)} |
| two ties that disagree: both named, neither blamed | 100% | ${percent(tenth.two.said, tenth.two.tried)} | ${percent(foot.two.said, foot.two.tried)} |
`;
}
