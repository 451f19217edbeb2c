import { DEFECTS } from '../catalogue/defects/index';
import { buyerWordsOf } from '../catalogue/defects/kinds';
import { zoneOf, ZONES } from '../catalogue/zones';
import type { Assessment } from '../judge/assessment';
import { repairOf } from '../planning/repair';
import { composeDocuments, type Reader, READERS } from '../report/documents';
import { isKnown } from './known';
import { type Saying, sayingsOf } from './sayings';
import { gatherSources, type Sources } from './sources';

/** Something a document says that nothing in the log stands behind. */
export type Untraced = {
  readonly document: Reader;
  readonly where: string;
  readonly claim: string;
  readonly why: string;
  readonly text: string;
};

type Found = Pick<Untraced, 'claim' | 'why'>;
type Probe = (saying: Saying, sources: Sources, assessment: Assessment) => Found[];

const NUMBER = '(\\d+(?:\\.\\d+)?)';
/** Words between numbers of one unit: "43 to 52 ft". */
const unit = (words: string) =>
  new RegExp(`${NUMBER}(?: to ${NUMBER})?(?:–${NUMBER})? ?(?:${words})`, 'g');

/** Chert's own rules of thumb, which are no measurement: a trench's local limit, how near a locate must be. */
const OWN_NUMBERS = /often 4 to 5 ft|within 3 ft|once a year|about every/;

function numbersIn(text: string, words: string): number[] {
  return [...text.matchAll(unit(words))].flatMap((match) => {
    const groups: readonly (string | undefined)[] = match.slice(1);
    return groups.flatMap((one) => (one === undefined ? [] : [Number(one)]));
  });
}

const lacks = (claim: string, why: string): Found => ({ claim, why });

/** Feet, inches and shares that are in no entry and follow from none. */
const probeNumbers: Probe = ({ text, isFeet, isQuoted }, sources) => {
  if (isQuoted || OWN_NUMBERS.test(text)) return [];
  const cell = isFeet ? [...text.matchAll(/-?(\d+(?:\.\d+)?)/g)].map(([, one]) => Number(one)) : [];
  const of = (values: readonly number[], known: ReadonlySet<number>, name: string) =>
    values
      .filter((value) => !isKnown(known, value))
      .map((value) =>
        lacks(`${value} ${name}`, 'no entry says it, and none that it could follow from'),
      );
  return [
    ...of([...cell, ...numbersIn(text, 'ft\\b|feet\\b|foot\\b')], sources.feet, 'ft'),
    ...of(
      numbersIn(text, 'in (?:deep|down|high|of|cast|clay|pvc|abs)\\b|inch(?:es)?\\b'),
      sources.inches,
      'in',
    ),
    ...of(numbersIn(text, '%'), sources.percents, '%'),
  ];
};

/** Findings that are named by a number that none has. */
const probeFindings: Probe = ({ text }, { numbers }) =>
  [...text.matchAll(/\bfindings? ((?:\d+(?:, | and )?)+)/g)].flatMap(([, list]) =>
    list!
      .split(/, | and /)
      .filter((one) => one !== '')
      .map(Number)
      .filter((number) => !numbers.has(number))
      .map((number) => lacks(`finding ${number}`, 'no finding has that number')),
  );

/** "All 92 feet", "all of it was seen": with the end confirmed and nothing hidden. */
const probeAll: Probe = ({ text }, { isWhole }) =>
  /\b[Aa]ll \d+ feet|All of it was seen/.test(text) && !isWhole
    ? [lacks('all', 'the end was not confirmed, or part was hidden or not joined')]
    : [];

