import type { Interval } from '../base/interval';
import { unite } from '../base/interval';
import { roundTo } from '../base/numbers';
import type { Assessment } from '../judge/assessment';
import type { Lateral } from '../lateral/lateral';
import { labelOf } from '../model/job/labels';
import { drawFlakes, drawRoots, placeFlakes } from './flakes';
import { type Frame, layFrame, scaleStepFt } from './frame';
import { drawGround, wishZoneLabels } from './ground';
import { placeLabels } from './labels';
import { drawPipe, drawWater, unreachedStretches, wishPipeLabels } from './pipe';
import { box, type Primitive, stroke } from './primitives';
import { layProfile, type Profile } from './profile';

/** How the drawing is wanted. */
export type SectionOptions = {
  readonly width: number;
  readonly height: number;
  /** The stations to show; the whole line when absent. */
  readonly view?: Interval;
  /** Where the camera head is, station; absent when there is no camera. */
  readonly headFt?: number;
};

/** The Section: a list of primitives, back to front, and the frame they lie in. */
export type Section = {
  readonly width: number;
  readonly height: number;
  readonly frame: Frame;
  readonly primitives: readonly Primitive[];
};

/** The stations that hold everything known of the line, with a little room. */
export function wholeView(lateral: Lateral, headFt?: number): Interval {
  const stretches = unite([
    { fromFt: 0, toFt: 0 },
    ...lateral.reached,
    ...unreachedStretches(lateral),
    ...(headFt === undefined ? [] : [{ fromFt: headFt, toFt: headFt }]),
  ]);
  const fromFt = stretches[0]!.fromFt;
  const toFt = Math.max(stretches.at(-1)!.toFt, fromFt + 20);
  const roomFt = (toFt - fromFt) * 0.06;
  return { fromFt: fromFt - roomFt - 2, toFt: toFt + roomFt };
}

/** Builds the Section once, for any printer. A pure function of what was assessment and the options. */
export function buildSection(assessment: Assessment, options: SectionOptions): Section {
  const { lateral } = assessment;
  const view = options.view ?? wholeView(lateral, options.headFt);
  const frame = layFrame(view, options.width, options.height);
  const findings = assessment.findings.filter(({ lineId }) => lineId === lateral.lineId);
  const profile = layProfile(lateral, findings, frame);
  const flakes = placeFlakes(findings, frame, profile);
  const lowestY = Math.max(...[view.fromFt, view.toFt].map((at) => profile.invertY(at)), 0);
  // Under the pipe and over the ticks of the scale; a second row only where there is room for one.
  const labelY = Math.min(lowestY + 18, frame.scaleY - 11);
  const labelYs =
    labelY + 13 <= frame.scaleY - 6 ? [labelY, Math.min(labelY + 15, frame.scaleY - 6)] : [labelY];
  return {
    width: options.width,
    height: options.height,
    frame,
    primitives: [
      ...drawGround(lateral, frame),
      ...drawRisers(assessment, frame, profile),
      ...drawPipe(lateral, frame, profile),
      ...drawWater(frame, profile),
      ...drawRoots(findings, frame, profile),
      ...drawFeatures(lateral, frame, profile),
      ...drawEnd(lateral, frame, profile),
      ...drawCamera(assessment, frame, profile, options.headFt),
      ...drawFlakes(flakes),
      ...placeLabels(wishZoneLabels(lateral, frame), frame, [15, 29]),
      ...placeLabels(wishPipeLabels(lateral, frame), frame, labelYs),
      ...drawScale(frame),
    ],
  };
}

function isShown(stationFt: number, { view }: Frame): boolean {
  return stationFt >= view.fromFt && stationFt <= view.toFt;
}

/** How far a riser and a roof vent stand up out of the ground, drawing units. */
const ABOVE_GROUND = 10;
const ABOVE_ROOF = 46;

/** Access points in use: a riser from the ground to the pipe, with its letter. */
function drawRisers(
  { lateral, inspection }: Assessment,
  frame: Frame,
  profile: Profile,
): Primitive[] {
  const openings = new Map(lateral.axes.map((axis) => [axis.run.accessPointId, axis.originFt]));
  return [...openings].flatMap(([accessId, atFt]): Primitive[] => {
    if (!isShown(atFt, frame)) return [];
    const x = frame.xOf(atFt);
    const access = inspection.accessPoints.find(({ id }) => id === accessId);
    const kind = access?.kind;
    const topY = frame.groundY - (kind === 'roof-vent' ? ABOVE_ROOF : ABOVE_GROUND);
    return [
      box('riser', x - 3, topY, 6, profile.invertY(atFt) - topY - 2),
      box('riser-cap', x - 6, topY - 4, 12, 4),
      {
        shape: 'text',
        role: 'access-label',
        at: { x: x - 10, y: topY + 8 },
        text: access ? labelOf(access) : accessId,
        anchor: 'end',
      },
    ];
  });
}

