import type { Inspection } from '#core/model/job/inspection';
import { isForPurchase } from '#core/model/job/job';
import { Field, Select } from '../shared/Fields';
import styles from './SiteScreen.module.css';

const FLOORS = [
  ['', 'Not known'],
  ['above-rim', 'Higher than the next manhole'],
  ['below-rim', 'Lower than the next manhole'],
] as const;
const YES_OR_NO = [
  ['', 'Not known'],
  ['yes', 'Yes'],
  ['no', 'No'],
] as const;
const sayKnown = (value: boolean | undefined) => (value === undefined ? '' : value ? 'yes' : 'no');

/** Facts of the house that change what is advised; each may stay open, and is asked only where it matters. */
export function MoreOfHouse({
  inspection: { job, property },
}: {
  readonly inspection: Inspection;
}) {
  const isPurchase = isForPurchase(job);
  return (
    <details className={styles['more']}>
      <summary>What else is known of the house</summary>
      <div className={styles['grid']}>
        {property.foundation === 'basement' && (
          <Select
            name="lowestFloor"
            label="The basement floor is"
            options={FLOORS}
            value={property.lowestFloor ?? ''}
          />
        )}
        <Select
          name="sharedLine"
          label="Another house shares the line"
          options={YES_OR_NO}
          value={sayKnown(property.sharedLine)}
        />
        <Select
          name="rainTiedIn"
          label="Roof or sump water runs in"
          options={YES_OR_NO}
          value={sayKnown(property.rainTiedIn)}
        />
        {isPurchase && (
          <>
            <Select
              name="proofAtSale"
              label="A local rule wants proof at a sale"
              options={YES_OR_NO}
              value={sayKnown(property.proofAtSale)}
            />
            <Field name="sellerSays" label="The seller states" value={property.sellerSays} />
            <Field
              name="serviceCover"
              label="Warranty or service-line cover"
              value={property.serviceCover}
            />
          </>
        )}
      </div>
    </details>
  );
}
