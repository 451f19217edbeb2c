import { cures, holds, methodOf } from './method';

export const rampLip = methodOf({
  id: 'ramp-lip',
  name: 'Ramp the lip',
  verb: 'Ramp the lip',
  role: 'mend',
  order: 54,
  lifeYears: 15,
  price: { each: 'ramp-lip.each' },
  barredIn: ({ material }) =>
    material === 'asbestos-cement' ? 'asbestos cement must not be ground' : null,
  reach: ({ kind, span }) =>
    kind === 'standing-water' ? { fromFt: span.toFt, toFt: span.toFt } : span,
  verdict: ({ kind, action }) => {
    if (kind === 'lip') return cures('the edge no longer catches solids');
    // The action table leaves a pool to upkeep only where a lip at its lower end holds it.
    return kind === 'standing-water' && action === 'upkeep'
      ? holds('the lip at its lower end holds the water: look again once it is ramped')
      : null;
  },
});
