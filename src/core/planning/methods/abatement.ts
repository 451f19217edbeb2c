import { methodOf } from './method';

export const abatement = methodOf({
  id: 'abatement',
  name: 'Asbestos abatement',
  verb: 'Abate the asbestos cement',
  role: 'prepare',
  extent: 'stretch',
  order: 30,
  by: 'a licensed asbestos abatement contractor',
  price: { visit: 'abatement.visit', foot: 'abatement.foot' },
  verdict: () => null,
});
