import { methodOf } from './method';

export const notifyAuthority = methodOf({
  id: 'notify-authority',
  name: 'Report to the authority',
  verb: 'Report it to the sewer authority',
  role: 'tell',
  order: 2,
  by: 'the owner',
  verdict: () => null,
});
