import { isForPurchase } from '../../../model/job/job';
import { advice } from '../conclusion';
import type { Rule } from '../rule';

export const proofAtSale: Rule = {
  number: 67,
  id: 'proof-at-sale',
  when: 'a local rule wants proof of the lateral at a sale',
  then: 'say so, and ask who brings the proof',
  because: 'where it is wanted, a sale may not close without it',
  conclude: ({ inspection: { property, job } }) =>
    property.proofAtSale === true && isForPurchase(job)
      ? [
          advice(
            null,
            'A local rule wants proof of the sewer lateral at a sale. Ask who brings it, and by when.',
          ),
        ]
      : [],
};
