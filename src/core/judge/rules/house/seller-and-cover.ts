import { sayList } from '../../../base/numbers';
import { isForPurchase } from '../../../model/job/job';
import { advice } from '../conclusion';
import type { Rule } from '../rule';

export const sellerAndCover: Rule = {
  number: 69,
  id: 'seller-and-cover',
  when: 'a house is bought and its line asks for repair',
  then: 'ask for the seller’s statement, and for any warranty or service-line cover',
  because: 'what was known before the sale, and who has insured it, decides who pays',
  conclude: (scene) => {
    const { property, job } = scene.inspection;
    const isBad = scene.findings.some(
      ({ severity, ourDoing, responsibleSide }) =>
        !ourDoing && responsibleSide === 'owner' && (severity === 'major' || severity === 'failed'),
    );
    if (!isForPurchase(job) || !isBad) return [];
    const wanted = [
      ...(property.sellerSays === undefined ? ['the seller’s statement on the sewer'] : []),
      ...(property.serviceCover === undefined ? ['any warranty or service-line cover'] : []),
    ];
    return wanted.length > 0 ? [advice(null, `Ask for ${sayList(wanted)}.`)] : [];
  },
};
