import { overlaps, totalFt } from '../../base/interval';
import { sayFt } from '../../base/numbers';
import { type ClearStretch, readClears } from '../../lateral/clears';
import type { Lateral } from '../../lateral/lateral';
import { type Check, type CheckContext, type Issue, nameLinesOf } from '../check';
import type { Finding } from '../finding';

type Found = Omit<Issue, 'code' | 'level' | 'stand'>;

const isAbout = ({ kinds }: ClearStretch, { kind }: Finding) =>
  kinds === null || (kinds as readonly string[]).includes(kind);

function contradictionsOf(context: CheckContext, lateral: Lateral): Found[] {
  const on = nameLinesOf(context).on(lateral.lineId);
  return readClears(lateral).flatMap((clear): Found[] => {
    const where = `from ${sayFt(clear.span.fromFt)} to ${sayFt(clear.span.toFt)} ft${on}`;
    const head = `Run ${clear.axis.name}: called clear ${where}, but`;
    const found = context.findings.filter(
      (finding) =>
        finding.placed &&
        finding.lineId === lateral.lineId &&
        !finding.ourDoing &&
        isAbout(clear, finding) &&
        overlaps(finding.span, clear.span),
    );
    const hiddenFt = totalFt(clear.hidden);
    return [
      ...found.map((finding) => ({
        message: `${head} finding ${finding.number}, ${finding.kind} at ${sayFt(finding.span.fromFt)} ft, lies in it.`,
        action: 'Take the finding back, or say where it is clear.',
        runIds: [...new Set([clear.axis.run.id, ...finding.runIds])],
        entryIds: [clear.entryId, ...finding.entryIds],
      })),
      ...(hiddenFt > 0.05
        ? [
            {
              message: `${head} ${sayFt(hiddenFt)} ft of it could not be seen.`,
              action: 'Look again and say "can see now", or say where it is clear.',
              runIds: [clear.axis.run.id],
              entryIds: [clear.entryId],
            },
          ]
        : []),
    ];
  });
}

/** A stretch called clear over something found in it, or over what could not be seen. */
export const clearContradicted: Check = {
  code: 'clear-contradicted',
  level: 'blocker',
  stand: 'reel',
  find: (context) => context.laterals.flatMap((lateral) => contradictionsOf(context, lateral)),
};
