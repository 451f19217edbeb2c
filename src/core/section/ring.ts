import type { Interval } from '../base/interval';
import { TOLERANCES } from '../base/tolerances';
import { nameFinding } from '../catalogue/defects/kinds';
import { nameFeature } from '../catalogue/features/kinds';
import type { Material } from '../catalogue/materials/index';
import type { Severity } from '../catalogue/severity/grade';
import { fillRatioOf } from '../catalogue/severity/water-depth';
import type { Facing } from '../catalogue/vocabulary';
import type { Finding } from '../judge/finding';
import type { Lateral } from '../lateral/lateral';
import { segmentAt } from '../lateral/segments';
import { type ClockArc, normaliseArc } from '../measure/clock';

/** What is logged this near the counter is in the ring, feet. */
export const RING_WITHIN_FT = 1;

/** Something that is logged near the head, at its clock as the lens sees it. */
export type RingThing = {
  readonly title: string;
  /** `null` for a feature: it is no finding. */
  readonly severity: Severity | null;
  readonly number: number | null;
  /** Whether it is confirmed. */
  readonly isSure: boolean;
  /** `null` where nobody said it. */
  readonly clock: ClockArc | null;
  /** Feet downstream of the head; negative upstream, 0 where the head is in it. */
  readonly awayFt: number;
};

/** The pipe cut across at a station, from the log: what one compares the real picture with. */
export type Ring = {
  readonly material: Material;
  /** Inches; `null` where nobody said it. */
  readonly boreIn: number | null;
  readonly lined: boolean;
  /** Whether the pipe is confirmed: a doubt is told as one. */
  readonly isSure: boolean;
  /** Standing water here; its share of the diameter, `null` where nobody said it. */
  readonly water: { readonly fillRatio: number | null; readonly isSure: boolean } | null;
  readonly things: readonly RingThing[];
};

/** How far a stretch lies downstream of a station, feet: negative upstream, 0 where it is in it. */
function awayOf({ fromFt, toFt }: Interval, stationFt: number): number {
  if (stationFt < fromFt) return fromFt - stationFt;
  return stationFt > toFt ? toFt - stationFt : 0;
}

/**
 * The pipe cut across where the head is.
 *
 * @param facing the way the lens looks: its clock is the picture's.
 * @returns `null` where nothing is logged of the pipe.
 */
export function ringAt(
  lateral: Lateral,
  findings: readonly Finding[],
  stationFt: number,
  facing: Facing,
): Ring | null {
  const pipe = segmentAt(lateral.segments, stationFt);
  // Past the last that was seen nobody knows what there is.
  if (!pipe || Math.abs(awayOf(pipe, stationFt)) > TOLERANCES.samePlaceFt) return null;
  const here = findings
    .filter(({ lineId, placed, review }) => {
      const counts = placed && review?.verdict !== 'dismissed';
      return counts && lineId === lateral.lineId;
    })
    .map((finding) => ({ finding, awayFt: awayOf(finding.span, stationFt) }))
    .filter(({ awayFt }) => Math.abs(awayFt) <= RING_WITHIN_FT);
  const pools = here.flatMap(({ finding, awayFt }) =>
    finding.kind === 'standing-water' && awayFt === 0 ? [finding] : [],
  );
  const things = [
    ...here
      // Water that stands here is drawn to its level: it has no clock.
      .filter(
        ({ finding: { kind }, awayFt }) =>
          kind !== 'material' && !(kind === 'standing-water' && awayFt === 0),
      )
      .map(({ finding: { kind, severity, number, clock, certainty }, awayFt }): RingThing => ({
        title: nameFinding(kind),
        severity,
        number,
        isSure: certainty === 'confirmed',
        clock: clock && normaliseArc(clock, facing),
        awayFt,
      })),
    ...lateral.features
      .filter(({ isPlaceUnsaid }) => !isPlaceUnsaid)
      .map(({ feature, clock, stationFt: atFt }): RingThing => ({
        title: nameFeature(feature),
        severity: null,
        number: null,
        isSure: true,
        clock: clock === null ? null : normaliseArc({ from: clock, to: clock }, facing),
        awayFt: atFt - stationFt,
      }))
      .filter(({ awayFt }) => Math.abs(awayFt) <= RING_WITHIN_FT),
  ];
  return {
    material: pipe.material,
    boreIn: pipe.diameterIn,
    lined: pipe.lined,
    isSure: pipe.certainty === 'confirmed',
    water:
      pools.length === 0
        ? null
        : {
            fillRatio: deepest(pools.map(({ facts }) => fillRatioOf(facts))),
            isSure: pools.some(({ certainty }) => certainty === 'confirmed'),
          },
    things: things.sort((a, b) => Math.abs(a.awayFt) - Math.abs(b.awayFt)),
  };
}

/** The deepest of what was said; `null` where nobody said any. */
function deepest(fills: readonly (number | null)[]): number | null {
  const said = fills.filter((fill) => fill !== null);
  return said.length === 0 ? null : Math.max(...said);
}
