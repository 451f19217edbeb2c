import { totalFt } from '../base/interval';
import { buyerWordsOf, pageOf } from '../catalogue/defects/kinds';
import { sayFeet } from '../catalogue/say-size';
import type { Severity } from '../catalogue/severity/grade';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import { inScope } from './in-scope';
import { sayPipeAbove, sayPlace } from './place';

/** Grades that would ask for work. */
const ASKS_FOR_WORK: readonly Severity[] = ['major', 'failed'];

/** What the rules make of the whole has no size, nor is a size all that some kinds wait for. */
const canBeMajor = (kind: Finding['kind']) =>
  !(pageOf(kind)?.traits.includes('never-major') ?? true);

/** What of a finding is not settled and could make it worse, to follow its name; `null` where all is. */
function openOf({
  missing,
  range,
  certainty,
  stillOpen,
  isPlaceUnsaid,
  kind,
  facts,
  provisos,
}: Finding): string | null {
  if (missing !== null && canBeMajor(kind)) return 'was not sized';
  // An eyeballed number is graded by its value; a word is not a number.
  if (facts.byWord !== null && range !== null && ASKS_FOR_WORK.includes(range[1]))
    return `was sized by a word and may be ${range[1]}`;
  if (certainty === 'suspected') return 'is only suspected';
  if (provisos.some(({ rule }) => rule === 'material-suspected'))
    return 'lies in pipe that is not certain';
  if (stillOpen) return 'has no end logged';
  return isPlaceUnsaid ? 'has no footage' : null;
}

const OF_MANY: Readonly<Record<string, string>> = {
  was: 'were',
  is: 'are',
  has: 'have',
  lies: 'lie',
};
/** The verb that opens a phrase, for a name that stands for many ("the roots were not sized"). */
const agreeWithMany = (phrase: string) => phrase.replace(/^\w+/, (verb) => OF_MANY[verb] ?? verb);

/** Findings that ask for no work today and might, were they known better. */
function openFindings(assessment: Assessment): string[] {
  return inScope(assessment)
    .filter(({ ourDoing, review }) => !ourDoing && review?.verdict !== 'dismissed')
    .filter(({ action }) => action === 'none' || action === 'monitor' || action === 'upkeep')
    .flatMap((finding) => {
      const open = openOf(finding);
      if (open === null) return [];
      const { name, isMany } = buyerWordsOf(finding.kind);
      const said = isMany ? agreeWithMany(open) : open;
      const place = finding.isPlaceUnsaid ? '' : ` ${sayPlace(finding, assessment.names)}`;
      return [`the ${name.toLowerCase()}${place} ${said}`];
    });
}

/**
 * What stands in the way of a better verdict, one by one, each to stand in a sentence: no verdict is better
 * than what is unsettled.
 */
export function listUnsettled(assessment: Assessment): string[] {
  const { lateral, branches, names } = assessment;
  const lines = [lateral, ...branches];
  return [
    ...openFindings(assessment),
    ...lines.flatMap(({ coverage: { upper }, lineId }) =>
      upper?.state === 'unreached'
        ? [`${sayPipeAbove(upper)}${names.on(lineId)} was not seen`]
        : [],
    ),
    ...lines.flatMap(({ segments, lineId }) => {
      const unknownFt = totalFt(segments.filter(({ material }) => material === 'unknown'));
      return unknownFt >= 0.5
        ? [`nobody said what ${sayFeet(unknownFt)} of the pipe${names.on(lineId)} is made of`]
        : [];
    }),
    ...lines.flatMap(({ openZones, lineId }) =>
      openZones.length > 0 ? [`nobody said where the building ends${names.on(lineId)}`] : [],
    ),
  ];
}

/** Failed findings outside what was agreed: left out of the verdict, and never out of the headline. */
export function failedOutside({ findings, names }: Assessment): string[] {
  return findings
    .filter(
      ({ courtesy, severity, ourDoing, review }) =>
        courtesy && severity === 'failed' && !ourDoing && review?.verdict !== 'dismissed',
    )
    .map(
      (finding) => `${buyerWordsOf(finding.kind).name.toLowerCase()} ${sayPlace(finding, names)}`,
    );
}
