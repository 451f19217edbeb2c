import { groupBy } from '../base/group';
import { lengthFt, overlaps } from '../base/interval';
import { memoOf } from '../base/memo';
import { layOut } from '../base/near';
import { gradeDefect } from '../catalogue/severity/table';
import { thresholdsInForce } from '../catalogue/severity/thresholds';
import type { Lateral } from '../lateral/lateral';
import { segmentAt } from '../lateral/segments';
import { placeGroup } from '../measure/place-group';
import type { Inspection } from '../model/job/inspection';
import { issuedNumbers } from '../model/job/report-words';
import type { Settings } from '../model/job/settings';
import { chooseAction } from './action';
import { hasBackup } from './backup';
import { factsOf } from './facts-of';
import { type Finding, UNJUDGED } from './finding';
import { isDeeperThan, lipAtEnd } from './lips';
import { chainKey, HUNDRED, keepIssued, numberFindings } from './numbering';
import { partsOf } from './parts';
import { listProvisos } from './provisos';
import { type DefectSighting, groupDefects, rankSightings } from './sightings';

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
  const isInWater = findWater(groups);
  const backsUp = hasBackup(axes) === 'by-itself';
  const judged = groups.map((group, index) =>
    judgeGroup(inspection, group, numbers[index]!, settings, isInWater, backsUp),
  );
  const kept = keepIssued(judged, issuedNumbers(inspection.decisions));
  const numbered = judged.map((finding, index) =>
    kept[index] === finding.number ? finding : { ...finding, number: kept[index]! },
  );
  const apart = partNumbering(numbered);
  const lineOf = (finding: Finding) => laterals.find(({ lineId }) => lineId === finding.lineId)!;
  return numbered.flatMap((finding) => takeApart(inspection, lineOf(finding), finding, apart));
}

/** What is added to a finding's number for each further part of it: a round figure above every number. */
function partNumbering(findings: readonly Finding[]): number {
  const highest = findings.reduce((most, { number }) => Math.max(most, number), 0);
  return HUNDRED * (Math.floor(highest / HUNDRED) + 1);
}

/**
 * A finding as its parts: one that changes hands or leaves the scope is told part by part, each with its own
 * side and its own say. All keep the grade of the whole, which is one thing in the ground.
 */
function takeApart(
  inspection: Inspection,
  lateral: Lateral,
  finding: Finding,
  apart: number,
): Finding[] {
  if (!finding.placed || finding.isPlaceUnsaid || lengthFt(finding.span) <= 0) return [finding];
  const parts = partsOf(inspection, lateral, finding.span);
  if (parts.length < 2) return [finding];
  return parts.map((part, index) => ({
    ...finding,
    ...part,
    id: index === 0 ? finding.id : `${finding.id}.${index + 1}`,
    number: finding.number + index * apart,
    facts: {
      ...finding.facts,
      lengthFt: finding.facts.lengthFt === null ? null : lengthFt(part.span),
    },
    because: [
      ...finding.because,
      {
        rule: 'part-of',
        text: `part ${index + 1} of ${parts.length}: it ${part.courtesy ? 'lies outside the agreed scope' : part.responsibleSide === 'public' ? 'lies on the public side' : 'lies on the owner’s side'}`,
      },
    ],
  }));
}

function judgeGroup(
  inspection: Inspection,
  { lateral, sightings }: Group,
  number: number,
  settings: Settings,
  isInWater: (thing: DefectSighting) => boolean,
  backsUp: boolean,
): Finding {
  // Of a pool's sightings those that were seen standing give its depth, its ends and its grade.
  const seen = stillOnes(sightings);
  const ranked = rankSightings(seen, settings);
  const lead = ranked[0]!;
  const { axis, entry } = lead.stretch;
  const { span, sigmaFt } = placeGroup(seen, settings.trustPass);
  const middleFt = (span.fromFt + span.toFt) / 2;
  const { inRiser } = lead.stretch;
  const placed = axis.placed && !inRiser;
  const segments = axis.placed ? lateral.segments : lateral.ownSegments.get(axis.run.id)!;
  const segment = inRiser ? null : segmentAt(segments, middleFt);
  const material = segment?.material ?? 'unknown';
  const facts = factsOf(
    ranked,
    { boreIn: segment?.diameterIn ?? null, material },
    isInWater(lead),
    settings,
  );
  const whose = placed ? partsOf(inspection, lateral, span)[0]! : NOBODYS;
  const { zone } = whose;
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
    water: lead.water,
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
  const stillOpen = seen.every(({ stretch }) => stretch.stillOpen);
  // The first sighting names the finding, so that seeing it again does not rename it.
  const inTime = sightings.toSorted(
    (a, b) => Date.parse(a.stretch.entry.at) - Date.parse(b.stretch.entry.at),
  );
  const first = inTime[0]!.stretch;
  const provisos = listProvisos({
    missing: ourDoing ? null : grade.missing,
    certainty,
    water: lead.water,
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
    isPlaceUnsaid: lead.stretch.isPlaceUnsaid && seen.every(({ stretch }) => stretch.isPlaceUnsaid),
    runIds: [...new Set(sightings.map((sighting) => sighting.axis.run.id))],
    runNames: [...new Set(sightings.map((sighting) => sighting.axis.name))],
    severity: ourDoing ? 'slight' : grade.severity,
    range: ourDoing ? null : grade.range,
    action: chosen.action,
    computed: { severity: ourDoing ? 'slight' : grade.severity, action: chosen.action },
    provisional: provisos.length > 0,
    provisos,
    verified: waterVerified && certainty === 'confirmed',
    water: lead.water,
    // Another utility in the sewer puts people at risk: no agreed scope leaves it out.
    courtesy: whose.courtesy && facts.kind !== 'utility-crossing',
    certainty,
    clock: ranked.map(({ clock }) => clock).find((clock) => clock !== null) ?? null,
    locus: facts.locus,
    material,
    zone,
    responsibleSide: whose.responsibleSide,
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

/** The sightings of a thing that count for what it is: of standing water those that were seen standing. */
function stillOnes(sightings: readonly DefectSighting[]): readonly DefectSighting[] {
  const still = sightings.filter(({ water }) => water?.verified);
  return still.length > 0 ? still : sightings;
}

/** The pipe that a sighting is in: of its line, or of its own run while nothing places that. */
const pipeUnder = ({ axis }: DefectSighting) => (axis.placed ? axis.run.lineId : axis);

/** Tells whether a pool stands over a thing: in the same pipe, and more than touching. */
function findWater(groups: readonly Group[]): (thing: DefectSighting) => boolean {
  const pools = groups
    .flatMap(({ sightings }) => sightings)
    .filter(({ stretch }) => stretch.entry.defect === 'standing-water');
  const byPipe = new Map(
    [...groupBy(pools, pipeUnder)].map(([pipe, all]) => [pipe, layOut(all, ({ span }) => span)]),
  );
  return (thing) =>
    byPipe
      .get(pipeUnder(thing))?.(thing.span)
      .some(({ span }) => overlaps(span, thing.span)) ?? false;
}

/** Whose a finding is that has no station. */
const NOBODYS = { zone: null, responsibleSide: 'owner', courtesy: false } as const;

/** Where the line's runs were stopped by an obstruction. */
const readObstructions = memoOf((lateral: Lateral): readonly number[] =>
  lateral.ends
    .filter((end) => end.entry.reason === 'obstruction')
    .map(({ stationFt }) => stationFt),
);
