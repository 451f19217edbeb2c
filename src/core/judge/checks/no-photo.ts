import { sayList } from '../../base/numbers';
import { type Check, perRun } from '../check';

/** Findings, moderate or worse, without a still. */
export const noPhoto: Check = {
  code: 'no-photo',
  level: 'warning',
  stand: 'reel',
  find: (context) =>
    perRun(context, ({ name, run }) => {
      const bare = context.findings.filter(
        ({ runIds, severity, photoIds }) =>
          runIds[0] === run.id && severity !== 'slight' && photoIds.length === 0,
      );
      if (bare.length === 0) return [];
      const numbers = sayList(bare.map(({ number }) => String(number)));
      return [
        {
          message: `Run ${name}: no still of finding${bare.length > 1 ? 's' : ''} ${numbers}.`,
          action: 'Take a still of each on the way back.',
          runIds: [run.id],
          entryIds: bare.flatMap(({ entryIds }) => entryIds),
        },
      ];
    }),
};
