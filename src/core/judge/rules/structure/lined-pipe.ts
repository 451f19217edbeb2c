import type { Segment } from '../../../lateral/segments';
import { type Conclusion, reason } from '../conclusion';
import type { Rule } from '../rule';
import { featuresNear, findingsOf, pipeAt, sayIn } from '../scene';

/** Liner left at a tee lies this near to it, feet. */
const AT_TEE_FT = 2;
const isTee = ({ feature }: { readonly feature: string }) => feature === 'tee' || feature === 'wye';

export const linedPipe: Rule = {
  number: 38,
  id: 'lined-pipe',
  when: 'the pipe is lined and passes tees',
  then: 'plastic pieces at tees are expected; a tee stays shut until it is reopened',
  because: 'a liner is cured across every side opening and cut open again from inside',
  conclude: (scene) => {
    const isLined = ({ lined, material }: Segment) => lined || material === 'liner';
    if (!scene.laterals.some(({ segments }) => segments.some(isLined))) return [];
    const left = findingsOf(scene, 'foreign-object', 'debris')
      .filter((finding) => {
        const pipe = pipeAt(scene, finding);
        return pipe !== null && isLined(pipe);
      })
      .filter((finding) => finding.placed && featuresNear(scene, finding, AT_TEE_FT).some(isTee))
      .map((finding) => reason(finding, 'pieces of liner at a tee are expected after lining'));
    const tees = scene.laterals.flatMap(({ lineId, features, segments }) =>
      features
        .filter((one) => isTee(one) && !one.isPlaceUnsaid)
        .flatMap((tee): Conclusion[] => {
          const lined = segments.some(
            (segment) =>
              isLined(segment) && tee.stationFt > segment.fromFt && tee.stationFt < segment.toFt,
          );
          return lined
            ? [
                reason(
                  null,
                  `The ${tee.feature} ${sayIn(scene, { lineId, span: { fromFt: tee.stationFt, toFt: tee.stationFt } })} lies in lined pipe: it works only as far as the liner was cut open there.`,
                ),
              ]
            : [];
        }),
    );
    return [...left, ...tees];
  },
};
