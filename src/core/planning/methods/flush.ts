import { holds, methodOf } from './method';

export const flush = methodOf({
  id: 'flush',
  name: 'Flush the low spot',
  verb: 'Flush the low spot',
  role: 'clean',
  order: 56,
  by: 'the household, or a plumber',
  price: { visit: 'flush.visit' },
  verdict: ({ kind, action }) =>
    kind === 'standing-water' && action === 'monitor'
      ? holds('regular flushing keeps solids from settling: the low spot remains')
      : null,
});
