import { lengthFt } from '../../../base/interval';
import { TOLERANCES } from '../../../base/tolerances';
import type { Segment } from '../../../lateral/segments';
import type { MadeFinding } from '../conclusion';
import { oldestOf, type Scene } from '../scene';

/** Neighbouring segments of one material, whatever lies over them. */
export type Stretch = {
  readonly lineId: string;
  readonly segments: readonly Segment[];
  readonly fromFt: number;
  readonly toFt: number;
};

/** The stretches of each line whose segments are of one material and fit; courtesies are left in. */
export function stretchesOf(scene: Scene, fits: (segment: Segment) => boolean): Stretch[] {
  return scene.laterals.flatMap(({ lineId, segments }) => {
    const stretches: Stretch[] = [];
    for (const segment of segments) {
      if (!fits(segment) || lengthFt(segment) < TOLERANCES.zeroLengthFt) continue;
      const last = stretches.at(-1);
      const touches =
        last !== undefined &&
        Math.abs(last.toFt - segment.fromFt) < 1e-6 &&
        last.segments[0]!.material === segment.material &&
        last.segments[0]!.lined === segment.lined;
      if (touches) {
        stretches[stretches.length - 1] = {
          ...last,
          toFt: segment.toFt,
          segments: [...last.segments, segment],
        };
      } else {
        stretches.push({
          lineId,
          fromFt: segment.fromFt,
          toFt: segment.toFt,
          segments: [segment],
        });
      }
    }
    return stretches;
  });
}

type Said = {
  readonly key: string;
  readonly says: string;
  readonly advice: readonly string[];
};

/** A finding of what the pipe is: slight, with no action of its own. */
export function madeOf(scene: Scene, stretch: Stretch, { key, says, advice }: Said): MadeFinding {
  const [first] = stretch.segments;
  const isSure = stretch.segments.every(({ certainty }) => certainty === 'confirmed');
  const entryIds = [...new Set(stretch.segments.flatMap((segment) => segment.entryIds))];
  return {
    kind: 'finding',
    of: 'material',
    // The entry that first called the pipe names it, so that seeing more of it does not rename it.
    key: `${key}-${oldestOf(scene, entryIds) ?? stretch.fromFt.toFixed(0)}`,
    lineId: stretch.lineId,
    span: { fromFt: stretch.fromFt, toFt: stretch.toFt },
    sigmaFt: 0,
    material: first!.material,
    boreIn: first!.diameterIn,
    severity: 'slight',
    action: 'none',
    says,
    advice,
    provisos: isSure
      ? []
      : [
          {
            text: 'the material is only suspected',
            settledBy: 'look at a cut end or a joint, and confirm or correct the material',
          },
        ],
    runIds: [],
    entryIds,
  };
}
