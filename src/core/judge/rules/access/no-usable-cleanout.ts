import { advice, type Conclusion } from '../conclusion';
import type { Rule } from '../rule';
import { readSurface, type Scene, usableCleanouts } from '../scene';

const BURIED = /buried|under (?:the )?(?:soil|deck|paving|patio|slab)|covered|lid under|soil on/i;

function listBuried(scene: Scene): Conclusion[] {
  const buried = scene.inspection.accessPoints
    .filter(({ obstacle }) => obstacle !== null && BURIED.test(obstacle))
    .map(({ id, label = id, place }) => `access ${label} (${place})`);
  const seen = readSurface(scene)
    .filter(({ what }) => /^buried-(?:cleanout|riser|trap)$/.test(what))
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
              'Have a cleanout fitted. No cleanout here can be used, and upkeep needs one.',
            ),
          ]
        : [];
    return [...fit, ...listBuried(scene)];
  },
};
