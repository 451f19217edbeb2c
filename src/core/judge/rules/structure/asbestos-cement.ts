import type { Rule } from '../rule';
import { madeOf, stretchesOf } from './stretches';

const WARNING = 'It must never be cut, ground or burst without licensed abatement.';

export const asbestosCement: Rule = {
  number: 37,
  id: 'asbestos-cement',
  when: 'the pipe is asbestos cement',
  then: 'sound is sound; but never cut, grind or burst it without licensed abatement, and say so',
  because: 'whole it harms nobody, and its dust does',
  conclude: (scene) => [
    ...stretchesOf(scene, ({ material }) => material === 'asbestos-cement').map((stretch) =>
      madeOf(scene, stretch, {
        key: 'asbestos-cement',
        says: 'This pipe is asbestos cement. Sound pipe of this kind is sound.',
        advice: [WARNING],
      }),
    ),
  ],
};
