import { gapBetweenFt, lengthFt, overlaps, subtract, totalFt } from '../base/interval';
import { sayFt } from '../base/numbers';
import type { Finding } from '../judge/finding';
import { type Cell, cellsWithin } from './bed';
import { creditWorks, neededFor } from './credit';
import { firstOf } from './first-works';
import { methodById } from './methods/index';
import { bedOf, type Site, wayInOf } from './site';
import type { Work, WorkDraft } from './work';

/** Something wrong with works that somebody means to do. */
export type BrokenRule = {
  readonly rule:
    'ground' | 'pipe' | 'passes' | 'first' | 'way-in' | 'short' | 'keeps' | 'urgent' | 'look-first';
  /** The work by its place in the list; `null` when it is about all of them. */
  readonly at: number | null;
  readonly text: string;
  readonly findingId: string | null;
};

/** Shorter than this is the rounding of a foot. */
const SHORT_FT = 0.1;

const name = ({ method, fromFt, toFt }: WorkDraft) =>
  `${methodById(method).name}, ${sayFt(fromFt)} to ${sayFt(toFt)} ft`;

/** The cells that a work works in: a tool on its way in only passes what lies before its targets. */
function cellsWorked(site: Site, work: Work): Cell[] {
  const cells = cellsWithin(bedOf(site, work.lineId), work);
  const targets = site.owned.filter(({ id }) => [...work.cures, ...work.holds].includes(id));
  if (!methodById(work.method).runsFromWayIn) return cells;
  if (targets.length === 0 && !work.isFirst) return cells;
  return cells.filter((cell) => targets.some(({ span }) => gapBetweenFt(cell, span) === 0));
}

function checkPipe(site: Site, draft: Work, at: number): BrokenRule[] {
  const method = methodById(draft.method);
  const cells = cellsWorked(site, draft);
  const wrong = cells.filter(({ ground }) => !method.grounds.includes(ground));
  const why = cells
    .map((cell) => method.barredIn(cell, site, draft.lineId))
    .find((one) => one !== null);
  const say = (rule: BrokenRule['rule'], text: string): BrokenRule => ({
    rule,
    at,
    text,
    findingId: null,
  });
  return [
    ...(wrong.length > 0
      ? [
          say(
            'ground',
            `${name(draft)}: not for ${sayFt(totalFt(wrong))} ft of it, which lies ${wrong[0]!.ground === 'slab' ? 'under the house' : wrong[0]!.ground === 'hung' ? 'in the open under the house' : 'in the ground'}.`,
          ),
        ]
      : []),
    ...(why ? [say('pipe', `${name(draft)}: ${why}.`)] : []),
  ];
}

/** What a work needs first and does not find among the others. */
function checkFirst(
  site: Site,
  drafts: readonly WorkDraft[],
  draft: WorkDraft,
  at: number,
): BrokenRule[] {
  return firstOf(site, draft).flatMap((first) => {
    const others = drafts.filter(
      ({ method, lineId }) => method === first.method && lineId === draft.lineId,
    );
    const left = totalFt(subtract([first], others));
    if (left <= SHORT_FT) return [];
    const text = `${name(draft)}: ${methodById(first.method).name.toLowerCase()} must come first from ${sayFt(first.fromFt)} to ${sayFt(first.toFt)} ft.`;
    return [{ rule: 'first', at, text, findingId: null }];
  });
}

