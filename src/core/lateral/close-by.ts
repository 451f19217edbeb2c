import type { Interval } from '../base/interval';
import type { Property, Surrounding } from '../model/job/property';
import type { Lateral } from './lateral';

/** What lies in the ground beside a line and must not be pushed aside. */
export const CLOSE_BY: readonly string[] = ['buried-utility', 'footing'];

/** Bursting pushes the ground aside: nearer than this it may harm what lies there, feet. A planning figure. */
export const SPACING_FT = 3;

/** Something close by a line, and where along it; `null`: nobody gave it a footage. */
export type CloseBy = { readonly what: string; readonly span: Interval | null };

type Thing = { readonly what: string; readonly offsetFt?: number };

/** Whether a thing outside the pipe is in the way of bursting; one at no known distance may be. */
export const isCloseBy = ({ what, offsetFt = 0 }: Thing): boolean =>
  CLOSE_BY.includes(what) && Math.abs(offsetFt) < SPACING_FT;

/** What was logged over a line and lies close by it; without a place on the line, anywhere along it. */
export function loggedCloseBy({ axes, unplaced }: Lateral): CloseBy[] {
  return [...axes, ...unplaced].flatMap((axis) =>
    axis.log.of('surface').flatMap((entry): CloseBy[] => {
      if (!isCloseBy(entry)) return [];
      if (entry.readingFt === null || !axis.placed) return [{ what: entry.what, span: null }];
      const { from, to } = axis.placeOfEntry(entry);
      const span = { fromFt: from.stationFt - SPACING_FT, toFt: to.stationFt + SPACING_FT };
      return [{ what: entry.what, span }];
    }),
  );
}

/** What was seen on the walk over the line, and no run has logged since. */
export function onlyWalked(
  { surroundings = [] }: Pick<Property, 'surroundings'>,
  laterals: readonly Lateral[],
): Surrounding[] {
  const axes = laterals.flatMap((lateral) => [...lateral.axes, ...lateral.unplaced]);
  const given = new Set(
    axes.flatMap(({ log }) => log.of('surface').flatMap(({ seenOnWalk = [] }) => seenOnWalk)),
  );
  return surroundings.filter(({ id }) => !given.has(id));
}

/** What was only seen on the walk, close by the line: it has no footage yet. */
export const walkedCloseBy = (
  property: Pick<Property, 'surroundings'>,
  laterals: readonly Lateral[],
): CloseBy[] =>
  onlyWalked(property, laterals)
    .filter(isCloseBy)
    .map(({ what }) => ({ what, span: null }));
