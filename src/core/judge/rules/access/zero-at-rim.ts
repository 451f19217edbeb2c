import { sayFt } from '../../../base/numbers';
import { type Conclusion, question, reason } from '../conclusion';
import type { Rule } from '../rule';
import { runsOf } from '../scene';

export const zeroAtRim: Rule = {
  number: 3,
  id: 'zero-at-rim',
  when: 'the counter was set to zero at the rim, above the pipe',
  then: 'deduct the drop from every reading of that run',
  because: 'the drop is riser and not pipe: left in, every station would be too far',
  conclude: (scene) =>
    runsOf(scene).flatMap(({ name, run: { id, zero } }): Conclusion[] => {
      if (zero.at !== 'rim') return [];
      if (zero.dropFt > 0) {
        return [
          reason(
            null,
            `Run ${name} was zeroed at the rim: ${sayFt(zero.dropFt)} ft of drop are taken off its readings.`,
          ),
        ];
      }
      return [
        question(
          null,
          'reel',
          `Run ${name} was zeroed at the rim, and nobody said how far down the pipe lies.`,
          `Give the drop of run ${name}, in feet.`,
          { runIds: [id] },
        ),
      ];
    }),
};
