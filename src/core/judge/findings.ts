import { memoOf } from '../base/memo';
import { TOLERANCES } from '../base/tolerances';
import type { Inspection } from '../job/inspection';
import type { Settings } from '../job/settings';
import type { Lateral } from '../lateral/lateral';
import { segmentAt, sideAt } from '../lateral/segments';
import { endsLine } from '../lateral/terminus';
import { INDOOR_ZONES } from '../lateral/zones';
import { placeGroup } from '../measure/place-group';
import { chooseAction, deeperThanLip } from './action';
import { hasBackup } from './backup';
import type { Cause, Finding } from './finding';
import type { DefectFacts, Reason } from './grade';
import { chainKey, numberFindings } from './numbering';
import { gradeDefect } from './severity/table';
import { type DefectSighting, groupDefects, overlaps, rankSightings } from './sightings';

type Group = { readonly lateral: Lateral; readonly sightings: readonly DefectSighting[] };

/** Every defect of every line, graded, with what to do and why, in station order by line. */
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
  const findings = groups.map((group, index) =>
    judgeGroup(inspection, group, numbers[index]!, settings, water, backsUp),
  );
  const rankOfLine = new Map(laterals.map((lateral, index) => [lateral.lineId, index]));
  return findings.sort(
    (a, b) =>
      rankOfLine.get(a.lineId)! - rankOfLine.get(b.lineId)! ||
      Number(b.placed) - Number(a.placed) ||
      a.span.fromFt - b.span.fromFt ||
      a.number - b.number,
  );
}

/** Sizes and marks of a group: from the sighting the grade rests on, else from the others. */
function factsOf(
  ranked: readonly DefectSighting[],
  place: { readonly boreIn: number | null; readonly material: DefectFacts['material'] },
  inStandingWater: boolean,
  settings: Settings,
): DefectFacts {
  const entries = ranked.map(({ stretch }) => stretch.entry);
  const first = <K extends keyof (typeof entries)[number]>(key: K) => {
    for (const entry of entries) if (entry[key] !== undefined) return entry[key];
    return undefined;
  };
  const form = first('form')
    ?.trim()
    .toLowerCase()
    .replace(/[\s_]+/g, '-');
  return {
    kind: entries[0]!.defect,
    depthIn: first('depthIn') ?? null,
    fillRatio: first('fillRatio') ?? null,
    extentRatio: first('extentRatio') ?? null,
    offsetIn: first('offsetIn') ?? null,
    gapIn: first('gapIn') ?? null,
    lipIn: first('lipIn') ?? null,
    form: form || null,
    locus: first('locus') ?? null,
    holdsDebris: first('holdsDebris') ?? false,
    soilVisible: first('soilVisible') ?? false,
    lengthFt:
      ranked.map(({ stretch }) => stretch.lengthFt).find((length) => length !== null) ?? null,
    boreIn: place.boreIn,
    material: place.material,
    inStandingWater,
    eyeSizeIn: settings.eyeSizeIn,
    eyeShareRatio: settings.eyeShareRatio,
    byEye: first('sizeBasis') !== 'measured',
  };
}

