import type { Vector3 } from 'three';
import type { Random } from '#core/base/random';
import { formOf } from '../form';
import type { Sink } from '../sink';
import type { DrawThing, Site } from './thing';

type Walk = { readonly atFt: number; readonly clock: number };

/** A jagged line over the wall. */
function jag(from: Walk, to: Walk, random: Random, roughness: number): Walk[] {
  const parts = 22;
  let [driftFt, driftHours] = [0, 0];
  return Array.from({ length: parts + 1 }, (_, part) => {
    const share = part / parts;
    driftFt = 0.8 * driftFt + random.normal() * 0.02 * roughness;
    driftHours = 0.8 * driftHours + random.normal() * 0.16 * roughness;
    return {
      atFt: from.atFt + share * (to.atFt - from.atFt) + driftFt,
      clock: from.clock + share * (to.clock - from.clock) + driftHours,
    };
  });
}

function drawLine(sink: Sink, walk: readonly Walk[], site: Site, widthFt: number): void {
  const place = (inFt: number) =>
    walk.map(({ atFt, clock }) => {
      const at = site.onWall(atFt, (clock + 24) % 12, inFt);
      const facing: Vector3 = site.frame(atFt).centre.clone().sub(at).normalize();
      return { at, facing };
    });
  const taper = (share: number) => Math.min(1, 6 * share, 6 * (1 - share)) * 0.8 + 0.2;
  if (widthFt > 0.006) {
    // The broken edge catches the light.
    sink.band(place(0.0022), (share) => widthFt * 1.9 * taper(share), [0.75, 0.6, 0.5], 0.05);
  }
  sink.band(place(0.0036), (share) => widthFt * taper(share), [0.015, 0.01, 0.008], 0);
}

/** Cracks: a hair, an open one with an edge, several that branch; along the pipe or round it. */
export const drawCrack: DrawThing = (sink, thing, site, random) => {
  if (thing.kind !== 'defect') return;
  const { direction = 'along', clockFrom = 12, clockTo } = thing.what;
  const form = formOf(thing.what) ?? 'open';
  const isSeveral = form === 'several' || direction === 'multiple';
  const widthFt = form === 'hairline' ? 0.005 : form === 'displaced' ? 0.028 : 0.016;
  const atFt = (thing.fromFt + thing.toFt) / 2;
  const halfFt = Math.max(0.55, (thing.toFt - thing.fromFt) / 2);
  const line = (from: Walk, to: Walk, wide = widthFt) => {
    const walk = jag(from, to, random, 1);
    drawLine(sink, walk, site, wide);
    return walk;
  };
  const span = clockTo === undefined ? 5 : (((clockTo - clockFrom) % 12) + 12) % 12;
  if (isSeveral) {
    for (let index = 0; index < 5; index += 1) {
      const clock = clockFrom + (span * (index + 0.3 * random.next())) / 5;
      const trunk = line(
        { atFt: atFt - halfFt * (0.6 + 0.5 * random.next()), clock },
        { atFt: atFt + halfFt * (0.5 + 0.6 * random.next()), clock: clock + random.normal() * 0.6 },
        0.013,
      );
      const fork = trunk[6 + Math.floor(10 * random.next())]!;
      line(
        fork,
        { atFt: fork.atFt + 0.25, clock: fork.clock + (random.next() < 0.5 ? 1.4 : -1.4) },
        0.009,
      );
    }
    return;
  }
  if (direction === 'round') {
    const from = clockTo === undefined ? clockFrom - 2.5 : clockFrom;
    line({ atFt, clock: from }, { atFt, clock: from + span });
    return;
  }
  line({ atFt: atFt - halfFt, clock: clockFrom }, { atFt: atFt + halfFt, clock: clockFrom });
};
