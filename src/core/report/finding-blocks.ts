import { groupBy } from '../base/group';
import { buyerWordsOf } from '../catalogue/defects/kinds';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import { wordingsOf } from '../model/job/report-words';
import { reportOptions } from '../model/job/settings';
import { type Course, coursesOf } from '../planning/course';
import { planToTell, type Repair } from '../planning/repair';
import type { FindingBlock, FindingPlace, Picture } from './block';
import { describeFinding, explainFinding } from './describe';
import { inOrderOfWork } from './headline';
import { sayOnGround } from './on-ground';
import { sayPlace } from './place';
import { priceOfFindings } from './report-plan';
import type { Wordings } from './wording';
import { ACTION_WORDS, capital, sayCount, SEVERITY_WORDS } from './words';

/** What is told of a finding beside where it lies and how large it is. */
type Told = {
  readonly finding: Finding;
  readonly seen: string;
  readonly means: readonly string[];
  readonly course: readonly string[];
  readonly remarks: readonly string[];
  /** How far the eye may be out; empty where it was measured. */
  readonly byEye: readonly string[];
};

function remarksOf({ provisos, courtesy }: Finding): string[] {
  return [
    ...provisos.map(({ text }) => `This may change: ${text}.`),
    ...(courtesy ? ['Outside the agreed scope. For information only.'] : []),
  ];
}

const toldOf = (finding: Finding, course: Course): Told => ({
  finding,
  seen: describeFinding(finding),
  means: explainFinding(finding),
  course: course.says.map(({ text }) => text),
  remarks: remarksOf(finding),
  byEye: finding.range ? [`Sized by eye, so ${finding.range[0]} to ${finding.range[1]}.`] : [],
});

const keyOf = ({ id }: Finding) => `finding:${id}`;

/** Findings that differ only in where they are and how large: of one kind and grade, with one course. */
function groupAlike(told: readonly Told[], isWorded: (key: string) => boolean): Told[][] {
  const alike = groupBy(told, ({ finding, means, course, remarks }) =>
    isWorded(keyOf(finding)) || !finding.placed
      ? finding.id
      : JSON.stringify([
          finding.kind,
          finding.severity,
          finding.action,
          finding.says,
          means,
          course,
          remarks,
        ]),
  );
  return [...alike.values()];
}

/** "Roots at 24 ft, in the yard", or "Roots at four places". */
function titleOf(group: readonly Told[], place: string): string {
  const { name, trade } = buyerWordsOf(group[0]!.finding.kind);
  const isPlain = name.toLowerCase().includes(trade.toLowerCase());
  const named = `${name}${isPlain ? '' : ` (${trade})`}`;
  if (group.length > 1) return `${named} at ${sayCount(group.length)} places`;
  return `${named}${place.startsWith('at') || place.startsWith('in ') ? ' ' : ', '}${place}`;
}

/** The findings as the report tells them: in the order of work, those that are alike together. */
export function composeFindings(
  assessment: Assessment,
  repair: Repair,
  stills: readonly Picture[],
  wording: Wordings,
): FindingBlock[] {
  const { names, inspection, settings, lateral, branches } = assessment;
  const courses = coursesOf(repair);
  const plan = planToTell(repair);
  const { prices } = reportOptions(settings);
  const worded = wordingsOf(inspection.decisions);
  const told = inOrderOfWork(assessment.findings).map((finding) =>
    toldOf(finding, courses.get(finding.id)!),
  );
  return groupAlike(told, (key) => worded.has(key)).map((group): FindingBlock => {
    const [first] = group as [Told, ...Told[]];
    const { finding } = first;
    const isAlone = group.length === 1;
    const sight = ({ seen, byEye }: Told) => [seen, ...byEye].join(' ');
    const isOneSight = group.every((one) => sight(one) === sight(first));
    const sentences = [...(isOneSight ? [first.seen] : []), ...first.means, ...first.course];
    const computed = sentences.join(' ');
    const key = isAlone ? keyOf(finding) : `findings:${finding.kind}:${finding.id}`;
    const text = wording.say(key, computed);
    return {
      kind: 'finding',
      id: finding.id,
      number: finding.number,
      severity: finding.severity,
      action: finding.action,
      title: titleOf(group, sayPlace(finding, names)),
      key,
      places: group.map((one): FindingPlace => ({
        id: one.finding.id,
        number: one.finding.number,
        severity: one.finding.severity,
        where: capital(sayPlace(one.finding, names)),
        ground: sayOnGround(one.finding, [lateral, ...branches]),
        says: isOneSight ? null : sight(one),
        picture: stills.find(({ photoId }) => one.finding.photoIds.includes(photoId)) ?? null,
      })),
      sentences: text === computed ? sentences : [text],
      verdict: `${SEVERITY_WORDS[finding.severity]} · ${ACTION_WORDS[finding.action]}`,
      price:
        prices && !finding.courtesy
          ? priceOfFindings(
              plan,
              group.map((one) => one.finding),
              assessment.findings,
            )
          : null,
      remarks: [...(isOneSight ? first.byEye : []), ...first.remarks],
    };
  });
}
