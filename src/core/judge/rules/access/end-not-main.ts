import { sayFt } from '../../../base/numbers';
import type { EndReason } from '../../../catalogue/vocabulary';
import { endsLine } from '../../../lateral/terminus';
import { advice, type Conclusion, question } from '../conclusion';
import type { Rule } from '../rule';
import type { Scene } from '../scene';

/** What would let the rest be seen, by what stopped the camera. */
const WOULD_SHOW: Partial<Record<EndReason, string>> = {
  obstruction: 'Have the blockage cleared, then have the rest looked at.',
  'lost-push':
    'Have the rest looked at from an opening nearer to the street, or with running water and a smaller head.',
  bend: 'Have the rest looked at with a smaller head, or from an opening beyond the bend.',
  trap: 'Have the rest looked at from an opening beyond the trap.',
  unsafe: 'Have the rest looked at once it is safe to pass.',
  vent: 'Have the line looked at from an opening that leads to the street.',
  join: 'Have the line looked at beyond the point where it joins.',
  other: 'Have the rest looked at from another opening.',
};

/** Ends of another line, or of none: nothing of this one remains beyond them. */
const NOT_THE_END: readonly EndReason[] = ['vent', 'join'];

export const endNotMain: Rule = {
  number: 4,
  id: 'end-not-main',
  when: 'the end was not confirmed as the main, or was not reached; or nobody said where the access lies',
  then: 'say “not confirmed” and locate it; say what remains and what would let it be seen; ask where the access lies',
  because: 'a line that stops short of the main may hide its worst feet',
  conclude: (scene) => [...askAbove(scene), ...tellBelow(scene)],
};

/** Where nobody said how the highest access lies along the line, nothing is known of the pipe above it. */
function askAbove({ laterals, names }: Scene): Conclusion[] {
  return laterals.flatMap(({ coverage: { upper }, lineId }) =>
    upper?.state === 'unknown'
      ? [
          question(
            null,
            'surface',
            `Nobody said where access ${upper.from} lies along the line${names.on(lineId)}: nothing is known of the pipe above it.`,
            'Say on Site whether it lies at the house end, along the line or near the street.',
          ),
        ]
      : [],
  );
}

function tellBelow({ laterals }: Scene): Conclusion[] {
  const main = laterals[0];
  const end = main?.terminus;
  if (!main || !end || main.reachedMain) return [];
  const entryIds = [end.entryId];
  if (endsLine(end.kind)) {
    return [
      advice(
        null,
        `The end of the line is not confirmed. Have it located, or seen, before it is called the ${end.kind}.`,
      ),
    ];
  }
  const show = advice(null, WOULD_SHOW[end.kind]!);
  if (NOT_THE_END.includes(end.kind)) return [show];
  const left: Conclusion =
    end.remainderFt === null
      ? question(
          null,
          'reel',
          'How much of the line remains beyond the end was not logged.',
          'Log the end again with what roughly remains, in feet.',
          { entryIds },
        )
      : advice(null, `About ${sayFt(end.remainderFt)} ft of the line remain unseen.`);
  return [left, show];
}
