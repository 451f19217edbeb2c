import { memoOf } from '../base/memo';
import type { Inspection } from '../job/inspection';
import type { Settings } from '../job/settings';
import type { Lateral } from '../lateral/lateral';
import { segmentAt, sideAt } from '../lateral/segments';
import { placeGroup } from '../measure/place-group';
import { chooseAction } from './action';
import { hasBackup } from './backup';
import { isCourtesy } from './courtesy';
import { factsOf } from './facts-of';
import { type Finding, UNJUDGED } from './finding';
import { isDeeperThan, lipAtEnd } from './lips';
import { chainKey, keepIssued, numberFindings } from './numbering';
import { issuedNumbers } from '../job/report-words';
import { listProvisos } from './provisos';
import { gradeDefect } from './severity/table';
import { thresholdsInForce } from './severity/thresholds';
import { type DefectSighting, groupDefects, overlaps, rankSightings } from './sightings';

type Group = { readonly lateral: Lateral; readonly sightings: readonly DefectSighting[] };

/** Every defect of every line, graded by the table, before any rule has spoken. */
export function judgeFindings(
  inspection: Inspection,
  laterals: readonly Lateral[],
  settings: Settings,
): Finding[] {
  const groups: Group[] = laterals.flatMap((lateral) =>
    groupDefects(lateral, settings).map((sightings) => ({ lateral, sightings })),
  );
  const axes = laterals.flatMap((lateral) => [...lateral.axes, ...lateral.unplaced]);
  const numbers = numberFindings(
    axes,
    groups.map(({ sightings }) =>
      sightings.map(({ stretch: { axis, entry } }) =>
        chainKey(axis.run.id, axis.log.rootOf(entry.id)),
      ),
    ),
  );
  const water = groups
    .flatMap(({ sightings }) => sightings)
    .filter(({ stretch }) => stretch.entry.defect === 'standing-water');
  const backsUp = hasBackup(axes);
  const judged = groups.map((group, index) =>
    judgeGroup(inspection, group, numbers[index]!, settings, water, backsUp),
  );
  const kept = keepIssued(judged, issuedNumbers(inspection.decisions));
  return judged.map((finding, index) => ({ ...finding, number: kept[index]! }));
}

function judgeGroup(
  inspection: Inspection,
  { lateral, sightings }: Group,
  number: number,
  settings: Settings,
  water: readonly DefectSighting[],
  backsUp: boolean,
): Finding {
  const ranked = rankSightings(sightings, settings);
  const lead = ranked[0]!;
  const { axis, entry } = lead.stretch;
  const { span, sigmaFt } = placeGroup(sightings, settings.trustPass);
  const middleFt = (span.fromFt + span.toFt) / 2;
  const { inRiser } = lead.stretch;
  const placed = axis.placed && !inRiser;
  const segments = axis.placed ? lateral.segments : lateral.ownSegments.get(axis.run.id)!;
  const segment = inRiser ? null : segmentAt(segments, middleFt);
  const zone = segment?.zone ?? null;
  const material = segment?.material ?? 'unknown';
  const facts = factsOf(
    ranked,
    { boreIn: segment?.diameterIn ?? null, material },
    water.some((pool) => pool.stretch.axis.placed === axis.placed && overlaps(pool, lead)),
    settings,
  );
  const thresholds = thresholdsInForce(settings.thresholds);
  const grade = gradeDefect(facts, thresholds);
  const ourDoing = sightings.some(({ stretch }) => stretch.entry.ourDoing === true);
  const certainty = entry.certainty ?? 'confirmed';
  const waterVerified = lead.water?.verified ?? true;
  const lip = facts.kind === 'standing-water' ? lipAtEnd(lateral, span.toFt, thresholds) : null;
  const heldByLip =
    lip !== null && lip.lipIn !== null && isDeeperThan(facts, lip.lipIn, thresholds) !== true;
  const chosen = chooseAction({
    severity: ourDoing ? 'slight' : grade.severity,
    facts,
    certainty,
    verified: waterVerified,
    ourDoing,
    zone,
    span,
    profile: inspection.job.profile,
    households: inspection.property.households,
    obstructionsFt: readObstructions(lateral),
    backsUp,
    heldByLip,
    thresholds,
  });
  const stillOpen = sightings.every(({ stretch }) => stretch.stillOpen);
  // The first sighting names the finding, so that seeing it again does not rename it.
  const inTime = sightings.toSorted(
    (a, b) => Date.parse(a.stretch.entry.at) - Date.parse(b.stretch.entry.at),
  );
  const first = inTime[0]!.stretch;
  const provisos = listProvisos({
    missing: ourDoing ? null : grade.missing,
    certainty,
    waterVerified,
    stillOpen,
    placed: axis.placed,
  });
  const rootId = first.axis.log.rootOf(first.entry.id);
  return {
    id: `F-${first.axis.run.id}-${rootId}`,
    number,
    lineId: lateral.lineId,
    kind: facts.kind,
    span,
    sigmaFt,
    placed,
    inRiser,
    runIds: [...new Set(sightings.map((sighting) => sighting.axis.run.id))],
    runNames: [...new Set(sightings.map((sighting) => sighting.axis.name))],
    severity: ourDoing ? 'slight' : grade.severity,
    range: ourDoing ? null : grade.range,
    action: chosen.action,
    computed: { severity: ourDoing ? 'slight' : grade.severity, action: chosen.action },
    provisional: provisos.length > 0,
    provisos,
    verified: waterVerified && certainty === 'confirmed',
    courtesy: placed && isCourtesy(inspection, lateral, span, zone),
    certainty,
    clock: ranked.map(({ clock }) => clock).find((clock) => clock !== null) ?? null,
    locus: facts.locus,
    material,
    zone,
    responsibleSide: sideAt(inspection.job, lateral.responsibilityLineFt, span.fromFt, zone),
    facts,
    missing: ourDoing ? null : grade.missing,
    stillOpen,
    ourDoing,
    says: null,
    because: [...(ourDoing ? [] : grade.because), ...chosen.because],
    ...UNJUDGED,
    entryIds: inTime.flatMap(({ stretch }) => [
      stretch.entry.id,
      ...(stretch.closedBy ? [stretch.closedBy.id] : []),
    ]),
    photoIds: inTime.flatMap(({ stretch }) => [
      ...(stretch.entry.photoIds ?? []),
      ...(stretch.closedBy?.photoIds ?? []),
    ]),
    notes: inTime.flatMap(({ stretch }) => (stretch.entry.note ? [stretch.entry.note] : [])),
  };
}

/** Where the line's runs were stopped by an obstruction. */
const readObstructions = memoOf((lateral: Lateral): readonly number[] =>
  lateral.ends
    .filter((end) => end.entry.reason === 'obstruction')
    .map(({ stationFt }) => stationFt),
);
