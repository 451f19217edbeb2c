import type { WaterState } from '../../catalogue/vocabulary';
import { checkWater } from '../../measure/water';
import { type Check, perRun, sayWhere } from '../check';

/** What was known of the water when a pool was seen. */
const SEEN: Record<Exclude<WaterState, 'drained' | 'none'> | 'unsaid', string> = {
  running: 'was seen while water was running',
  draining: 'was seen while the line was still draining',
  unsaid: 'was seen, and nobody said whether water was running',
};
const CLEARED_BY = {
  running: 'Turn the water off, let it drain, log "water drained" and look again.',
  draining: 'Wait until it has drained, log "water drained" and look again.',
  unsaid: 'Say what water ran when this run began: none, or running.',
} as const;

/** Standing water that nobody saw with the line drained, or with no water running. */
export const waterUnverified: Check = {
  code: 'water-unverified',
  level: 'blocker',
  stand: 'fixture',
  find: (context) => {
    const settled = new Set(
      context.findings.filter((finding) => finding.verified).flatMap(({ entryIds }) => entryIds),
    );
    return perRun(context, (axis) =>
      axis.log.of('defect').flatMap((entry) => {
        if (entry.defect !== 'standing-water' || entry.ourDoing) return [];
        const { verified, state } = checkWater(entry, axis.log, axis.run);
        if (verified || settled.has(entry.id)) return [];
        const known = state === 'running' || state === 'draining' ? state : 'unsaid';
        return [
          {
            message: `Standing water at ${sayWhere(axis, entry)} ${SEEN[known]}.`,
            action: CLEARED_BY[known],
            runIds: [axis.run.id],
            entryIds: [entry.id],
          },
        ];
      }),
    );
  },
};