/** Findings in the way of a work, those that it stops short of, and those that it only runs over. */
function checkFindings(site: Site, works: readonly Work[], draft: Work, at: number): BrokenRule[] {
  const method = methodById(draft.method);
  const isDone = ({ id }: Finding) => works.some(({ cures }) => cures.includes(id));
  return site.assessment.findings
    .filter(
      ({ placed, lineId, ourDoing, review }) =>
        placed && lineId === draft.lineId && !ourDoing && review?.verdict !== 'dismissed',
    )
    .flatMap((finding): BrokenRule[] => {
      const broken = (rule: BrokenRule['rule'], text: string): BrokenRule[] => [
        { rule, at, text, findingId: finding.id },
      ];
      if (!overlaps(finding.span, draft)) return [];
      const isOutOfTheWay = works.some(
        (work) =>
          work !== draft &&
          work.cures.includes(finding.id) &&
          methodById(work.method).order < method.order,
      );
      const barred = method.barredBy(finding, site);
      // A tool on its way to another finding goes by; nothing goes by a collapse.
      const isPassed =
        method.runsFromWayIn &&
        finding.kind !== 'collapse' &&
        (draft.isFirst || [...draft.cures, ...draft.holds].length > 0);
      if (barred !== null && !isOutOfTheWay && !isPassed)
        return broken(
          'passes',
          `${name(draft)}: cannot pass finding ${finding.number}, for ${barred}.`,
        );
      if (isDone(finding) || !site.owned.includes(finding)) return [];
      const verdict = method.verdict(finding, site);
      // A hose that goes over a sag claims no cure of it.
      const claims = ['replace', 'mend'].includes(method.role);
      if (verdict?.does === 'no' && claims)
        return broken(
          'keeps',
          `${name(draft)}: leaves finding ${finding.number}, for ${verdict.because}.`,
        );
      // Pipe that nobody has to mend may be left half done.
      if (verdict?.does !== 'cure' || !['repair', 'urgent'].includes(finding.action)) return [];
      const needed = neededFor(site, finding, method);
      const shortFt =
        lengthFt(needed) -
        totalFt(
          [
            {
              fromFt: Math.max(needed.fromFt, draft.fromFt),
              toFt: Math.min(needed.toFt, draft.toFt),
            },
          ].filter(({ fromFt, toFt }) => toFt > fromFt),
        );
      return shortFt > SHORT_FT
        ? broken(
            'short',
            `${name(draft)}: stops short of finding ${finding.number}, which needs ${sayFt(needed.fromFt)} to ${sayFt(needed.toFt)} ft.`,
          )
        : [];
    });
}

/** Every rule that works break, in their order. Empty when they can be done as they stand. */
export function checkWorks(site: Site, given: readonly Work[]): BrokenRule[] {
  const works = creditWorks(site, given);
  const broken = works.flatMap((work, at) => [
    ...checkPipe(site, work, at),
    ...checkFirst(site, works, work, at),
    ...checkFindings(site, works, work, at),
  ]);
  const about = (
    rule: BrokenRule['rule'],
    text: string,
    findingId: string | null = null,
  ): BrokenRule => ({ rule, at: null, text, findingId });
  const tooled = new Set(
    works.filter(({ method }) => methodById(method).needsCleanout).map(({ lineId }) => lineId),
  );
  for (const id of tooled) {
    const { opener } = wayInOf(site, id);
    if (opener !== null && !works.some(({ method, lineId }) => method === opener && lineId === id))
      broken.push(
        about(
          'way-in',
          `No cleanout can be opened${site.assessment.names.on(id)}: ${methodById(opener).name.toLowerCase()} must come first.`,
        ),
      );
  }
  for (const finding of site.owned) {
    if (finding.action === 'urgent' && !works.some(({ cures }) => cures.includes(finding.id)))
      broken.push(
        about(
          'urgent',
          `Finding ${finding.number} is urgent, and nothing here ends it.`,
          finding.id,
        ),
      );
    const digs = works.some(
      (work) =>
        methodById(work.method).role === 'replace' &&
        work.lineId === finding.lineId &&
        overlaps(work, finding.span),
    );
    if (
      finding.action === 'look-again' &&
      digs &&
      !works.some(({ method, lineId }) => method === 'look-again' && lineId === finding.lineId)
    )
      broken.push(
        about(
          'look-first',
          `Nobody knows yet what finding ${finding.number} is: clean and look again before anyone digs there.`,
          finding.id,
        ),
      );
  }
  return broken;
}
