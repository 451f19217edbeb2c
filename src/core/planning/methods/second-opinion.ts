import { methodOf } from './method';

export const secondOpinion = methodOf({
  id: 'second-opinion',
  name: 'Second opinion',
  verb: 'Ask a licensed drain contractor',
  role: 'look',
  order: 26,
  by: 'a licensed drain contractor',
  price: { visit: 'second-opinion.visit' },
  verdict: () => null,
});
