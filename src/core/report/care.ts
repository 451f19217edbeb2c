import { buyerWordsOf, kindsWith } from '../catalogue/defects/kinds';
import type { Assessment } from '../judge/assessment';
import { type CourseDoes, coursesOf, sayEvery } from '../planning/course';
import { methodById } from '../planning/methods/index';
import type { Plan } from '../planning/plans/plan';
import type { Repair } from '../planning/repair';
import { inScope } from './in-scope';

/** What stays in the line for its owner to look after, by the course that it has. */
const LASTING: readonly CourseDoes[] = ['clean', 'watch', 'look'];

/** How to keep the line working, from what was found in it. */
export function composeCare(assessment: Assessment, repair: Repair): string[] {
  const courses = coursesOf(repair);
  const findings = inScope(assessment).filter(({ id }) => LASTING.includes(courses.get(id)!.does));
  const kinds = new Set(findings.map(({ kind }) => kind));
  const rounds = kindsWith('clogs')
    .filter((kind) => kinds.has(kind))
    .map((kind) => {
      const years = findings
        .filter((one) => one.kind === kind)
        .flatMap(({ id }) => courses.get(id)!.everyYears ?? []);
      return years.length === 0
        ? null
        : `Have the ${buyerWordsOf(kind).name.toLowerCase()} cleaned out ${sayEvery(Math.min(...years))}.`;
    })
    .filter((text) => text !== null);
  const isOpen = [...repair.site.waysIn.values()].some(({ opener }) => opener === null);
  return [
    ...rounds,
    ...(kinds.has('standing-water') || kinds.has('lip')
      ? ['Flush only toilet paper. Wipes and grease settle where water stands.']
      : ['Flush only toilet paper. Put no wipes or grease down the drain.']),
    ...(kinds.has('roots') ? ['Plant no trees or hedges over the line.'] : []),
    isOpen
      ? 'Keep the cleanout in sight and easy to open.'
      : 'Have a cleanout installed, so that the line can be cleaned.',
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
