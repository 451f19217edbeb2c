import { sayPercent } from '../../base/numbers';
import type { DefectSpec, Forms, Seen } from '../defect';
import { isPipeOf } from '../materials/kinds';
import { sayShare } from '../say-size';
import { type Bounds, gradeSize, gradeUnsized } from '../severity/bounds';
import type { SeverityRow } from '../severity/grade';
import type { Thresholds } from '../severity/thresholds';

const RULE = 'severity-roots';
const boundsOf = (t: Thresholds): Bounds => ({
  moderateFrom: t.rootsModerateFrom,
  majorFrom: t.rootsMajorFrom,
  failedAbove: t.rootsFailedAbove,
});

const severity: SeverityRow = {
  base: (facts, thresholds) => {
    if (facts.extentRatio === null) {
      return gradeUnsized(RULE, 'moderate', 'the share of the pipe that the roots fill');
    }
    const text = `roots fill ${sayPercent(facts.extentRatio)} of the pipe`;
    const sized = { size: facts.extentRatio, eyeError: facts.eyeShareRatio, text, thing: 'roots' };
    return gradeSize(RULE, sized, boundsOf(thresholds), facts);
  },
  step: (facts) =>
    facts.holdsDebris
      ? { by: 1, because: { rule: `${RULE}-step`, text: 'they hold debris: one step up' } }
      : null,
  floor: (facts) => {
    if (facts.locus !== 'barrel') return null;
    const floor = (severity: 'moderate' | 'major', text: string) => ({
      severity,
      because: { rule: `${RULE}-floor`, text },
    });
    return isPipeOf('iron', facts.material)
      ? floor('major', 'they come through the barrel of iron, so the wall is gone there')
      : floor('moderate', 'they come through the barrel, where no joint explains them');
  },
};

function sayRoots({ facts }: Seen): string {
  const fill = sayShare(facts, 'pipe');
  const ways = [
    ...(facts.locus === 'barrel' ? ['come through the pipe wall, not at a joint'] : []),
    ...(facts.locus === 'joint' ? ['come in at a joint'] : []),
    ...(facts.holdsDebris ? ['are catching waste'] : []),
  ];
  const more = ways.length > 0 ? ` They ${ways.join(', and ')}.` : '';
  return `${fill ? `Roots fill${fill}.` : 'Roots grow into the pipe.'}${more.replace('joint, and', 'joint and')}`;
}

const forms = {
  runner: {
    said: 'runner|runners',
  },
  mass: {
    said: 'mass|ball|clump|thick',
  },
  fine: {
    said: 'fine|hair like|hairlike|thin|whiskers|wispy',
  },
} as const satisfies Forms;

export const roots: DefectSpec = {
  name: 'Roots',
  buyer: { name: 'Roots', trade: 'roots', plural: 'roots', isMany: true },
  said: 'root|roots|{tree|fine|hair} {root|roots}|root {mass|masses|ball|balls|intrusion|growth}|runner|runners|root hair|root hairs',
  size: { share: 'area', leaves: 'one-sided' },
  wants: 'how much of the pipe',
  forms,
  severity,
  says: sayRoots,
  means: 'Roots come back as long as the way in stays open.',
  traits: [
    'cleaned-when-slight',
    'clogs',
    'new-inside-ends',
    'rests-on-bore',
    'hides-in-murk',
    'narrows',
    'stops-camera',
    'holds-waste',
    'said-by-clock',
    'fills',
  ],
  upkeep: 'Have the roots cut or jetted.',
  repair: 'Have the roots cleared and this spot repaired.',
  thenAsCause: 'cut the roots',
  drawnAs: 'roots',
};
