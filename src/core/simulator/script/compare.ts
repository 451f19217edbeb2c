import { roundTo } from '../../base/numbers';
import type { DefectKind } from '../../catalogue/defects/index';
import type { Assessment } from '../../judge/assessment';
import { isLogged } from '../../judge/finding';
import type { Finding } from '../../judge/finding';
import { levelAtIn } from '../line-geometry';
import type { LateralTruth, TruthLine } from '../truth';
import { CELL_FT } from '../water/bed';
import { createWater } from '../water/water';
import { FILM_IN, LEAST_POOL_FT } from './watch';

/** What is really wrong at a place: stations on the line's own axis, feet. */
export type TrueThing = {
  readonly lineId: string;
  readonly kind: DefectKind;
  readonly fromFt: number;
  readonly toFt: number;
};

/** One true thing beside what Chert made of the log. Stations from the reference access, feet. */
export type Compared = {
  readonly thing: TrueThing;
  readonly outcome: 'found' | 'unseen' | 'unreached' | 'missed';
  readonly trueFt: number;
  readonly foundFt: number | null;
  readonly errorFt: number | null;
  readonly sigmaFt: number | null;
};

/** Everything that is wrong in a lateral: its defects, and the pools that its shape holds. */
export function listTrueThings(truth: LateralTruth): TrueThing[] {
  return truth.lines.flatMap((line) => [
    ...line.defects.map(({ defect, atFt, toFt = atFt }) => ({
      lineId: line.id,
      kind: defect,
      fromFt: atFt,
      toFt,
    })),
    ...listPools(truth, line),
  ]);
}

/** Pools that stay when the flow has stopped, by the cell, feet. */
export function listPools(truth: LateralTruth, line: TruthLine): TrueThing[] {
  const water = createWater(truth);
  const pools: { lineId: string; kind: 'standing-water'; fromFt: number; toFt: number }[] = [];
  let isIn = false;
  for (let atFt = CELL_FT / 4; atFt < line.lengthFt; atFt += CELL_FT / 2) {
    const levelIn = water.poolLevelIn(line.id, atFt);
    const isWet = levelIn !== null && levelIn - levelAtIn(line.invert, atFt) >= FILM_IN;
    if (isWet && !isIn)
      pools.push({ lineId: line.id, kind: 'standing-water', fromFt: atFt, toFt: atFt });
    if (isWet) pools.at(-1)!.toFt = atFt;
    isIn = isWet;
  }
  return pools.filter(({ fromFt, toFt }) => toFt > fromFt);
}

/** How near a finding must be to be the same thing: three σ, and half a foot for what has no edge. */
const EDGE_FT = 0.5;

/**
 * Lays what Chert assessment beside the truth.
 *
 * @param originFt station of the reference access on each line, feet.
 * @returns one row for each true thing, and the findings that nothing true explains.
 */
export function compareWithTruth(
  truth: LateralTruth,
  assessment: Assessment,
  originFt: ReadonlyMap<string, number>,
): { readonly rows: readonly Compared[]; readonly unexplained: readonly Finding[] } {
  const explained = new Set<string>();
  const laterals = [assessment.lateral, ...assessment.branches];
  const rows = listTrueThings(truth).flatMap((thing): Compared[] => {
    const origin = originFt.get(thing.lineId);
    if (origin === undefined) return [];
    // A pool about as long as the shortest that is called one may be called or not.
    const isOptional =
      thing.kind === 'standing-water' && thing.toFt - thing.fromFt < 2 * LEAST_POOL_FT;
    const line = truth.lines.length > 1 ? thing.lineId : assessment.lateral.lineId;
    const lateral = laterals.find(({ lineId }) => lineId === line);
    const trueFt = (thing.fromFt + thing.toFt) / 2 - origin;
    const near = assessment.findings
      .filter(({ kind, lineId, placed }) => placed && kind === thing.kind && lineId === line)
      .map((finding) => ({
        finding,
        apartFt: Math.max(
          Math.abs(finding.span.fromFt - (thing.fromFt - origin)),
          Math.abs(finding.span.toFt - (thing.toFt - origin)),
        ),
      }))
      .sort((a, b) => a.apartFt - b.apartFt)
      .find(({ finding, apartFt }) => apartFt <= 3 * finding.sigmaFt + EDGE_FT);
    if (near) {
      const { finding } = near;
      explained.add(finding.id);
      const foundFt = (finding.span.fromFt + finding.span.toFt) / 2;
      return [
        {
          thing,
          outcome: 'found',
          trueFt: roundTo(trueFt, 1),
          foundFt: roundTo(foundFt, 1),
          errorFt: roundTo(foundFt - trueFt, 2),
          sigmaFt: roundTo(finding.sigmaFt, 2),
        },
      ];
    }
    if (isOptional) return [];
    const within = (stretches: readonly { fromFt: number; toFt: number }[]) =>
      stretches.some(({ fromFt, toFt }) => trueFt >= fromFt - EDGE_FT && trueFt <= toFt + EDGE_FT);
    const outcome =
      lateral && within(lateral.coverage.obscured)
        ? 'unseen'
        : lateral && within(lateral.coverage.clear)
          ? 'missed'
          : 'unreached';
    return [
      { thing, outcome, trueFt: roundTo(trueFt, 1), foundFt: null, errorFt: null, sigmaFt: null },
    ];
  });
  const unexplained = assessment.findings.filter(
    (finding) => isLogged(finding) && finding.placed && !explained.has(finding.id),
  );
  return { rows, unexplained };
}

/** Station of the reference access of each line that was run: that of its first run. */
export function originsOf(
  truth: LateralTruth,
  plans: readonly { readonly accessId: string }[],
): ReadonlyMap<string, number> {
  const origins = new Map<string, number>();
  for (const { accessId } of plans) {
    const access = truth.accesses.find(({ id }) => id === accessId);
    if (access && !origins.has(access.lineId)) origins.set(access.lineId, access.atFt);
  }
  return origins;
}
