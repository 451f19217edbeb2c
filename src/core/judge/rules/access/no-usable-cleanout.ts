import { troubleOf } from '../../../model/job/access-point';
import { advice, type Conclusion } from '../conclusion';
import type { Rule } from '../rule';
import { readSurface, type Scene, usableCleanouts } from '../scene';

const BURIED: readonly string[] = ['buried-cleanout', 'buried-riser', 'buried-trap'];

function listBuried(scene: Scene): Conclusion[] {
  const buried = scene.inspection.accessPoints
    .filter((access) => troubleOf(access) === 'buried')
    .map(({ id, label = id, place }) => `access ${label} (${place})`);
  const seen = readSurface(scene)
    .filter(({ what }) => BURIED.includes(what))
    .map(({ what, where }) => `the ${what.replace('-', ' ')}${where === '' ? '' : ` (${where})`}`);
  return [...buried, ...seen].map((what) =>
    advice(null, `Have ${what} raised to grade, so that it can be found and opened.`),
  );
}

export const noUsableCleanout: Rule = {
  number: 2,
  id: 'no-usable-cleanout',
  when: 'no cleanout can be used, or one is buried',
  then: 'advise fitting a cleanout, or raising the buried one to grade',
  because: 'every later cleaning and every later look needs a way in',
  conclude: (scene) => {
    const isLookedInto = scene.inspection.runs.length > 0;
    const fit =
      isLookedInto && usableCleanouts(scene).length === 0
        ? [
            advice(
              null,
              'Have a cleanout installed. No cleanout here can be used, and upkeep needs one.',
            ),
          ]
        : [];
    return [...fit, ...listBuried(scene)];
  },
};
