import { gapBetweenFt } from '../../base/interval';
import { type Check, sayWhere } from '../check';

/** Words that praise a pipe. "Not good" and "no good" do not. */
const PRAISE =
  /(?<!\b(?:not|no|isn't|isnt)\s+(?:in\s+)?)\b(?:good(?:\s+(?:condition|shape))?|satisfactory|sound|clean|fine|perfect|no (?:defects|problems|issues))\b/i;

/** A note that calls a stretch good although nobody could see it or its end is still open. */
export const unseenCalledGood: Check = {
  code: 'unseen-called-good',
  level: 'blocker',
  stand: 'reel',
  find: ({ laterals }) =>
    laterals.flatMap((lateral) =>
      lateral.axes.flatMap((axis) =>
        axis.log.standing.flatMap((entry) => {
          if (!entry.note || !PRAISE.test(entry.note)) return [];
          if (entry.kind === 'flag' || entry.kind === 'defect' || entry.readingFt === null)
            return [];
          const atFt = axis.placeOf(entry.pass, entry.readingFt).stationFt;
          const here = { fromFt: atFt, toFt: atFt };
          const hidden = lateral.coverage.unseen.find(
            (stretch) =>
              gapBetweenFt(stretch, here) === 0 &&
              lateral.coverage.obscured.some((part) => gapBetweenFt(part, here) === 0),
          );
          if (!hidden) return [];
          return [
            {
              message: `The note at ${sayWhere(axis, entry)} calls the pipe good, but nobody could see it there.`,
              action: 'Look again and log "can see now", or take the words back.',
              runIds: [axis.run.id],
              entryIds: [entry.id, ...hidden.entryIds],
            },
          ];
        }),
      ),
    ),
};
