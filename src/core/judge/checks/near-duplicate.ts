import { sayFt } from '../../base/numbers';
import { TOLERANCES } from '../../base/tolerances';
import { endsApartFt } from '../../measure/sighting';
import { type Check, nameLinesOf, sayRuns } from '../check';
import type { Finding } from '../finding';

/** A finding is held against so many that follow it: of a thousand at one spot not every pair is told. */
const MOST_NEIGHBOURS = 3;

/** Two findings of one kind so close that they are probably one. */
export const nearDuplicate: Check = {
  code: 'near-duplicate',
  level: 'warning',
  stand: 'desk',
  find: (context) =>
    context.findings.flatMap((finding, index) =>
      neighbours(context.findings, index).map((other) => ({
        message: `Findings ${finding.number} and ${other.number} are both ${finding.kind}, at ${sayFt(finding.span.fromFt)} and ${sayFt(other.span.fromFt)} ft${nameLinesOf(context).on(finding.lineId)} (${sayRuns([...new Set([...finding.runNames, ...other.runNames])])}).`,
        action: 'Retract one if they are the same thing.',
        runIds: [...new Set([...finding.runIds, ...other.runIds])],
        entryIds: [...finding.entryIds, ...other.entryIds],
      })),
    ),
};

/** Findings after this one, in station order, that are of its kind and as good as at its place. */
function neighbours(findings: readonly Finding[], index: number): Finding[] {
  const finding = findings[index]!;
  const near: Finding[] = [];
  const last = Math.min(index + MOST_NEIGHBOURS, findings.length - 1);
  for (let at = index + 1; at <= last; at += 1) {
    const other = findings[at]!;
    if (other.lineId !== finding.lineId || !finding.placed || !other.placed) break;
    if (other.span.fromFt - finding.span.fromFt > TOLERANCES.nearDuplicateFt) break;
    const isSame = other.kind === finding.kind;
    if (isSame && endsApartFt(finding.span, other.span) <= TOLERANCES.nearDuplicateFt)
      near.push(other);
  }
  return near;
}
