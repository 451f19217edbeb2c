import { NEW_INSIDE, NEW_PIPE } from '../../../catalogue/method-ids';
import { isForPurchase } from '../../../model/job/job';
import { adviceWith, type Conclusion, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';
import { madeOf, stretchesOf } from './stretches';

const WORN: readonly string[] = ['concrete', 'asbestos-cement', 'unknown'];

export const concreteWear: Rule = {
  number: 36,
  id: 'concrete-wear',
  when: 'concrete sheds grains, shows its stone, or is holed; or a local rule speaks of the material',
  then: 'grains are acceptable; exposed stone or holes: line or replace; a local rule is quoted',
  because:
    'grains are the skin wearing; stone is the wall wearing; and some authorities refuse a material outright',
  conclude: (scene) => {
    const worn = findingsOf(scene, 'spalling')
      .filter(({ material }) => WORN.includes(material))
      .map((finding): Conclusion =>
        finding.severity === 'slight'
          ? reason(finding, 'shedding grains is acceptable wear')
          : adviceWith(
              [...NEW_PIPE, ...NEW_INSIDE],
              finding,
              'Plan to line or replace this stretch.',
            ),
      );
    const ruled = (scene.inspection.job.localRules ?? []).flatMap(({ material, says }) =>
      stretchesOf(scene, (segment) => segment.material === material).map((stretch) =>
        madeOf(scene, stretch, {
          key: `local-rule-${material}`,
          says: `A local rule speaks of this pipe: ${says}`,
          advice: [
            isForPurchase(scene.inspection.job)
              ? 'Ask the sewer authority what its rule means for this house before you buy.'
              : 'Ask the sewer authority what its rule means for this house.',
          ],
        }),
      ),
    );
    return [...worn, ...ruled];
  },
};
