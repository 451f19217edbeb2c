import type { Severity } from '../catalogue/severity/grade';
import type { Finding } from '../judge/finding';
import type { Frame } from './frame';
import type { Point, Primitive } from './primitives';
import { stroke } from './primitives';
import type { Profile } from './profile';

/** More severe: more facets and larger. */
const SHAPE: Record<Severity, { readonly facets: number; readonly radius: number }> = {
  slight: { facets: 4, radius: 8.5 },
  moderate: { facets: 5, radius: 10 },
  major: { facets: 6, radius: 11.5 },
  failed: { facets: 8, radius: 13 },
};

/**
 * The outline of a flake: a chipped stone, its facets uneven in a way that its number fixes, so the
 * same finding is the same stone on every screen.
 */
export function flakeOutline(severity: Severity, number: number, center: Point): Point[] {
  const { facets } = SHAPE[severity];
  const radius = flakeRadius(severity, number);
  return Array.from({ length: facets }, (_, index) => {
    const chip = Math.sin(number * 12.9898 + index * 78.233);
    const angle = ((index + 0.12 * chip) / facets) * 2 * Math.PI - Math.PI / 2 - Math.PI / facets;
    const reach = radius * (1 + 0.09 * Math.sin(number * 4.1414 + index * 2.71));
    return { x: center.x + reach * Math.cos(angle), y: center.y + reach * Math.sin(angle) };
  });
}

/** A number of three figures needs this much room, drawing units. */
const ROOM_FOR_THREE = 12;

/** How large a flake of this grade is drawn, drawing units from its middle. */
export function flakeRadius(severity: Severity, number: number): number {
  const { radius } = SHAPE[severity];
  return number > 99 ? Math.max(radius, ROOM_FOR_THREE) : radius;
}

export type PlacedFlake = {
  readonly finding: Finding;
  readonly center: Point;
  readonly foot: Point;
};

const LANE = 25;
const LANES = 3;
/** A flake farther to the side than this is in nobody's way, drawing units. */
const FARTHEST = 90;
/** Among so many there is no free spot left: the flake stands at its foot, over others. */
const CROWD = 60;

/** The flakes that may be in the way of one at `x`; all of them were placed in order of station. */
function neighboursOf(placed: readonly PlacedFlake[], x: number): PlacedFlake[] {
  const near: PlacedFlake[] = [];
  for (let index = placed.length - 1; index >= 0 && near.length < CROWD; index -= 1) {
    if (placed[index]!.foot.x < x - FARTHEST) break;
    near.push(placed[index]!);
  }
  return near;
}

/** Places the flakes over the pipe so that no two overlap: in lanes, then sideways. */
export function placeFlakes(
  findings: readonly Finding[],
  frame: Frame,
  profile: Profile,
): PlacedFlake[] {
  const placed: PlacedFlake[] = [];
  const shown = findings
    .filter(({ placed: isPlaced }) => isPlaced)
    .map((finding) => ({ finding, atFt: (finding.span.fromFt + finding.span.toFt) / 2 }))
    .filter(({ atFt }) => atFt >= frame.view.fromFt && atFt <= frame.view.toFt)
    .sort((a, b) => a.atFt - b.atFt);
  for (const { finding, atFt } of shown) {
    const x = frame.xOf(atFt);
    const foot = { x, y: profile.crownY(atFt) };
    const spots = [0, 1, -1, 2, -2].flatMap((aside) =>
      Array.from({ length: LANES }, (_, lane) => ({
        x: x + aside * 14,
        y: foot.y - 18 - lane * LANE,
      })),
    );
    const near = neighboursOf(placed, x);
    const isFree = (spot: Point) =>
      near.every(({ center, finding: other }) => {
        const room =
          flakeRadius(other.severity, other.number) +
          flakeRadius(finding.severity, finding.number) +
          2;
        return Math.hypot(center.x - spot.x, center.y - spot.y) >= room;
      });
    placed.push({ finding, center: spots.find(isFree) ?? spots[0]!, foot });
  }
  return placed;
}

/** Flakes with their leaders and numbers. */
export function drawFlakes(flakes: readonly PlacedFlake[]): Primitive[] {
  return flakes.flatMap(({ finding, center, foot }): Primitive[] => [
    stroke('leader', center, foot),
    {
      shape: 'polygon',
      role: `flake-${finding.severity}`,
      points: flakeOutline(finding.severity, finding.number, center),
      findingNumber: finding.number,
    },
    {
      shape: 'text',
      role: finding.number > 99 ? 'flake-label-long' : 'flake-label',
      at: { x: center.x, y: center.y + 3.8 },
      text: String(finding.number),
      anchor: 'middle',
      findingNumber: finding.number,
    },
  ]);
}

/** Roots grow down from the surface into the bore; more of them the more of the pipe they fill. */
export function drawRoots(
  findings: readonly Finding[],
  frame: Frame,
  profile: Profile,
): Primitive[] {
  return findings
    .filter(({ kind, placed }) => kind === 'roots' && placed)
    .flatMap(({ span, facts, number }): Primitive[] => {
      const atFt = (span.fromFt + span.toFt) / 2;
      if (atFt < frame.view.fromFt || atFt > frame.view.toFt) return [];
      const extent = facts.extentRatio ?? 0.2;
      const hairs = 2 + Math.round(extent * 8);
      const crown = profile.crownY(atFt);
      const reach = profile.boreUnits(atFt) * Math.min(0.95, 0.3 + extent);
      const x = frame.xOf(atFt);
      return Array.from({ length: hairs }, (_, index): Primitive => {
        const lean = ((index + 0.5) / hairs - 0.5) * 2;
        const wobble = Math.sin(number * 3.3 + index * 1.7);
        return {
          shape: 'polyline',
          role: 'root',
          points: [
            { x: x + wobble * 2, y: frame.groundY + 3 },
            { x: x + wobble * 4 + lean, y: (frame.groundY + crown) / 2 },
            { x: x + lean * 3, y: crown },
            { x: x + lean * 9 + wobble, y: crown + reach * (0.75 + 0.25 * wobble) },
          ],
        };
      });
    });
}
