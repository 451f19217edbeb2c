import { checkWater } from '../verification';
import { type Check, perRun, sayWhere } from '../check';

/** Standing water seen while water ran or drained, and not seen again after it had drained. */
export const waterUnverified: Check = {
  code: 'water-unverified',
  level: 'blocker',
  stand: 'fixture',
  find: (context) => {
    const settled = new Set(
      context.findings.filter((finding) => finding.verified).flatMap(({ entryIds }) => entryIds),
    );
    return perRun(context, (axis) =>
      axis.log.standing.flatMap((entry) => {
        if (entry.kind !== 'defect' || entry.defect !== 'standing-water' || entry.ourDoing)
          return [];
        const { verified, state } = checkWater(entry, axis.log);
        if (verified || settled.has(entry.id)) return [];
        return [
          {
            message: `Standing water at ${sayWhere(axis, entry)} was seen while water was ${state ?? 'running'}.`,
            action: 'Turn the water off, let it drain, log "water drained" and look again.',
            runIds: [axis.run.id],
            entryIds: [entry.id],
          },
        ];
      }),
    );
  },
};
