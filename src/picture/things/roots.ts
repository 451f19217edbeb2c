import { Vector3 } from 'three';
import type { DrawThing } from './thing';

/** Strands for a bore that is filled; a few hairs have fewer. */
const STRANDS = 480;

/** Joints of a strand. */
const PARTS = 6;

/** Roots: from the joint or out of the wall, hairs to a mass that hangs down the flow. */
export const drawRoots: DrawThing = (sink, thing, site, random) => {
  if (thing.kind !== 'defect') return;
  const { extentRatio = 0.1, clockFrom, clockTo, holdsDebris, locus } = thing.what;
  const from = clockFrom ?? 0;
  const span =
    clockFrom === undefined ? 12 : ((((clockTo ?? clockFrom) - clockFrom) % 12) + 12) % 12 || 1;
  const { radiusFt, forward } = site.frame(thing.fromFt);
  const count = Math.round(14 + STRANDS * extentRatio ** 0.9);
  // They hang down the flow, whichever way the lens looks.
  const flow = site.path.facing === 'downstream' ? 1 : -1;
  const longFt = radiusFt * (0.7 + 2.4 * Math.sqrt(extentRatio));
  const spreadFt = locus === 'barrel' ? 0.16 : 0.03;
  for (let strand = 0; strand < count; strand += 1) {
    const clock = from + span * random.next();
    const startFt = thing.fromFt + random.normal() * spreadFt;
    const at = site.onWall(startFt, clock, -0.004);
    const frame = site.frame(startFt);
    const inward = frame.centre.clone().sub(at).normalize();
    const thickFt = random.next() < 0.08 + 0.2 * extentRatio ? 0.008 : 0.0028;
    const shade = 0.5 + 0.5 * random.next();
    const points: Vector3[] = [at];
    const step = (longFt * (0.35 + 0.65 * random.next())) / PARTS;
    const lean = inward
      .multiplyScalar(0.75 + 0.5 * extentRatio)
      .addScaledVector(forward, flow * (0.25 + 0.7 * random.next()))
      .addScaledVector(frame.right, random.normal() * 0.3);
    let here = at.clone();
    for (let part = 0; part < PARTS; part += 1) {
      lean.add(
        new Vector3(random.normal(), random.normal() - 0.35, random.normal()).multiplyScalar(0.22),
      );
      here = here.clone().addScaledVector(lean.clone().normalize(), step);
      // What reaches the far wall lies along it.
      const out = here.clone().sub(site.frame(startFt).centre);
      const across = out.clone().addScaledVector(forward, -out.dot(forward));
      const tooFarFt = across.length() - radiusFt * 0.97;
      if (tooFarFt > 0) here.addScaledVector(across.normalize(), -tooFarFt);
      points.push(here);
    }
    sink.tube(
      points,
      (share) => thickFt * (1.1 - 0.85 * share),
      [0.7 * shade + 0.28, 0.56 * shade + 0.2, 0.32 * shade + 0.1],
      { sides: 3, gloss: 0.25 },
    );
  }
  if (!holdsDebris) return;
  for (let piece = 0; piece < 14; piece += 1) {
    const at = site.inBore(
      thing.fromFt + flow * -0.05 + 0.12 * random.next(),
      4.5 + 3 * random.next(),
      0.3 + 0.6 * random.next(),
    );
    const isPaper = random.next() < 0.35;
    sink.lump(
      at,
      radiusFt * (0.08 + 0.1 * random.next()),
      isPaper ? [0.85, 0.82, 0.74] : [0.3, 0.21, 0.11],
      { seed: piece, rough: 0.5 },
    );
  }
};
