import { Vector3 } from 'three';
import { formOf } from '../form';
import type { DrawThing } from './thing';

/** Another utility's pipe, bored straight through the sewer. */
export const drawUtility: DrawThing = (sink, thing, site) => {
  const { centre, right, up, forward, radiusFt } = site.frame(thing.fromFt);
  const through = [-1.7, -0.6, 0, 0.6, 1.7].map((side) =>
    centre
      .clone()
      .addScaledVector(right, side * radiusFt)
      .addScaledVector(up, radiusFt * 0.08 * (1 + 0.4 * side)),
  );
  sink.tube(through, () => radiusFt * 0.27, [0.93, 0.72, 0.08], { sides: 14, gloss: 0.6 });
  // Print along it, unreadable as always.
  const print = through.map((at) => ({
    at: at.clone().addScaledVector(forward, -radiusFt * 0.275),
    facing: forward.clone().negate(),
  }));
  sink.band(print, () => radiusFt * 0.05, [0.1, 0.09, 0.05]);
};

/** A tap pushed in too far: the end of another pipe stands in the bore. */
export const drawIntrudingTap: DrawThing = (sink, thing, site) => {
  if (thing.kind !== 'defect') return;
  const { clockFrom = 3, extentRatio = 0.1 } = thing.what;
  const { radiusFt } = site.frame(thing.fromFt);
  const reach = Math.min(1.4, 2 * extentRatio + 0.1);
  const out = site.inBore(thing.fromFt, clockFrom, 1.3);
  const inside = site.inBore(thing.fromFt, clockFrom, 1 - reach);
  const lip = site.inBore(thing.fromFt, clockFrom, 1 - reach + 0.04);
  sink.tube([out, inside], () => radiusFt * 0.55, [0.62, 0.31, 0.2], { sides: 18, gloss: 0.35 });
  sink.tube([lip, inside], () => radiusFt * 0.57, [0.86, 0.6, 0.46], { sides: 18 });
  // Looking into it: dark.
  sink.tube(
    [inside.clone().lerp(lip, 0.2), inside.clone().lerp(lip, 0.1)],
    (share) => radiusFt * 0.5 * (1 - share),
    [0.02, 0.015, 0.01],
    { sides: 18 },
  );
  sink.tube(
    [site.inBore(thing.fromFt, clockFrom, 1.02), site.inBore(thing.fromFt, clockFrom, 0.96)],
    () => radiusFt * 0.63,
    [0.5, 0.47, 0.42],
    { sides: 18 },
  );
};

/** A gasket that has come out of its coupling and hangs into the bore. */
export const drawGasket: DrawThing = (sink, thing, site, random) => {
  if (thing.kind !== 'defect') return;
  const { clockFrom = 11, clockTo = 1.5 } = thing.what;
  const { radiusFt } = site.frame(thing.fromFt);
  // The steel band beside it, rusted, round all of the pipe.
  const ring = (atFt: number) =>
    Array.from({ length: 37 }, (_, part) => site.inBore(atFt, part / 3, 0.99));
  sink.tube(ring(thing.fromFt - 0.1), () => 0.008, [0.62, 0.36, 0.16], { sides: 4, gloss: 0.5 });
  if (formOf(thing.what) !== 'gasket-in-bore') return;
  const span = (((clockTo - clockFrom) % 12) + 12) % 12 || 2;
  const loop = Array.from({ length: 19 }, (_, part) => {
    const share = part / 18;
    const sag = Math.sin(Math.PI * share);
    return site.inBore(
      thing.fromFt + 0.03 * Math.sin(5 * share),
      clockFrom + span * share,
      1.01 - 0.85 * sag - 0.03 * random.next(),
    );
  });
  sink.tube(loop, () => radiusFt * 0.085, [0.055, 0.055, 0.06], { sides: 8, gloss: 0.7 });
  const tail = Array.from({ length: 8 }, (_, part) =>
    loop[11]!
      .clone()
      .add(new Vector3(0, -radiusFt * 0.06 * part, 0))
      .addScaledVector(site.frame(thing.fromFt).right, 0.012 * Math.sin(part)),
  );
  sink.tube(tail, () => radiusFt * 0.05, [0.05, 0.05, 0.055], { sides: 6, gloss: 0.7 });
};

/** Ground water that comes in: beads, drops, or a stream. */
export const drawSeep: DrawThing = (sink, thing, site, random) => {
  if (thing.kind !== 'defect') return;
  const { clockFrom = 2 } = thing.what;
  const form = formOf(thing.what) ?? 'drip';
  const { radiusFt } = site.frame(thing.fromFt);
  const water = [0.78, 0.88, 0.95] as const;
  if (form === 'run') {
    for (let jet = 0; jet < 7; jet += 1) {
      const start = site.onWall(
        thing.fromFt + random.normal() * 0.02,
        clockFrom + random.normal() * 0.12,
        0,
      );
      const toward = site.frame(thing.fromFt).centre.clone().sub(start).normalize();
      const arc = Array.from({ length: 10 }, (_, part) =>
        start
          .clone()
          .addScaledVector(toward, radiusFt * 0.13 * part)
          .add(new Vector3(0, -radiusFt * 0.022 * part * part, 0)),
      );
      sink.tube(arc, (share) => 0.006 + 0.006 * share, water, { sides: 5, gloss: 1.6 });
    }
    return;
  }
  const isDrip = form === 'drip';
  for (let bead = 0; bead < (isDrip ? 46 : 26); bead += 1) {
    const side = clockFrom < 6 ? 1 : -1;
    const clock = clockFrom + side * (isDrip ? 3.4 : 1.2) * random.next() ** 1.4;
    const at = site.onWall(thing.fromFt + random.normal() * 0.03, clock, 0.002);
    sink.lump(at, 0.004 + 0.008 * random.next(), water, { rough: 0, gloss: 2, seed: bead });
  }
  if (!isDrip) return;
  for (let drop = 0; drop < 3; drop += 1) {
    const at = site
      .inBore(thing.fromFt + 0.02 * drop, clockFrom, 0.82 - 0.28 * drop)
      .add(new Vector3(0, -radiusFt * 0.1 * drop, 0));
    sink.lump(at, 0.013, water, { rough: 0, gloss: 2, stretch: new Vector3(0.8, 1.5, 0.8) });
  }
};

/** Sewage that leaks out: a dark slit at a joint, with a washed streak that runs to it from above. */
export const drawLeak: DrawThing = (sink, thing, site, random) => {
  if (thing.kind !== 'defect') return;
  const { clockFrom = 6, clockTo = clockFrom } = thing.what;
  const form = formOf(thing.what) ?? 'drip';
  const wide = form === 'seep' ? 0.006 : form === 'drip' ? 0.01 : 0.018;
  const span = ((((clockTo - clockFrom) % 12) + 12) % 12) + 1.6;
  const slit = Array.from({ length: 15 }, (_, part) =>
    site.inBore(thing.fromFt + random.normal() * 0.004, clockFrom - 0.8 + (span * part) / 14, 1.02),
  );
  sink.tube(slit, () => wide, [0.03, 0.02, 0.02], { sides: 5, gloss: 0.2 });
  for (let streak = 0; streak < 5; streak += 1) {
    const clock = clockFrom + random.normal() * 0.5;
    const run = Array.from({ length: 6 }, (_, part) =>
      site.inBore(thing.fromFt - 0.03 * part, clock + 0.02 * part, 0.995),
    );
    sink.tube(run, (share) => 0.008 * (1 - share), [0.85, 0.8, 0.68], { sides: 4, gloss: 1.4 });
  }
};
