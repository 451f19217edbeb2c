import { sayFt } from '../../base/numbers';
import { type Check, nameLinesOf, namesOfRuns } from '../check';

/** Two boundaries that say different things of the pipe between them. */
export const materialConflict: Check = {
  code: 'material-conflict',
  level: 'blocker',
  stand: 'reel',
  find: (context) =>
    context.laterals.flatMap((lateral) =>
      lateral.pipes
        .flatMap(({ conflicts }) => conflicts)
        .map(({ fromFt, toFt, entryIds }) => ({
          message: `Two materials are logged between ${sayFt(fromFt)} and ${sayFt(toFt)} ft${nameLinesOf(context).on(lateral.lineId)} (${namesOfRuns(context, runsOf(lateral.axes, entryIds))}); the later one stands for now.`,
          action: 'Correct the one that is wrong.',
          runIds: runsOf(lateral.axes, entryIds),
          entryIds,
        })),
    ),
};

/** The runs that hold any of these entries. */
export function runsOf(
  axes: readonly {
    readonly run: { readonly id: string };
    readonly log: { readonly byId: ReadonlyMap<string, unknown> };
  }[],
  entryIds: readonly string[],
): string[] {
  return axes.filter(({ log }) => entryIds.some((id) => log.byId.has(id))).map(({ run }) => run.id);
}
