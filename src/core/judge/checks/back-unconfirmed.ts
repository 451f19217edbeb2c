import { sayList } from '../../base/numbers';
import { type Check, perRun } from '../check';

/** Findings of the out pass that the back pass, the one that counts, never confirmed. */
export const backUnconfirmed: Check = {
  code: 'back-unconfirmed',
  level: 'warning',
  stand: 'reel',
  find: (context) =>
    perRun(context, ({ name, run, log }) => {
      const unconfirmed = context.findings.filter((finding) => {
        if (finding.runIds.length !== 1 || finding.runIds[0] !== run.id || finding.ourDoing)
          return false;
        return finding.entryIds.every((id) => log.byId.get(id)?.pass === 'out');
      });
      if (unconfirmed.length === 0) return [];
      const numbers = sayList(unconfirmed.map(({ number }) => String(number)));
      return [
        {
          message: `Run ${name}: finding${unconfirmed.length > 1 ? 's' : ''} ${numbers} seen on the way out only.`,
          action: 'Look again on the way back and log each one there.',
          runIds: [run.id],
          entryIds: unconfirmed.flatMap(({ entryIds }) => entryIds),
        },
      ];
    }),
};