/** Tees, cleanouts, lips and the property line. */
function drawFeatures(lateral: Lateral, frame: Frame, profile: Profile): Primitive[] {
  const shapes = lateral.features.flatMap((feature): Primitive[] => {
    if (!isShown(feature.stationFt, frame)) return [];
    const x = frame.xOf(feature.stationFt);
    const crown = profile.crownY(feature.stationFt);
    const invert = profile.invertY(feature.stationFt);
    switch (feature.feature) {
      case 'tee':
      case 'wye':
        return [box('tee', x - 3, crown - 8, 6, 8)];
      case 'cleanout':
      case 'property-line-cleanout':
        return [box('riser', x - 2.5, frame.groundY - 3, 5, crown - frame.groundY + 4)];
      case 'property-line':
        return [
          stroke('property-line', { x, y: 34 }, { x, y: Math.min(invert + 34, frame.scaleY - 8) }),
          box('riser-cap', x - 2, 30, 4, 8),
          {
            shape: 'text',
            role: 'line-label',
            at: { x: x + 6, y: frame.groundY + 18 },
            text: 'property line',
            anchor: 'start',
          },
        ];
      default:
        return [];
    }
  });
  const lips = lateral.axes.flatMap((axis) =>
    axis.log.standing.flatMap((entry): Primitive[] => {
      const lipIn = entry.kind === 'material' || entry.kind === 'defect' ? entry.lipIn : undefined;
      if (lipIn === undefined) return [];
      const atFt = axis.placeOfEntry(entry).from.stationFt;
      if (!isShown(atFt, frame)) return [];
      const x = frame.xOf(atFt);
      const y = profile.invertY(atFt);
      return [box('lip', x - 2, y - 3 - lipIn * 3, 4, 3 + lipIn * 3)];
    }),
  );
  return [...shapes, ...lips];
}

/** The main or the tank; dashed when nobody confirmed it. */
function drawEnd(lateral: Lateral, frame: Frame, profile: Profile): Primitive[] {
  const { terminus } = lateral;
  if (!terminus || (terminus.kind !== 'main' && terminus.kind !== 'tank')) return [];
  if (!isShown(terminus.stationFt, frame)) return [];
  const x = frame.xOf(terminus.stationFt) + 13;
  const y = profile.invertY(terminus.stationFt) + 3;
  const text = lateral.reachedMain ? terminus.kind : `${terminus.kind}?`;
  return [
    {
      shape: 'circle',
      role: lateral.reachedMain ? 'main' : 'main-unsure',
      center: { x, y },
      radius: 17,
    },
    { shape: 'text', role: 'main-label', at: { x, y: y + 4 }, text, anchor: 'middle' },
  ];
}

/** The rod from the access to the head, and the light before it. */
function drawCamera(
  { lateral }: Assessment,
  frame: Frame,
  profile: Profile,
  headFt: number | undefined,
): Primitive[] {
  const axis = lateral.axes.at(-1);
  if (headFt === undefined || !axis || !isShown(headFt, frame)) return [];
  const middleY = (at: number) => profile.invertY(at) - profile.boreUnits(at) * 0.5;
  const steps = 40;
  const rod = Array.from({ length: steps + 1 }, (_, index) => {
    const at = axis.originFt + ((headFt - axis.originFt) * index) / steps;
    return { x: frame.xOf(at), y: middleY(at) };
  });
  const x = frame.xOf(headFt);
  const y = middleY(headFt);
  const ahead = 22 * axis.direction;
  return [
    {
      shape: 'polygon',
      role: 'beam',
      points: [
        { x, y },
        { x: x + ahead, y: y - 9 },
        { x: x + ahead, y: y + 9 },
      ],
    },
    { shape: 'polyline', role: 'rod', points: rod },
    { shape: 'circle', role: 'head', center: { x, y }, radius: 6 },
  ];
}

/** The scale in feet from the reference access. */
function drawScale(frame: Frame): Primitive[] {
  const { view, scaleY, xOf, unitsPerFt } = frame;
  const step = scaleStepFt(unitsPerFt);
  const shapes: Primitive[] = [
    stroke('scale', { x: xOf(view.fromFt), y: scaleY }, { x: xOf(view.toFt), y: scaleY }),
  ];
  const minor = step / 5;
  const first = Math.ceil(view.fromFt / minor);
  const last = Math.floor(view.toFt / minor);
  for (let index = first; index <= last; index += 1) {
    const atFt = roundTo(index * minor, 3);
    const isMajor = index % 5 === 0;
    const x = xOf(atFt);
    shapes.push(stroke('scale', { x, y: scaleY - (isMajor ? 6 : 3) }, { x, y: scaleY }));
    if (isMajor) {
      shapes.push({
        shape: 'text',
        role: 'scale-label',
        at: { x, y: scaleY + 14 },
        text: `${atFt}`,
        anchor: 'middle',
      });
    }
  }
  return shapes;
}
