import { overlaps } from '../base/interval';
import type { MethodId } from '../catalogue/method-ids';
import type { Advice, Finding } from '../judge/finding';
import { type Stop, stopsOver } from '../judge/stops';
import type { Course, CourseDoes, CourseWhen } from './course-type';
import { isPurchase, sayCourse, sayInspectors } from './course-words';
import { firstOf } from './first-works';
import { clearedEveryOf } from './futures/rounds';
import { methodById } from './methods/index';
import type { Plan } from './plans/plan';
import { clearsForLook } from './plans/telling';
import { planToTell, type Repair } from './repair';
import { type Site, wayInOf } from './site';
import type { Work } from './work';

export type { Course, CourseDoes, CourseWhen } from './course-type';
export { isPurchase, sayEvery, tellsAuthority } from './course-words';

const rolesOf = (works: readonly Work[]) => works.map(({ method }) => methodById(method).role);
const isPipeWork = ({ method }: Work) => ['replace', 'mend'].includes(methodById(method).role);

/**
 * Works of a plan that end or hold a finding, and what they need first. What comes first elsewhere on the line and must
 * not be done at the finding is none of its works.
 */
function worksFor(site: Site, plan: Plan, finding: Finding, excludes: readonly MethodId[]): Work[] {
  const { id, lineId, action } = finding;
  const direct = plan.works.filter(({ cures, holds }) => cures.includes(id) || holds.includes(id));
  const looks =
    direct.length === 0 && action === 'look-again'
      ? plan.works.filter((work) => work.method === 'look-again' && work.lineId === lineId)
      : [];
  const doing = [...direct, ...looks];
  if (doing.length === 0) return [];
  const isFor = (first: Work) =>
    first.isFirst &&
    first.lineId === lineId &&
    doing.some((work) => {
      const isOpener = first.method === wayInOf(site, lineId).opener;
      return isOpener
        ? methodById(work.method).needsCleanout
        : firstOf(site, work).some((one) => one.method === first.method && overlaps(one, first)) ||
            (work.method === 'look-again' && overlaps(work, first));
    });
  const isLooked = doing.some(({ method }) => method === 'look-again');
  const firsts = plan.works.filter(
    (work) =>
      !doing.includes(work) &&
      !excludes.includes(work.method) &&
      (isFor(work) || (isLooked && clearsForLook(site, finding, work))),
  );
  return [...firsts, ...doing];
}

/** What is done, by the plan and by what the finding asks for. */
function doesOf(finding: Finding, works: readonly Work[], stops: readonly Stop[]): CourseDoes {
  if (finding.ourDoing || finding.review?.verdict === 'dismissed') return 'none';
  if (finding.kind === 'utility-crossing') return 'call';
  if (finding.responsibleSide === 'public')
    return finding.severity === 'slight' || finding.action === 'none' ? 'none' : 'tell';
  if (finding.action === 'none') return 'none';
  if (stops.some(({ id }) => id === 'utility')) return 'wait';
  if (works.some((work) => isPipeWork(work) && work.cures.includes(finding.id))) return 'repair';
  if (finding.action === 'look-again') return 'look';
  if (works.some(isPipeWork)) return 'repair';
  if (rolesOf(works).includes('clean')) return 'clean';
  return finding.action === 'monitor' || finding.action === 'upkeep' ? 'watch' : 'ask';
}

/** Whether a cleaning comes before more work on its line: a look that it clears the way for, a liner. */
function isBeforeMore({ works }: Plan, cleaning: readonly Work[]): boolean {
  return cleaning
    .filter(({ method }) => methodById(method).role === 'clean')
    .some((work) =>
      works
        .slice(works.indexOf(work) + 1)
        .some(
          ({ method, lineId }) =>
            lineId === work.lineId && ['look', 'mend', 'replace'].includes(methodById(method).role),
        ),
    );
}

/** When: what is urgent now; what a seller may be asked for before closing; upkeep after moving in. */
function whenOf(
  does: CourseDoes,
  finding: Finding,
  works: readonly Work[],
  repair: Repair,
): CourseWhen {
  const soon = isPurchase(repair.site) ? 'before-close' : 'now';
  switch (does) {
    case 'call':
      return 'now';
    case 'repair':
    case 'ask':
      return finding.action === 'urgent' ? 'now' : soon;
    case 'look':
    case 'tell':
      return soon;
    case 'clean':
      if (finding.action === 'urgent') return 'now';
      if (works.every(({ method }) => method === 'flush')) return 'yearly';
      // What the plan does before a look or a liner is done with it.
      if (isBeforeMore(planToTell(repair), works)) return soon;
      return isPurchase(repair.site) ? 'after-move-in' : 'now';
    case 'watch':
    case 'wait':
    case 'none':
      return 'none';
  }
}

/** Whether what a rule adds goes with the course: it names no work that the plan does not do, or that must not be done. */
function goesWith({ methods }: Advice, course: Omit<Course, 'says'>, isOfRun: boolean): boolean {
  if (course.does === 'wait') return false;
  // What is said of a whole run of pipe asks for no work by itself.
  if (course.does === 'none') return isOfRun && methods === undefined;
  if (methods === undefined) return true;
  if (methods.length === 0) return course.methods.length === 0;
  if (methods.some((method) => course.excludes.includes(method))) return false;
  return methods.some((method) => course.methods.includes(method));
}

const isByAction = ({ rule }: Advice) => rule.startsWith('advice-');

/** The course of one finding, from the plan that is told, the stops over it and what rules advise. */
export function courseOf(repair: Repair, finding: Finding): Course {
  const { site } = repair;
  const plan = planToTell(repair);
  const stops = stopsOver(site.assessment.stops, finding);
  const excludes = [...new Set(stops.flatMap(({ forbids }) => forbids))];
  const works = worksFor(site, plan, finding, excludes);
  const does = doesOf(finding, works, stops);
  const isActed = ['repair', 'clean', 'look'].includes(does);
  const methods: MethodId[] =
    does === 'tell'
      ? ['notify-authority']
      : does === 'call'
        ? ['notify-utility-owner']
        : does === 'ask'
          ? ['second-opinion']
          : isActed
            ? [...new Set(works.map(({ method }) => method))]
            : [];
  const course = {
    findingId: finding.id,
    does,
    when: whenOf(does, finding, works, repair),
    methods,
    excludes,
    who: methods.length > 0 ? methodById(methods.at(-1)!).by : null,
    everyYears: does === 'clean' ? clearedEveryOf(site, plan, finding) : null,
  };
  const stopTexts = stops.map(({ text }) => text);
  const isTold = finding.kind !== 'utility-crossing' && does !== 'none';
  const more = finding.advice
    .filter((one) => !isByAction(one) && !stopTexts.includes(one.text))
    .filter((one) => goesWith(one, course, finding.kind === 'material'));
  const own = sayCourse(course, finding, works, repair).map((text) => ({ rule: 'course', text }));
  const first = isTold ? stops.map(({ rule, text }) => ({ rule, text })) : [];
  const told = sayInspectors(site, finding, course).map((text) => ({ rule: 'inspector', text }));
  const all = [...first, ...own, ...more.map(({ rule, text }) => ({ rule, text })), ...told];
  const says = all.filter(({ text }, at) => all.findIndex((one) => one.text === text) === at);
  return { ...course, says };
}

/** The course of every finding, in the order of the findings. */
export function coursesOf(repair: Repair): ReadonlyMap<string, Course> {
  const { findings } = repair.site.assessment;
  return new Map(findings.map((finding) => [finding.id, courseOf(repair, finding)] as const));
}
