import { pathPipeAt, type PathThing, type RigPath } from './path';
import type { RodSetup } from './rod';

/** What holds a head that is too big, and where. */
export type Stop = {
  /** Where the head stands against it, feet from the rim. */
  readonly atFt: number;
  readonly because: 'end' | 'bore' | 'bend' | 'obstruction' | 'utility';
  readonly text: string;
};

/** A head is about three times as long as it is thick. */
const LENGTH_TO_DIAMETER = 2.6;
/** Room that a skid or guide takes round the head, inches. */
const AID_IN = 0.8;

/** Diameter of what has to pass, inches. */
export function passingDiameterIn({ headDiameterIn, aid }: RodSetup): number {
  return headDiameterIn + (aid === 'none' ? 0 : AID_IN);
}

/**
 * Longest stiff body that passes a bend, inches: a chord of the outer wall that just touches the inner
 * wall, `2·√(Rₒ² − (Rᵢ + d)²)` with d the body's thickness; 0 when it is thicker than the bore.
 */
export function longestThroughBendIn(boreIn: number, radiusIn: number, bodyIn: number): number {
  const outerIn = radiusIn + boreIn / 2;
  const innerIn = Math.max(0, radiusIn - boreIn / 2) + bodyIn;
  return outerIn <= innerIn ? 0 : 2 * Math.sqrt(outerIn ** 2 - innerIn ** 2);
}

/** Clear opening that a thing leaves for a head, inches; `null` when it leaves the bore free. */
export function openingIn(thing: PathThing, boreIn: number): number | null {
  if (thing.kind !== 'defect') return null;
  const { defect, extentRatio = 0.1, offsetIn, lipIn } = thing.what;
  switch (defect) {
    case 'utility-crossing':
      return 0;
    case 'collapse':
      return boreIn * (1 - (extentRatio > 0.1 ? extentRatio : 0.85));
    case 'offset':
      return boreIn - (offsetIn ?? 0);
    case 'lip':
      return boreIn - (lipIn ?? 0);
    case 'deformation':
    case 'intruding-tap':
      return boreIn * (1 - extentRatio);
    case 'roots':
      // Roots give way; only a mass that nearly fills the bore holds a head.
      return extentRatio > 0.9 ? 0 : null;
    case 'scale':
    case 'mineral':
      // Grown round the wall: the opening's area is what is left of the pipe's.
      return boreIn * Math.sqrt(1 - extentRatio);
    case 'debris':
    case 'foreign-object':
      return boreIn * (1 - extentRatio);
    default:
      return null;
  }
}

/** Everything on the way that this head cannot pass, nearest first; the way's end is the last. */
export function findStops(path: RigPath, setup: RodSetup): readonly Stop[] {
  const bodyIn = passingDiameterIn(setup);
  const lengthIn = setup.headDiameterIn * LENGTH_TO_DIAMETER;
  const stops: Stop[] = [{ atFt: path.lengthFt, because: 'end', text: 'the end of the line' }];
  for (const { fromFt, diameterIn } of path.pipes) {
    if (diameterIn <= bodyIn) {
      const text = `a ${diameterIn} in bore, too small for this head`;
      stops.push({ atFt: fromFt, because: 'bore', text });
    }
  }
  for (const { atFt, radiusIn, angleDeg, boreIn } of path.bends) {
    // A slight bend is passed by a body that a full turn would hold: the chord is as long as the arc lets.
    const turnIn =
      2 * (radiusIn + boreIn / 2) * Math.sin((Math.min(180, angleDeg) * Math.PI) / 360);
    const isTight = longestThroughBendIn(boreIn, radiusIn, bodyIn) < lengthIn && turnIn > boreIn;
    if (isTight)
      stops.push({ atFt, because: 'bend', text: `a ${angleDeg}° bend, too tight for this head` });
  }
  for (const thing of path.things) {
    const openIn = openingIn(thing, pathPipeAt(path, thing.fromFt).diameterIn);
    if (openIn === null || openIn > bodyIn || thing.kind !== 'defect') continue;
    stops.push({
      atFt: thing.fromFt,
      because: thing.what.defect === 'utility-crossing' ? 'utility' : 'obstruction',
      text:
        thing.what.defect === 'utility-crossing'
          ? 'a pipe that runs through the sewer'
          : 'something in the bore that leaves no room for this head',
    });
  }
  return stops.sort((a, b) => a.atFt - b.atFt);
}
