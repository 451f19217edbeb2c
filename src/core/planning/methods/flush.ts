import { cannot, holds, methodOf } from './method';

export const flush = methodOf({
  id: 'flush',
  name: 'Flush the low spot',
  verb: 'Flush the low spot',
  role: 'clean',
  order: 56,
  by: 'the household, or a plumber',
  price: { visit: 'flush.visit' },
  verdict: ({ kind, action, severity }) => {
    if (kind !== 'standing-water' || action === 'look-again') return null;
    return severity === 'failed'
      ? cannot('so much water stands there that flushing does not carry the solids through')
      : holds('regular flushing keeps solids from settling: the low spot remains');
  },
});
