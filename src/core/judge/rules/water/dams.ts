import { memoOfBoth } from '../../../base/memo';
import { isPipeOf } from '../../../catalogue/materials/kinds';
import { segmentHeightRatio } from '../../../lateral/opening';
import type { Segment } from '../../../lateral/segments';
import { arcHours, type ClockArc } from '../../../measure/clock';
import type { Finding } from '../../finding';
import { lipAtEnd } from '../../lips';
import { findNear, lineOf, type Scene } from '../scene';

/** Something at a pool's downstream end that could hold it. */
export type Dam = {
  readonly what: 'lip' | 'scale' | 'offset' | 'roots' | 'debris' | 'intruding-tap';
  /** How high it stands over the invert, inches; `null` when not known. */
  readonly heightIn: number | null;
  readonly clearBy: string;
};

const isPlastic = (segment: Segment | undefined) =>
  segment !== undefined && ['abs', 'pvc', 'hdpe'].includes(segment.material);

/** Whether the pipe changes from plastic to iron near a station, in the direction of flow. */
function hasPlasticToIron(scene: Scene, lineId: string, atFt: number): boolean {
  const { segments } = lineOf(scene, lineId);
  return segments.some(
    (segment, index) =>
      index > 0 &&
      isPipeOf('iron', segment.material) &&
      isPlastic(segments[index - 1]) &&
      Math.abs(segment.fromFt - atFt) <= scene.thresholds.atLipFt,
  );
}

/** Whether a thing round the pipe lies at its bottom: some of it between 4 and 8 o’clock. */
function isAtInvert(arc: ClockArc): boolean {
  const isLow = (hour: number) => hour >= 4 && hour <= 8;
  const spans = arcHours({ from: arc.from, to: 6 }) <= arcHours(arc);
  return isLow(arc.from) || isLow(arc.to) || spans;
}

function damOf(scene: Scene, pool: Finding, thing: Finding): Dam | null {
  const { facts } = thing;
  const boreIn = facts.boreIn ?? pool.facts.boreIn;
  // What lies on the invert fills it from below.
  const lain =
    facts.extentRatio === null || boreIn === null
      ? null
      : segmentHeightRatio(facts.extentRatio) * boreIn;
  // What hangs at the crown holds nothing back.
  const isLow = thing.clock === null || isAtInvert(thing.clock);
  switch (thing.kind) {
    case 'roots':
      return !isLow ? null : { what: 'roots', heightIn: lain, clearBy: 'cut the roots' };
    case 'debris':
      return !isLow ? null : { what: 'debris', heightIn: lain, clearBy: 'flush the debris out' };
    case 'scale':
      return isLow && hasPlasticToIron(scene, pool.lineId, pool.span.toFt)
        ? { what: 'scale', heightIn: lain, clearBy: 'take the scale off' }
        : null;
    case 'offset':
      return facts.form === 'step-up' || (facts.form === null && thing.clock !== null && isLow)
        ? { what: 'offset', heightIn: facts.offsetIn, clearBy: 'ramp the step' }
        : null;
    case 'intruding-tap':
      return isLow
        ? {
            what: 'intruding-tap',
            heightIn:
              facts.extentRatio === null || boreIn === null ? null : facts.extentRatio * boreIn,
            clearBy: 'cut the tap back',
          }
        : null;
    default:
      return null;
  }
}

/** What could hold a pool: everything that stands up at its downstream end. */
export const damsOf = memoOfBoth((scene: Scene, pool: Finding): Dam[] => {
  if (!pool.placed) return [];
  const { atLipFt } = scene.thresholds;
  const endFt = pool.span.toFt;
  const lip = lipAtEnd(lineOf(scene, pool.lineId), endFt, scene.thresholds);
  const spot = { lineId: pool.lineId, span: { fromFt: endFt, toFt: endFt } };
  const things = findNear(scene, spot, atLipFt, [
    'roots',
    'debris',
    'scale',
    'offset',
    'intruding-tap',
  ])
    // What begins farther up lies in the pool: the pool caught it.
    .filter(({ span }) => span.fromFt >= endFt - atLipFt - 1e-9)
    .flatMap((thing) => damOf(scene, pool, thing) ?? []);
  return [
    ...(lip
      ? [{ what: 'lip' as const, heightIn: lip.lipIn, clearBy: 'ramp or clear the lip' }]
      : []),
    ...things,
  ];
});
