import { kindsWith } from '../../../catalogue/defects/kinds';
import { compareText } from '../../../measure/sighting';
import type { Finding } from '../../finding';
import { advice, type Conclusion, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, sayIn } from '../scene';

/** Groups placed findings whose neighbours lie within so many feet; in station order. */
export function groupClose(findings: readonly Finding[], withinFt: number): Finding[][] {
  const groups: Finding[][] = [];
  let endFt = -Infinity;
  const sorted = [...findings].sort(
    (a, b) => compareText(a.lineId, b.lineId) || a.span.fromFt - b.span.fromFt,
  );
  for (const finding of sorted) {
    const last = groups.at(-1);
    const isNext =
      last !== undefined &&
      last[0]!.lineId === finding.lineId &&
      finding.span.fromFt - endFt <= withinFt + 1e-9;
    if (isNext) last.push(finding);
    else groups.push([finding]);
    endFt = isNext ? Math.max(endFt, finding.span.toFt) : finding.span.toFt;
  }
  return groups;
}

export const closeTogether: Rule = {
  number: 42,
  id: 'close-together',
  when: 'several structural defects lie close together',
  then: 'they are one length and one repair: compare spot, liner and replacement',
  because: 'each spot repair ends in pipe that is next to fail',
  conclude: (scene) => {
    const { several, closeTogetherFt } = scene.thresholds;
    const bad = findingsOf(scene, ...kindsWith('structure')).filter(
      ({ placed, severity, courtesy }) => placed && !courtesy && severity !== 'slight',
    );
    return groupClose(bad, closeTogetherFt)
      .filter((group) => group.length >= several)
      .flatMap((group) => {
        const toFt = Math.max(...group.map(({ span }) => span.toFt));
        const { lineId, span } = group[0]!;
        const where = sayIn(scene, { lineId, span: { fromFt: span.fromFt, toFt } });
        return group.flatMap((finding): Conclusion[] => [
          reason(
            finding,
            `one of ${group.length} structural defects ${where}: one length, one repair`,
          ),
          advice(
            finding,
            `Price ${where} as one length: spot repairs, a liner and replacement side by side.`,
          ),
        ]);
      });
  },
};
