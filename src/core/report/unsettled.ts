import { totalFt } from '../base/interval';
import type { Derived } from '../derive';
import type { Finding } from '../judge/finding';
import type { Severity } from '../judge/grade';
import { sayFeet } from './describe';
import { inScope } from './in-scope';
import { sayPipeAbove, sayPlace } from './place';
import { FINDING_WORDS } from './words';

/** Grades that would ask for work. */
const ASKS_FOR_WORK: readonly Severity[] = ['major', 'failed'];
/** Kinds that no size makes more than slight or moderate by itself: not to know it settles nothing worse. */
const NEVER_MAJOR: readonly Finding['kind'][] = [
  'residue-line',
  'vermin',
  'unidentified',
  'layout',
  'material',
];

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
  if (missing !== null && !NEVER_MAJOR.includes(kind)) return 'was not sized';
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
function openFindings(derived: Derived): string[] {
  return inScope(derived)
    .filter(({ ourDoing, review }) => !ourDoing && review?.verdict !== 'dismissed')
    .filter(({ action }) => action === 'none' || action === 'monitor' || action === 'upkeep')
    .flatMap((finding) => {
      const open = openOf(finding);
      if (open === null) return [];
      const { name, isMany } = FINDING_WORDS[finding.kind];
      const said = isMany ? agreeWithMany(open) : open;
      const place = finding.isPlaceUnsaid ? '' : ` ${sayPlace(finding, derived.names)}`;
      return [`the ${name.toLowerCase()}${place} ${said}`];
    });
}

/**
 * What stands in the way of a better verdict, one by one, each to stand in a sentence: no verdict is better
 * than what is unsettled.
 */
export function listUnsettled(derived: Derived): string[] {
  const { lateral, branches, names } = derived;
  const lines = [lateral, ...branches];
  return [
    ...openFindings(derived),
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
export function failedOutside({ findings, names }: Derived): string[] {
  return findings
    .filter(
      ({ courtesy, severity, ourDoing, review }) =>
        courtesy && severity === 'failed' && !ourDoing && review?.verdict !== 'dismissed',
    )
    .map(
      (finding) => `${FINDING_WORDS[finding.kind].name.toLowerCase()} ${sayPlace(finding, names)}`,
    );
}
