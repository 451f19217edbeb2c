import {
  clip,
  type Interval,
  lengthFt,
  overlaps,
  subtract,
  totalFt,
  unite,
} from '../../base/interval';
import { hasTrait } from '../../catalogue/defects/kinds';
import { isPipeOf } from '../../catalogue/materials/kinds';
import { wallFtOf } from '../../judge/courtesy';
import type { Finding } from '../../judge/finding';
import { INDOOR_ZONES } from '../../lateral/zones';
import { type Bed, type PipeRun, pipeRunsOf } from '../bed';
import { reachOfNewPipe, verdictOfLiner } from '../methods/families';
import type { Site } from '../site';
import { canBeMet, type Need } from '../ways';

/** Findings that works can be chosen for: those with a station, and not another's line in the sewer. */
function workable({ owned }: Site): Finding[] {
  return owned.filter(
    ({ placed, isPlaceUnsaid, kind }) => placed && !isPlaceUnsaid && kind !== 'utility-crossing',
  );
}

/** What upkeep alone can hold. */
export function needsOfUpkeep(site: Site): Need[] {
  return workable(site)
    .filter(({ action }) => action === 'upkeep' || action === 'repair' || action === 'urgent')
    .map((finding) => ({ what: 'hold', finding }));
}

/** What must be ended now, what upkeep must hold, and every run of pipe that is failing as a material. */
export function needsOfFixing(site: Site): Need[] {
  const needs = workable(site).flatMap((finding): Need[] => {
    if (finding.action === 'repair' || finding.action === 'urgent')
      return [{ what: 'cure', finding }];
    return finding.action === 'upkeep' ? [{ what: 'hold', finding }] : [];
  });
  return [...needs, ...needsOfRuns(site, needs, (run, on) => isFailing(run, on))];
}

/** Nothing moderate or worse is left, no run of pipe with such a fault, and none past its usual life. */
export function needsOfRenewing(site: Site): Need[] {
  const needs = workable(site)
    .filter(({ action }) => action !== 'look-again')
    .flatMap((finding): Need[] => {
      const isBad = finding.severity !== 'slight' || ['repair', 'urgent'].includes(finding.action);
      if (!isBad) return finding.action === 'upkeep' ? [{ what: 'hold', finding }] : [];
      const cure: Need = { what: 'cure', finding };
      return [canBeMet(site, cure) ? cure : { what: 'hold', finding }];
    });
  return [
    ...needs,
    ...needsOfRuns(
      site,
      needs,
      (run, on, { lateral }) =>
        (!isPipeOf('lasting', run.material) &&
          on.some((finding) => finding.severity !== 'slight' && isOfPipe(finding))) ||
        lateral.segments.some((one) => one.age?.standing === 'past' && overlaps(one, run)),
    ),
  ];
}

/** Whether a finding is of the pipe itself, and not of what lies in it. */
const isOfPipe = ({ kind }: Finding) => hasTrait(kind, 'new-inside-ends') && kind !== 'mineral';

/** Iron with its wall gone over more of it than this is failing as a material. */
const GONE_SHARE = 1 / 3;

/** Pipe that is failing as a material: fiber that gives way; iron whose wall is gone in two places, or over a third of it. */
function isFailing(run: PipeRun, on: readonly Finding[]): boolean {
  const bad = on.filter(
    (finding) =>
      isOfPipe(finding) &&
      finding.kind !== 'roots' &&
      ['major', 'failed'].includes(finding.severity),
  );
  if (run.material === 'bituminous-fiber') return bad.length > 0;
  if (!isPipeOf('iron', run.material)) return false;
  const gone = bad.filter(({ kind }) => kind === 'wall-loss' || kind === 'hole');
  const goneFt = totalFt(unite(gone.map(({ span }) => span)));
  return gone.length >= 2 || goneFt > GONE_SHARE * lengthFt(run);
}

type IsWorn = (run: PipeRun, on: readonly Finding[], bed: Bed) => boolean;

/** Where pipe may be renewed: the owner's, and within the scope of the job. */
function ownPartsOf(site: Site, { lateral }: Bed): Interval[] {
  const { job } = site.assessment.inspection;
  const wallFt = wallFtOf(lateral);
  return lateral.segments
    .filter(({ responsibleSide }) => responsibleSide === 'owner')
    .filter(
      ({ zone, toFt }) =>
        job.scope !== 'lateral' ||
        !((zone !== null && INDOOR_ZONES.includes(zone)) || (wallFt !== null && toFt <= wallFt)),
    );
}

/** Whole runs of worn pipe, without what is replaced for something else that a new inside does not end. */
function needsOfRuns(site: Site, needs: readonly Need[], isWorn: IsWorn): Need[] {
  return [...site.beds.values()].flatMap((bed) => {
    const { lineId } = bed.lateral;
    const own = workable(site).filter((finding) => finding.lineId === lineId);
    const worn = pipeRunsOf(bed).filter((run) =>
      isWorn(
        run,
        own.filter(({ span }) => span.toFt >= run.fromFt && span.fromFt <= run.toFt),
        bed,
      ),
    );
    const replaced = needs.flatMap((need): Interval[] =>
      need.what !== 'renew' &&
      need.finding.lineId === lineId &&
      verdictOfLiner(need.finding)?.does === 'no'
        ? [reachOfNewPipe(need.finding, site)]
        : [],
    );
    const parts = worn.flatMap((run) =>
      ownPartsOf(site, bed).flatMap((part) => clip(part, run) ?? []),
    );
    // What is not understood yet is looked at before anybody replaces it.
    const open = own
      .filter(({ action }) => action === 'look-again')
      .map((finding) => reachOfNewPipe(finding, site));
    return subtract(unite(parts), [...replaced, ...open]).map((stretch): Need => ({
      what: 'renew',
      lineId,
      stretch,
    }));
  });
}
