import type { Entry } from '../../model/log/entry';
import { arcsCompatible, type ClockArc, normaliseArc } from '../clock';
import type { RunAxis } from '../placement';

/** What sort of thing an entry names, for telling whether two could be one; `null` for no thing. */
export function thingOf(entry: Entry): string | null {
  switch (entry.kind) {
    case 'feature':
      return `feature ${entry.feature}`;
    case 'defect':
      return `defect ${entry.defect}`;
    case 'material':
      return 'change of pipe';
    case 'zone':
      return 'change of ground';
    default:
      return null;
  }
}

/** Where an entry lies round the bore, as a lens facing downstream sees it; `null` when not said. */
export function clockOf(axis: RunAxis, entry: Entry): ClockArc | null {
  const from =
    entry.kind === 'feature'
      ? entry.clock
      : entry.kind === 'defect'
        ? (entry.clockFrom ?? entry.clockTo)
        : undefined;
  if (from === undefined) return null;
  const to = entry.kind === 'defect' ? (entry.clockTo ?? from) : from;
  return normaliseArc({ from, to }, axis.run.facing);
}

/** Whether two entries could be one thing: the same kind, and clocks that agree once mirrored. */
export function isSameKindOfThing(a: RunAxis, one: Entry, b: RunAxis, other: Entry): boolean {
  const kind = thingOf(one);
  if (kind === null || kind !== thingOf(other)) return false;
  return arcsCompatible(clockOf(a, one), clockOf(b, other));
}
