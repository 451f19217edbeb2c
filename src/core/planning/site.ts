import type { Interval } from '../base/interval';
import { type Thresholds, thresholdsInForce } from '../catalogue/severity/thresholds';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import { readAdvice } from '../lateral/advice';
import { type CloseBy, loggedCloseBy, SPACING_FT, walkedCloseBy } from '../lateral/close-by';
import type { Lateral } from '../lateral/lateral';
import { type Assumptions, assumptionsInForce } from '../model/job/assumptions';
import { type Prices, pricesOf } from '../model/prices/price-book';
import { type Bed, layBed } from './bed';
import { type WayIn, wayInto } from './ways-in';

/** Everything that repair is reckoned from. */
export type Site = {
  readonly assessment: Assessment;
  readonly beds: ReadonlyMap<string, Bed>;
  readonly prices: Prices;
  readonly assumptions: Assumptions;
  readonly thresholds: Thresholds;
  /** How a cutter or a hose gets into each line. */
  readonly waysIn: ReadonlyMap<string, WayIn>;
  /** Lines that another utility runs through: nothing may cut, jet or scrape them. */
  readonly utilityLines: ReadonlySet<string>;
  /** Works that must not be planned, and where: by the inspector's advice, or by what lies close by. */
  readonly against: readonly Against[];
  /** The owner's findings within the agreed scope that ask for something, by line and station. */
  readonly owned: readonly Finding[];
  /** Findings on the public side that the authority should hear of. */
  readonly authoritys: readonly Finding[];
};

/** A work that must not be planned somewhere, and why; without a span, all along the line. */
export type Against = {
  readonly lineId: string;
  readonly span: Interval | null;
  readonly does: string;
  readonly because: string;
};

const advisedAgainst = (line: Lateral): Against[] =>
  readAdvice(line)
    .filter(({ entry }) => entry.not === true)
    .map(({ entry, span }) => ({
      lineId: line.lineId,
      span,
      does: entry.does,
      because: `the inspector advises against it: “${entry.text}”`,
    }));

/** Bursting pushes aside what lies close by. */
const noBursting = ({ lineId }: Lateral, close: readonly CloseBy[]): Against[] =>
  close.map(({ what, span }) => ({
    lineId,
    span,
    does: 'burst',
    because: `a ${what.replace(/-/g, ' ')} lies within ${SPACING_FT} ft: bursting would push it aside`,
  }));

/** Lays out what repair is reckoned from. A pure function of what was assessment. */
export function siteOf(assessment: Assessment): Site {
  const { inspection, settings, findings, lateral, branches } = assessment;
  const lines = [lateral, ...branches];
  const asks = ({ ourDoing, courtesy, action }: Finding) =>
    !ourDoing && !courtesy && action !== 'none';
  return {
    assessment,
    beds: new Map(lines.map((line) => [line.lineId, layBed(line)])),
    prices: pricesOf(settings.priceBook),
    assumptions: assumptionsInForce(settings.assumptions),
    thresholds: thresholdsInForce(settings.thresholds),
    waysIn: new Map(lines.map((line) => [line.lineId, wayInto(assessment, line)])),
    utilityLines: new Set(
      assessment.stops.filter(({ id }) => id === 'utility').map(({ lineId }) => lineId),
    ),
    against: [
      ...lines.flatMap(advisedAgainst),
      ...lines.flatMap((line) => noBursting(line, loggedCloseBy(line))),
      ...noBursting(lateral, walkedCloseBy(inspection.property, lines)),
    ],
    owned: findings.filter((one) => asks(one) && one.responsibleSide === 'owner'),
    authoritys: findings.filter(
      (one) =>
        asks(one) && one.responsibleSide === 'public' && one.placed && one.severity !== 'slight',
    ),
  };
}

/** The ground of a finding's line. */
export function bedOf(site: Pick<Site, 'beds'>, lineId: string): Bed {
  const bed = site.beds.get(lineId);
  if (!bed) throw new Error(`no line is called ${lineId}`);
  return bed;
}

/** How a cutter or a hose gets into a line. */
export function wayInOf({ waysIn }: Pick<Site, 'waysIn'>, lineId: string): WayIn {
  const way = waysIn.get(lineId);
  if (!way) throw new Error(`no line is called ${lineId}`);
  return way;
}
