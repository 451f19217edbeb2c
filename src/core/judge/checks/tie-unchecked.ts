import type { Check } from '../check';

/** A tie that alone holds a run on the line: it may be wrong and nothing would show it. */
export const tieUnchecked: Check = {
  code: 'tie-unchecked',
  level: 'warning',
  stand: 'desk',
  find: ({ laterals }) =>
    laterals.flatMap(({ join, axes, unplaced }) =>
      join.unchecked.flatMap((link) => {
        if (link.kind !== 'tie') return [];
        const runIds = [...new Set(link.sightings.map(({ runId }) => runId))];
        const names = [...axes, ...unplaced]
          .filter(({ run }) => runIds.includes(run.id))
          .map(({ name }) => name);
        return [
          {
            message: `Tie ${link.id} (${link.label}) alone joins ${names.join(' and ')}: nothing checks it.`,
            action: 'Tie a second thing that both runs saw, or tape between the accesses.',
            runIds,
            entryIds: link.sightings.map(({ entryId }) => entryId),
          },
        ];
      }),
    ),
};
