import { cures, methodOf } from './method';

export const notifyUtilityOwner = methodOf({
  id: 'notify-utility-owner',
  name: 'Call the utility',
  verb: 'Call the utility and the locating service',
  role: 'tell',
  order: 1,
  by: 'the owner, now',
  verdict: ({ kind }) =>
    kind === 'utility-crossing' ? cures('the utility moves its line out of the sewer') : null,
});