/** "no roots, … or standing water": only of what is nowhere in the log, and water only where it was seen drained. */
const probeNone: Probe = ({ text }, sources) => {
  const list = /seen: no (.*)\.$/.exec(text)?.[1];
  if (list === undefined) return [];
  const named = new Set(list.split(/, | or /));
  const kinds = DEFECTS.filter((kind) => named.has(buyerWordsOf(kind).plural));
  const isStill = sources.water.has('drained') || sources.water.has('none');
  return [
    ...kinds
      .filter((kind) => (sources.logged as ReadonlySet<string>).has(kind))
      .map((kind) => lacks(`no ${kind}`, 'it stands in the log')),
    ...(named.has('standing water') && !isStill
      ? [lacks('no standing water', 'nobody saw the line drained')]
      : []),
    ...(sources.hiddenRatio > 0.1 + 1e-9 ? [lacks('no …', 'too much of the line was hidden')] : []),
  ];
};

/** What the water did, where nobody said it. */
const probeWater: Probe = ({ text }, { water }) => [
  ...(/after the line had drained/.test(text) && !water.has('drained')
    ? [lacks('drained', 'nobody said that it had drained')]
    : []),
  ...(/with no water running/.test(text) && !water.has('none') && !/or no water running/.test(text)
    ? [lacks('no water running', 'nobody said so')]
    : []),
  ...(/while water was running/.test(text) && !water.has('running')
    ? [lacks('running', 'nobody said that water ran')]
    : []),
  ...(/was still draining/.test(text) && !water.has('draining')
    ? [lacks('draining', 'nobody said that it was draining')]
    : []),
];

const PLACES = ZONES.map((zone) => [zone, zoneOf(zone).place] as const);

/** Ground that nobody named. */
const probeZones: Probe = ({ text, isQuoted }, { zones }) =>
  isQuoted
    ? []
    : PLACES.filter(([zone, place]) => text.includes(place) && !zones.has(zone)).map(([zone]) =>
        lacks(zone, 'nobody said that it lies there'),
      );

/** Causes whose thing is nowhere in the log; what may hide under water or in murk was said by nobody. */
function probeCauses(assessment: Assessment, sources: Sources): Found[] {
  const hidden: readonly string[] = ['debris', 'roots', 'belly', 'wall-loss'];
  return assessment.findings.flatMap(({ causes, number }) =>
    causes
      .filter(
        ({ cause }) =>
          !hidden.includes(cause) && !(sources.logged as ReadonlySet<string>).has(cause),
      )
      .map(({ cause }) =>
        lacks(
          `finding ${number}: ${cause}`,
          'it is named as a cause and stands nowhere in the log',
        ),
      ),
  );
}

/** Verdicts that promise more than the checks let them. */
const probePraise: Probe = ({ text }, _, { checks, overall }) =>
  /No work is needed now|Nothing to do now|This sewer passes/.test(text) &&
  (overall !== 'serviceable' || checks.some(({ level }) => level === 'blocker'))
    ? [lacks('no work', 'something is still open')]
    : [];

const PROBES: readonly Probe[] = [
  probeNumbers,
  probeFindings,
  probeAll,
  probeNone,
  probeWater,
  probeZones,
  probePraise,
];

/** What of one text nothing stands behind. */
export function traceSaying(saying: Saying, sources: Sources, assessment: Assessment): Found[] {
  return PROBES.flatMap((probe) => probe(saying, sources, assessment));
}

/**
 * Follows what the three documents of a job say back to its log.
 *
 * @returns every number, "all", "none", state of the water, ground and cause that nothing stands behind.
 */
export function traceDocuments(assessment: Assessment): Untraced[] {
  const repair = repairOf(assessment);
  const sources = gatherSources(assessment, repair);
  const documents = composeDocuments(assessment);
  const said = READERS.flatMap((document) =>
    sayingsOf(documents[document]).flatMap((saying) =>
      traceSaying(saying, sources, assessment).map((found): Untraced => ({
        document,
        where: saying.where,
        text: saying.text,
        ...found,
      })),
    ),
  );
  const causes = probeCauses(assessment, sources).map((found): Untraced => ({
    document: 'buyer',
    where: 'causes',
    text: '',
    ...found,
  }));
  return [...said, ...causes];
}
