import type { Rule } from '../rule';
import { madeOf, stretchesOf } from './stretches';

export const pastServiceLife: Rule = {
  number: 41,
  id: 'past-service-life',
  when: 'a pipe is past the years that its kind usually serves',
  then: 'say “plan for” its replacement, never “failed”',
  because: 'age alone stops no flow, but it says what comes next',
  conclude: (scene) =>
    stretchesOf(scene, ({ age }) => age?.standing === 'past').map((stretch) => {
      const { ageYears, lifeYears } = stretch.segments[0]!.age!;
      return madeOf(scene, stretch, {
        key: 'past-life',
        says: `This pipe is ${ageYears.from} years old or more; pipe of its kind usually serves ${lifeYears.from} to ${lifeYears.to}.`,
        advice: ['Plan for replacing it. Age alone is no failure.'],
      });
    }),
};
