import { sayIn } from '../../../base/numbers';
import type { MethodId } from '../../../catalogue/method-ids';
import type { Finding } from '../../finding';
import { isDeeperThan } from '../../lips';
import { adviceWith, type AnyConclusion, cause, question, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';
import { damsOf } from './dams';

const NAMES = {
  lip: 'lip',
  scale: 'scale',
  offset: 'step up',
  roots: 'roots',
  debris: 'debris',
  'intruding-tap': 'tap that stands in',
} as const;

/** What clears each dam. */
const CLEARED_BY: Readonly<Record<keyof typeof NAMES, MethodId>> = {
  lip: 'ramp-lip',
  offset: 'ramp-lip',
  scale: 'descale',
  roots: 'cut',
  debris: 'jet',
  'intruding-tap': 'trim-tap',
};

/** The fall that a lateral is usually laid with, inches in a foot. */
const USUAL_FALL_IN_PER_FT = 0.25;

/** A dam holds water back no farther than its height over the pipe’s fall, rule 56 of the trade: a longer pool competes with a sag. */
const isLongerThan = ({ span }: Finding, heightIn: number | null, fallInPerFt: number) =>
  heightIn !== null && (span.toFt - span.fromFt) * fallInPerFt > heightIn * LONGER_BY;

/** Lengths and heights are seen by eye: so much longer counts. */
const LONGER_BY = 1.5;

export const poolHeld: Rule = {
  number: 11,
  turns: true,
  id: 'pool-held',
  when: 'a pool’s downstream end meets a lip, scale where plastic turns to iron, a step up, roots, debris or an intruding tap',
  then: 'that dam is the likely cause: clear or ramp it and look again before any digging; deeper than the dam could hold, dam and sag compete',
  because: 'a dam holds water in pipe that lies to grade, and digging would cure nothing',
  conclude: (scene) =>
    findingsOf(scene, 'standing-water')
      .filter(({ verified }) => verified)
      .flatMap((pool): AnyConclusion[] => {
        const dams = damsOf(scene, pool);
        if (dams.length === 0) return [];
        const fallIn = scene.inspection.job.minFallInPerFt ?? USUAL_FALL_IN_PER_FT;
        const deeper = dams.map(
          (dam) =>
            isDeeperThan(pool.facts, dam.heightIn, scene.thresholds) === true ||
            isLongerThan(pool, dam.heightIn, fallIn) ||
            isDeeperThan(pool.facts, dam.heightIn, scene.thresholds),
        );
        const holds = dams.find((_, index) => deeper[index] === false);
        const unsized = dams.filter(({ heightIn }) => heightIn === null);
        const isOpen =
          holds === undefined &&
          deeper.some((is, index) => is === true || dams[index]!.heightIn === null);
        const said = dams.map(({ what, clearBy }) =>
          cause(pool, what, `${clearBy}, then look again`),
        );
        const [first] = dams;
        const height = first!.heightIn === null ? '' : ` of ${sayIn(first!.heightIn)} in`;
        return [
          ...said,
          ...(isOpen
            ? [cause(pool, 'belly', `${first!.clearBy} and see whether the water goes`)]
            : []),
          reason(
            pool,
            isOpen
              ? `the ${NAMES[first!.what]}${height} at its downstream end could not be shown to hold all of it: ${NAMES[first!.what]} and belly compete`
              : `the ${NAMES[first!.what]}${height} at its downstream end holds it`,
          ),
          adviceWith(
            [CLEARED_BY[first!.what]],
            pool,
            `First ${first!.clearBy}, then look again before anyone digs.`,
          ),
          ...unsized.map(({ what }) =>
            question(
              pool,
              'reel',
              `How high the ${NAMES[what]} at the end of the pool stands was not logged.`,
              `Size the ${NAMES[what]} at the pool’s downstream end.`,
            ),
          ),
        ];
      }),
};
