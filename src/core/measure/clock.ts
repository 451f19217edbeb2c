import type { Facing } from '../catalogue/vocabulary';

/** A position or an arc round the bore, clockwise from `from` to `to`, hours 0.5 to 12. */
export type ClockArc = { readonly from: number; readonly to: number };

/** Mirrors one clock position left to right: `c` becomes `12 − c`; 12 stays 12. */
export function mirrorClock(clock: number): number {
  return clock === 12 ? 12 : 12 - clock;
}

/** An arc as a lens facing downstream would see it: facing upstream it is mirrored and swaps ends. */
export function normaliseArc(arc: ClockArc, facing: Facing): ClockArc {
  if (facing === 'downstream') return arc;
  return { from: mirrorClock(arc.to), to: mirrorClock(arc.from) };
}

/** How many hours an arc spans clockwise, 0 to 12; equal ends are a point. */
export function arcHours(arc: ClockArc): number {
  return (((arc.to - arc.from) % 12) + 12) % 12;
}

/** Whether two arcs touch when each is read with an hour's grace at both ends. */
export function arcsCompatible(a: ClockArc | null, b: ClockArc | null): boolean {
  if (a === null || b === null) return true;
  const graceHours = 1;
  const startsIn = (point: number, arc: ClockArc) =>
    arcHours({ from: arc.from, to: point }) <= arcHours(arc) + graceHours ||
    arcHours({ from: point, to: arc.from }) <= graceHours;
  return startsIn(a.from, b) || startsIn(b.from, a) || startsIn(a.to, b) || startsIn(b.to, a);
}
