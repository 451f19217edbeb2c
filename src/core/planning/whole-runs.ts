import { clip, type Interval, lengthFt } from '../base/interval';
import type { Range } from '../base/range';
import type { Material } from '../catalogue/materials/index';
import { isPipeOf } from '../catalogue/materials/kinds';
import type { MethodId } from '../catalogue/method-ids';
import { type Bed, pipeRunsOf } from './bed';
import { methodById } from './methods/index';
import { planOf } from './plans/plan';
import { bedOf, type Site } from './site';
import { whyNotOver } from './ways';

/** Ways to renew a run of pipe as one, in the order in which they are weighed. */
const WEIGHED: readonly MethodId[] = ['liner', 'burst', 'dig'];
/** A shorter run is no run, feet. */
const LEAST_FT = 8;

/** One way to renew a whole run: its price, or why it cannot be done over the whole of it. */
export type RunWay = {
  readonly method: MethodId;
  /** With all that it needs first. */
  readonly cost: Range;
  /** `null` where it can. */
  readonly because: string | null;
};

/** A run of old pipe with something moderate or worse in it, and what it would take to renew all of it. */
export type WholeRun = Interval & {
  readonly lineId: string;
  readonly material: Material;
  readonly ways: readonly RunWay[];
};

/** The owner's part of a run. */
function ownPart({ lateral }: Bed, run: Interval): Interval | null {
  const own = lateral.segments.filter(({ responsibleSide }) => responsibleSide === 'owner');
  const [first, last] = [own[0], own.at(-1)];
  return first && last ? clip(run, { fromFt: first.fromFt, toFt: last.toFt }) : null;
}

/** Every whole run that is worth renewing as one, with lining, bursting and digging weighed side by side. */
export function weighWholeRuns(site: Site): WholeRun[] {
  return [...site.beds.values()].flatMap((bed) => {
    const { lineId } = bed.lateral;
    return pipeRunsOf(bed).flatMap((run): WholeRun[] => {
      const part = ownPart(bed, run);
      const isOld = isPipeOf('jointed', run.material) && !run.lined;
      const isWorn = site.owned.some(
        ({ lineId: on, span, severity, placed }) =>
          placed &&
          on === lineId &&
          severity !== 'slight' &&
          span.toFt >= run.fromFt &&
          span.fromFt <= run.toFt,
      );
      if (!part || !isOld || !isWorn || lengthFt(part) < LEAST_FT) return [];
      const ways = WEIGHED.map((method): RunWay => {
        const work = { method, lineId, fromFt: part.fromFt, toFt: part.toFt };
        return {
          method,
          cost: planOf(site, 'own', [work]).cost,
          because: whyNotOver(site, methodById(method), bedOf(site, lineId), part),
        };
      });
      return [{ ...part, lineId, material: run.material, ways }];
    });
  });
}

/** A work drawn out over the whole run of pipe that its middle lies in. */
export function overWholeRun<T extends Interval & { readonly lineId: string }>(
  site: Site,
  work: T,
): T {
  const bed = bedOf(site, work.lineId);
  const middleFt = (work.fromFt + work.toFt) / 2;
  const run = pipeRunsOf(bed).find(({ fromFt, toFt }) => fromFt <= middleFt && middleFt <= toFt);
  const part = run ? ownPart(bed, run) : null;
  return part ? { ...work, fromFt: part.fromFt, toFt: part.toFt } : work;
}
