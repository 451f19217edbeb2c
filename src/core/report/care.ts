import { buyerWordsOf, kindsWith } from '../catalogue/defects/kinds';
import type { Assessment } from '../judge/assessment';
import { cleanedEvery } from '../planning/futures/risks';
import { methodById } from '../planning/methods/index';
import { sayYears } from '../planning/pick';
import type { Plan } from '../planning/plans/plan';
import type { Site } from '../planning/site';
import { inScope } from './in-scope';

/** How to keep the line working, from what was found in it. */
export function composeCare(assessment: Assessment, site: Site): string[] {
  const findings = inScope(assessment).filter(
    ({ ourDoing, action }) => !ourDoing && action !== 'none',
  );
  const kinds = new Set(findings.map(({ kind }) => kind));
  const rounds = kindsWith('clogs')
    .filter((kind) => kinds.has(kind))
    .map((kind) => {
      const years = Math.min(
        ...findings
          .filter((one) => one.kind === kind)
          .map((one) => cleanedEvery(one, site.assumptions)),
      );
      return `Have the ${buyerWordsOf(kind).name.toLowerCase()} cleaned out about every ${years === 1 ? 'year' : sayYears(years)}.`;
    });
  const isOpen = [...site.waysIn.values()].some(({ opener }) => opener === null);
  return [
    ...rounds,
    ...(kinds.has('standing-water') || kinds.has('lip')
      ? ['Flush only toilet paper. Wipes and grease settle where water stands.']
      : ['Flush only toilet paper. Put no wipes or grease down the drain.']),
    ...(kinds.has('roots') ? ['Plant no trees or hedges over the line.'] : []),
    isOpen
      ? 'Keep the cleanout in sight and easy to open.'
      : 'Have a cleanout fitted, so that the line can be cleaned.',
    'If two drains run slow at once, stop the water and call a plumber.',
  ];
}

/** What to ask a contractor before the work is given out. */
export function composeQuestions(plan: Plan): string[] {
  const roles = new Set(plan.works.map(({ method }) => methodById(method).role));
  const methods = new Set(plan.works.map(({ method }) => method));
  const changes = roles.has('replace') || roles.has('mend');
  if (!changes && !roles.has('clean')) return [];
  const tees = plan.works.flatMap((work) => work.tees);
  return [
    ...(changes ? ['Are you licensed and insured for this work, and who gets the permit?'] : []),
    ...(methods.has('dig') || methods.has('slab-break')
      ? ['How will you make sure that the new pipe falls the right way all along?']
      : []),
    ...(tees.length > 0 ? ['How will you open the side pipes again after the pipe is lined?'] : []),
    ...(changes
      ? [
          'What is in the price: cleaning, permit, restoring the surface, and the video after?',
          'What would make it cost more, and what would you do then?',
        ]
      : []),
    ...(!changes && roles.has('clean')
      ? ['With which tool will you clean it, and through which opening?']
      : []),
    'Will you show me the line on video when you are done?',
  ];
}
