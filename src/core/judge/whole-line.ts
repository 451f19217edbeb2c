import { type Interval, lengthFt, totalFt } from '../base/interval';
import type { Material } from '../catalogue/materials/index';
import { materialOf } from '../catalogue/materials/kinds';
import type { Lateral } from '../lateral/lateral';
import type { Property } from '../model/job/property';
import type { Finding } from './finding';

/** Feet of one material. */
export type MaterialFeet = { readonly material: Material; readonly feet: number };

/** The whole-house picture: what is old, what was renewed, and what is left to go. */
export type WholeLine = {
  /** Pipe that may have been laid with the house. */
  readonly original: readonly MaterialFeet[];
  /** Pipe of a kind that was not yet laid when the house was built, and lined pipe. */
  readonly renewed: readonly MaterialFeet[];
  /** Pipe of unknown kind, or in a house of unknown age. */
  readonly untold: readonly MaterialFeet[];
  /** Feet that call for repair, and feet past their usual life, inside the scope. */
  readonly repairFt: number;
  readonly pastLifeFt: number;
};

/** Draws the whole-house picture of one line. Feet are of the reached line. */
export function pictureWholeLine(
  lateral: Lateral,
  findings: readonly Finding[],
  { yearBuilt }: Pick<Property, 'yearBuilt'>,
): WholeLine {
  const none = () => new Map<Material, number>();
  const feet = { original: none(), renewed: none(), untold: none() };
  for (const segment of lateral.segments) {
    const { material, lined } = segment;
    const usual = materialOf(material).service;
    const isNewer = yearBuilt !== undefined && usual !== null && usual.laid.from > yearBuilt;
    const era =
      lined || isNewer ? 'renewed' : yearBuilt === undefined || !usual ? 'untold' : 'original';
    const known = feet[era];
    known.set(material, (known.get(material) ?? 0) + lengthFt(segment));
  }
  const list = (known: ReadonlyMap<Material, number>) =>
    [...known].map(([material, length]) => ({ material, feet: length }));
  const own = findings.filter(
    ({ lineId, placed, courtesy }) => lineId === lateral.lineId && placed && !courtesy,
  );
  const spans = (keep: (finding: Finding) => boolean): Interval[] =>
    own.filter(keep).map(({ span }) => span);
  return {
    original: list(feet.original),
    renewed: list(feet.renewed),
    untold: list(feet.untold),
    repairFt: totalFt(spans(({ action }) => action === 'repair' || action === 'urgent')),
    pastLifeFt: totalFt(lateral.segments.filter(({ age }) => age?.standing === 'past')),
  };
}
