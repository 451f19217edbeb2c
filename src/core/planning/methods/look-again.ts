import { methodOf } from './method';

export const lookAgain = methodOf({
  id: 'look-again',
  name: 'Look again',
  verb: 'Look again with the camera',
  role: 'look',
  order: 25,
  by: 'the inspector, on video',
  price: { visit: 'look-again.visit' },
  verdict: () => null,
});
