import { Vector3 } from 'three';
import type { DrawThing } from './thing';

/** Bits in a heap: gravel, paper, a stick. */
export const drawBits: DrawThing = (sink, thing, site, random) => {
  if (thing.kind !== 'defect') return;
  const { radiusFt } = site.frame(thing.fromFt);
  const longFt = Math.max(0.8, thing.toFt - thing.fromFt);
  const count = Math.round(16 + 12 * Math.min(4, longFt));
  for (let bit = 0; bit < count; bit += 1) {
    const atFt = (thing.fromFt + thing.toFt) / 2 + (random.next() - 0.5) * longFt;
    const at = site.onWall(atFt, 6 + random.normal() * 0.9, 0.004);
    const kind = random.next();
    if (kind < 0.7) {
      const grey = 0.2 + 0.35 * random.next();
      sink.lump(at, 0.008 + 0.02 * random.next(), [grey * 1.1, grey * 0.95, grey * 0.75], {
        seed: bit,
        rough: 0.4,
      });
    } else if (kind < 0.88) {
      // Sodden paper.
      const side = () =>
        new Vector3(random.normal(), 0.35 * random.normal(), random.normal()).multiplyScalar(0.028);
      sink.quad(
        [at, at.clone().add(side()), at.clone().add(side()), at.clone().add(side())],
        [0.86, 0.83, 0.74],
        0.3,
      );
    } else {
      const end = at
        .clone()
        .add(new Vector3(random.normal(), 0.25, random.normal()).multiplyScalar(radiusFt * 0.4));
      sink.tube([at, end], () => 0.006, [0.36, 0.23, 0.11]);
    }
  }
};

/** Something that was never meant to be in a sewer. */
export const drawForeign: DrawThing = (sink, thing, site) => {
  if (thing.kind !== 'defect') return;
  const { forward, right, up, radiusFt } = site.frame(thing.fromFt);
  const size = radiusFt * Math.min(0.85, 0.34 + (thing.what.extentRatio ?? 0.1));
  const foot = site.onWall(thing.fromFt, 6.4, 0).addScaledVector(up, size * 0.42);
  // A plastic beaker on its side, mouth to the lens, and a cloth that has caught on it.
  const axis = forward.clone().multiplyScalar(0.85).addScaledVector(right, 0.5).normalize();
  const rim = foot.clone().addScaledVector(axis, -size * 0.8);
  const end = foot.clone().addScaledVector(axis, size * 0.9);
  sink.tube([rim, foot, end], (share) => size * (0.55 - 0.14 * share), [0.85, 0.12, 0.1], {
    sides: 16,
    gloss: 0.9,
  });
  sink.tube([rim, rim.clone().addScaledVector(axis, 0.012)], () => size * 0.6, [0.98, 0.9, 0.88], {
    sides: 16,
    gloss: 0.6,
  });
  sink.lump(end, size * 0.4, [0.6, 0.08, 0.07], { rough: 0.02 });
  const cloth = Array.from({ length: 9 }, (_, part) => ({
    at: foot
      .clone()
      .addScaledVector(right, -size * (0.4 + 0.16 * part))
      .addScaledVector(up, size * (0.1 * Math.sin(part * 1.3) - 0.3))
      .addScaledVector(forward, size * 0.12 * part),
    facing: up,
  }));
  sink.band(cloth, () => size * 0.7, [0.93, 0.93, 0.9], 0.2);
};

/** A rat, what it dragged in, and its droppings. */
export const drawVermin: DrawThing = (sink, thing, site, random) => {
  const { forward, right, up, radiusFt } = site.frame(thing.fromFt);
  const size = radiusFt * 0.46;
  const turn = (v: Vector3) =>
    new Vector3()
      .addScaledVector(right, v.x)
      .addScaledVector(up, v.y)
      .addScaledVector(forward, v.z);
  const body = site.onWall(thing.fromFt, 6.3, 0).addScaledVector(up, size * 0.62);
  const fur = [0.46, 0.4, 0.33] as const;
  sink.lump(body, size, fur, {
    stretch: new Vector3(0.72, 0.68, 1.15),
    rough: 0.06,
    turn,
    gloss: 0.05,
  });
  const head = body
    .clone()
    .addScaledVector(right, -size * 0.75)
    .addScaledVector(forward, -size * 0.7)
    .addScaledVector(up, -size * 0.05);
  sink.lump(head, size * 0.52, fur, {
    stretch: new Vector3(0.85, 0.8, 1.2),
    rough: 0.05,
    turn,
    gloss: 0.05,
  });
  for (const side of [-1, 1]) {
    const ear = head
      .clone()
      .addScaledVector(right, side * size * 0.32)
      .addScaledVector(up, size * 0.38);
    sink.lump(ear, size * 0.21, [0.62, 0.42, 0.38], {
      stretch: new Vector3(1, 1, 0.4),
      rough: 0.02,
      turn,
    });
    const eye = head
      .clone()
      .addScaledVector(right, side * size * 0.24)
      .addScaledVector(up, size * 0.14)
      .addScaledVector(forward, -size * 0.52);
    sink.lump(eye, size * 0.09, [1, 0.85, 0.55], { rough: 0, gloss: 1.5 });
  }
  sink.lump(
    head
      .clone()
      .addScaledVector(forward, -size * 0.62)
      .addScaledVector(up, -size * 0.1),
    size * 0.1,
    [0.75, 0.45, 0.42],
    { rough: 0 },
  );
  const tail = Array.from({ length: 12 }, (_, part) =>
    body
      .clone()
      .addScaledVector(right, size * (0.5 + 0.15 * part))
      .addScaledVector(up, -size * (0.35 - 0.02 * part * Math.sin(part)))
      .addScaledVector(forward, -size * 0.5 * Math.sin(part / 3)),
  );
  sink.tube(tail, (share) => size * 0.09 * (1.1 - share), [0.66, 0.46, 0.42], { sides: 5 });
  for (let one = 0; one < 26; one += 1) {
    const at = site.onWall(thing.fromFt + random.normal() * 0.4, 6 + random.normal() * 0.7, 0.004);
    sink.lump(at, 0.008, [0.07, 0.05, 0.035], { stretch: new Vector3(1, 1, 2), seed: one });
  }
};

/** Something there that nobody could name: dark, and no shape of its own. */
export const drawUnidentified: DrawThing = (sink, thing, site, random) => {
  const { radiusFt, up } = site.frame(thing.fromFt);
  for (let part = 0; part < 9; part += 1) {
    const at = site
      .onWall(thing.fromFt + random.normal() * 0.1, 6.5 + random.normal() * 0.9, 0.01)
      .addScaledVector(up, radiusFt * 0.12 * (part % 3));
    sink.lump(at, radiusFt * (0.16 + 0.16 * random.next()), [0.06, 0.06, 0.07], {
      seed: part,
      rough: 0.5,
      gloss: 0.9,
    });
  }
};
