import type { AccessPoint } from '../model/job/access-point';
import { FORMAT, FORMAT_VERSION, type Inspection } from '../model/job/inspection';
import type { Job } from '../model/job/job';
import type { LateralTruth, TruthAccess } from './truth';

/** Accesses this near to an end of their line are at that end, feet. */
const AT_END_FT = 6;

/** An access as the inspector finds it: what can be seen and measured before the camera is in. */
export function accessPointOf(truth: LateralTruth, access: TruthAccess): AccessPoint {
  const { lineId, atFt, ways: _ways, bendRadiusIn: _radius, ...seen } = access;
  const line = truth.lines.find(({ id }) => id === lineId)!;
  const alongLine =
    atFt <= AT_END_FT ? 'house-end' : atFt >= line.lengthFt - AT_END_FT ? 'near-street' : 'along';
  return { ...seen, alongLine };
}

/** A job on a simulated lateral, before anybody has looked: facts and ways in, nothing of what is wrong. */
export function jobFromLateral(
  truth: LateralTruth,
  job: Pick<Job, 'id' | 'scheduledFor' | 'inspector'> & { readonly seed: number },
): Inspection {
  const { seed, ...rest } = job;
  return {
    format: FORMAT,
    version: FORMAT_VERSION,
    job: {
      ...rest,
      title: truth.title,
      scope: 'lateral-and-building-drain',
      purpose: 'purchase',
      client: 'Practice',
      responsibility: 'to-main',
      referenceRunId: '',
      profile: 'maintain-first',
      // Which lateral the rig opens with on this job.
      simulates: { lateralId: truth.id, seed },
    } as Job,
    property: {
      ...truth.property,
      address: truth.title,
      surroundings: truth.lines.flatMap((line) =>
        line.surface.map(({ what, offsetFt }, index) => ({
          id: `${line.id}-${index + 1}`,
          what,
          where: line.label,
          offsetFt,
        })),
      ),
    },
    accessPoints: truth.accesses.map((access) => accessPointOf(truth, access)),
    ...(truth.lines.length > 1
      ? {
          lines: truth.lines.map(({ id, label, joins }) => ({
            id,
            label,
            ...(joins ? { joins: joins.lineId } : {}),
          })),
        }
      : {}),
    runs: [],
    ties: [],
    decisions: [],
    settings: {},
  };
}

/** Which lateral a job was made from; `null` for a job of the real world. */
export function simulatedBy(
  job: Job,
): { readonly lateralId: string; readonly seed: number } | null {
  const said = (job as { readonly simulates?: unknown }).simulates;
  if (said === null || typeof said !== 'object') return null;
  const { lateralId, seed } = said as { readonly lateralId?: unknown; readonly seed?: unknown };
  return typeof lateralId === 'string' && typeof seed === 'number' ? { lateralId, seed } : null;
}
