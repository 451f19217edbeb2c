import { sayFault } from '#core/base/fault';
import { generateLateral } from '#core/simulator/generate';
import type { LateralTruth } from '#core/simulator/truth';
import { checkLateral } from '#core/simulator/truth-schema';

const FILES = import.meta.glob<unknown>('../../../demo/laterals/*.lateral.json', {
  import: 'default',
});
const MADE = /^made-(\d+)$/;

/** Ids of the laterals that ship with Chert. */
export const LATERAL_IDS = Object.keys(FILES)
  .map((path) => path.replace(/^.*\/(.*)\.lateral\.json$/, '$1'))
  .sort();

/** Id of the lateral that a seed makes. */
export const madeId = (seed: number) => `made-${Math.abs(Math.trunc(seed))}`;

/**
 * Reads a lateral: one that ships with Chert, or one made by a seed.
 *
 * @throws with every fault when its file is not a lateral, or with its id when there is none.
 */
export async function loadLateral(id: string): Promise<LateralTruth> {
  const made = MADE.exec(id);
  if (made) return generateLateral(Number(made[1]));
  const load = Object.entries(FILES).find(([path]) => path.endsWith(`/${id}.lateral.json`))?.[1];
  if (!load) throw new Error(`There is no lateral "${id}" here.`);
  const outcome = checkLateral(await load());
  if (!outcome.ok) throw new Error(`${id}: ${outcome.faults.map(sayFault).join('; ')}`);
  return outcome.value;
}
