import { NEW_PIPE } from '../../../catalogue/method-ids';
import { fillRatioOf } from '../../../catalogue/severity/water-depth';
import { adviceWith, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';
import { damsOf } from './dams';

export const fullBore: Rule = {
  number: 9,
  id: 'full-bore',
  when: 'a verified sag fills the pipe',
  then: 'it has failed whatever its length: replace the whole stretch to grade, then scope again',
  because: 'a pipe that stays full passes no air and drops everything that it carries',
  conclude: (scene) =>
    findingsOf(scene, 'standing-water')
      .filter(
        ({ verified, facts }) =>
          verified && (fillRatioOf(facts) ?? 0) > scene.thresholds.waterFailedAbove + 1e-9,
      )
      .filter((pool) => damsOf(scene, pool).length === 0)
      .flatMap((pool) => [
        reason(pool, 'the pipe stays full, which fails whatever its length'),
        adviceWith(
          NEW_PIPE,
          pool,
          'Replace the whole stretch to grade, and have it looked at again afterwards.',
        ),
      ]),
};
