import type { Check } from '../check';

/** A run that nothing joins to the rest, so its footages have no place on the line. */
export const runUnplaced: Check = {
  code: 'run-unplaced',
  level: 'blocker',
  stand: 'desk',
  find: ({ laterals }) =>
    laterals.flatMap((lateral) =>
      lateral.unplaced
        .filter(({ run }) => run.outcome !== 'abandoned')
        .map(({ run, name, from }) => ({
          message: `Run ${name} from access ${from} is not joined to the rest of the line.`,
          action: 'Tie a thing that both runs saw, or tape the distance between the two accesses.',
          runIds: [run.id],
          entryIds: [],
        })),
    ),
};
