import type { Inspection } from '../model/job/inspection';
import type { Lateral } from './lateral';

/** Where a branch meets the line it joins, on that line's axis. */
export type Meeting = {
  readonly lineId: string;
  readonly stationFt: number;
  readonly sigmaFt: number;
};

/**
 * Finds where branches meet their lines: by a tie between the two, else by the one join or tee that
 * says it serves the branch, else by the only join that was seen. A meeting moves no station: lines
 * never mix.
 */
export function findMeetings(
  inspection: Inspection,
  laterals: readonly Lateral[],
): ReadonlyMap<string, Meeting> {
  const byLine = new Map(laterals.map((lateral) => [lateral.lineId, lateral]));
  const meetings = new Map<string, Meeting>();
  for (const { id, label, joins } of inspection.lines ?? []) {
    const [branch, parent] = [byLine.get(id), joins === undefined ? undefined : byLine.get(joins)];
    if (!branch || !parent) continue;
    const meeting = tiedMeeting(inspection, branch, parent) ?? namedMeeting([id, label], parent);
    if (meeting) meetings.set(id, meeting);
  }
  return meetings;
}

function tiedMeeting(inspection: Inspection, branch: Lateral, parent: Lateral): Meeting | null {
  const runIds = ({ axes, unplaced }: Lateral) =>
    new Set([...axes, ...unplaced].map(({ run }) => run.id));
  const inBranch = runIds(branch);
  for (const { sightings } of inspection.ties) {
    if (!sightings.some(({ runId }) => inBranch.has(runId))) continue;
    for (const { runId, entryId } of sightings) {
      const axis = parent.axes.find(({ run }) => run.id === runId);
      const [entry] = axis?.log.heirsOf(entryId) ?? [];
      if (!axis || !entry) continue;
      const { from } = axis.placeOfEntry(entry);
      return { lineId: parent.lineId, stationFt: from.stationFt, sigmaFt: from.sigmaFt };
    }
  }
  return null;
}

function namedMeeting(names: readonly string[], parent: Lateral): Meeting | null {
  const said = (text: string | null) =>
    text !== null && names.some((name) => text.toLowerCase().includes(name.toLowerCase()));
  const ways = parent.features.filter(({ feature }) => ['join', 'tee', 'wye'].includes(feature));
  const named = ways.filter(({ serves }) => said(serves));
  const joins = ways.filter(({ feature }) => feature === 'join');
  const [only, ...more] = named.length > 0 ? named : joins;
  if (!only || more.length > 0) return null;
  return { lineId: parent.lineId, stationFt: only.stationFt, sigmaFt: only.sigmaFt };
}
