import type { SizeField } from '../catalogue/vocabulary';
import { cleanEntry } from '../model/job/sane';
import { impossibleSizes } from '../model/log/possible';
import type { CalloutContext } from './draft';
import type { Understood } from './kept';
import { parseCallout } from './parse';

const SIZE_SAYS: Record<SizeField, string> = {
  depthIn: 'a depth that the pipe has room for',
  fillRatio: 'a share of the pipe, 100% at the most',
  extentRatio: 'a share of the pipe, 100% at the most',
  offsetIn: 'an offset no larger than the pipe',
  gapIn: 'a width that a joint can open by',
  lipIn: 'a height no larger than the pipe',
};

/** What cannot be is not logged: the line keeps the words and asks. */
function askIfImpossible(read: Understood, { boreHereIn }: CalloutContext): Understood {
  const asks = read.drafts.flatMap((draft) => [
    ...cleanEntry(draft).why.map((why) => `a number that can be, and not ${why}`),
    ...(draft.kind === 'defect'
      ? impossibleSizes(draft, boreHereIn).map((field) => SIZE_SAYS[field])
      : []),
  ]);
  return asks.length === 0
    ? read
    : { ...read, drafts: [], choices: [], missing: [...new Set(asks)] };
}

/**
 * Reads the line of a screen: as `parseCallout` does, but what cannot be is asked about and logs nothing.
 *
 * @returns `null` for an empty line; no drafts, and what is wanted instead, where a number cannot be.
 */
export function readLine(said: string, context: CalloutContext): Understood | null {
  const read = parseCallout(said, context);
  return read && askIfImpossible(read, context);
}