/** Kinds whose grade rests on what the pipe is. */
const RESTS_ON_PIPE: readonly DefectFacts['kind'][] = ['standing-water', 'roots', 'offset', 'lip'];

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
  const grade = gradeDefect(facts);
  const ourDoing = sightings.some(({ stretch }) => stretch.entry.ourDoing === true);
  const certainty = entry.certainty ?? 'confirmed';
  const waterVerified = lead.water?.verified ?? true;
  const heldByLipIn = facts.kind === 'standing-water' ? lipAtEndIn(lateral, span.toFt) : null;
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
    heldByLipIn,
  });
  const pipeInDoubt =
    segment !== null && segment.certainty !== 'confirmed' && RESTS_ON_PIPE.includes(facts.kind);
  const doubts: Reason[] = [
    ...(certainty === 'suspected'
      ? [{ rule: 'suspected', text: 'suspected, not confirmed: a second look settles it' }]
      : []),
    ...(pipeInDoubt
      ? [
          {
            rule: 'pipe-uncertain',
            text: 'the pipe here is not certain, and the grade rests on it',
          },
        ]
      : []),
  ];
  const stillOpen = sightings.every(({ stretch }) => stretch.stillOpen);
  // The first sighting names the finding, so that seeing it again does not rename it.
  const inTime = sightings.toSorted(
    (a, b) => Date.parse(a.stretch.entry.at) - Date.parse(b.stretch.entry.at),
  );
  const first = inTime[0]!.stretch;
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
    severity: ourDoing ? 'slight' : grade.severity,
    range: ourDoing ? null : grade.range,
    action: chosen.action,
    provisional:
      grade.missing !== null ||
      certainty !== 'confirmed' ||
      !waterVerified ||
      pipeInDoubt ||
      stillOpen ||
      !axis.placed,
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
    because: [...(ourDoing ? [] : grade.because), ...doubts, ...chosen.because],
    causes: causesOf(facts, heldByLipIn, waterVerified),
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

/** Every lip of a line: those logged as defects and those logged with a change of pipe. */
const readLips = memoOf((lateral: Lateral): readonly { stationFt: number; lipIn: number }[] =>
  lateral.axes.flatMap((axis) =>
    axis.log.standing.flatMap((entry) => {
      const isLip =
        entry.kind === 'material' || (entry.kind === 'defect' && entry.defect === 'lip');
      if (!isLip || entry.lipIn === undefined) return [];
      const { from, to } = axis.placeOfEntry(entry);
      return [{ stationFt: (from.stationFt + to.stationFt) / 2, lipIn: entry.lipIn }];
    }),
  ),
);

/** Height of the lip at a pool's downstream end, inches, or `null` when there is none. */
function lipAtEndIn(lateral: Lateral, endFt: number): number | null {
  const near = readLips(lateral).filter(
    ({ stationFt }) => Math.abs(stationFt - endFt) <= TOLERANCES.atLipFt,
  );
  return near.length > 0 ? Math.max(...near.map(({ lipIn }) => lipIn)) : null;
}

function causesOf(facts: DefectFacts, lipIn: number | null, verified: boolean): Cause[] {
  if (!verified || lipIn === null) return [];
  const lip = { cause: 'lip', settledBy: 'ramp or clear the lip, then look again' };
  if (!deeperThanLip(facts, lipIn)) return [lip];
  return [lip, { cause: 'belly', settledBy: 'clear the lip and see whether the water goes' }];
}

/** Where the line's runs were stopped by an obstruction. */
const readObstructions = memoOf((lateral: Lateral): readonly number[] =>
  lateral.ends
    .filter((end) => end.entry.reason === 'obstruction')
    .map(({ stationFt }) => stationFt),
);

/** Station of the wall where the line leaves the building: the most downstream one logged. */
const readWallFt = memoOf(
  (lateral: Lateral) =>
    lateral.features.findLast(({ feature }) => feature === 'wall')?.stationFt ?? null,
);

/** Whether a finding lies outside what was agreed: kept and told, out of the verdict and plans. */
function isCourtesy(
  inspection: Inspection,
  lateral: Lateral,
  span: Finding['span'],
  zone: Finding['zone'],
): boolean {
  const { terminus } = lateral;
  const isBeyond =
    terminus !== null &&
    endsLine(terminus.kind) &&
    span.fromFt > terminus.stationFt + TOLERANCES.beyondEndFt;
  if (isBeyond) return true;
  if (inspection.job.scope !== 'lateral') return false;
  const wallFt = readWallFt(lateral);
  if (wallFt !== null && span.toFt <= wallFt) return true;
  return zone !== null && INDOOR_ZONES.includes(zone);
}
