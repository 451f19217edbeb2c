import { SMALL_NUMBERS } from '../base/numbers';
import type { Action, Severity } from '../catalogue/severity/grade';
import type { EndReason, UnseenCause } from '../catalogue/vocabulary';
import type { Overall } from '../judge/verdict';

/** The buyer's words for the trade's. The trade's word follows in brackets where it is first used. */

export const SEVERITY_WORDS: Record<Severity, string> = {
  slight: 'Slight',
  moderate: 'Moderate',
  major: 'Major',
  failed: 'Failed',
};

export const ACTION_WORDS: Record<Action, string> = {
  none: 'no work now',
  monitor: 'watch it',
  upkeep: 'upkeep',
  repair: 'repair',
  urgent: 'act now',
  'look-again': 'look again',
};

export const OVERALL_WORDS: Record<Overall, string> = {
  'not-serviceable': 'Not fit for use',
  'repair-needed': 'Repair needed',
  inconclusive: 'Not settled yet',
  'serviceable-with-upkeep': 'Works, with upkeep',
  serviceable: 'Works',
};

export const UNSEEN_WORDS: Record<UnseenCause, string> = {
  submerged: 'the camera was under water',
  murky: 'the water was murky',
  'dirty-lens': 'the lens was dirty',
  'too-fast': 'the camera passed too fast',
  other: 'it could not be seen',
};

export const END_WORDS: Record<EndReason, string> = {
  main: 'the city main',
  tank: 'the tank',
  join: 'the point where it joins another line',
  vent: 'a vent',
  obstruction: 'a blockage',
  'lost-push': 'the place where the rod could be pushed no farther',
  trap: 'a trap',
  bend: 'a bend that the camera could not pass',
  unsafe: 'a place that was not safe to pass',
  other: 'the place where the run stopped',
};

const COUNTS = ['no', ...SMALL_NUMBERS.slice(1, 11)];

/** Whether a count is small enough to be said in a word. */
export const isSmallCount = (count: number): boolean => COUNTS[count] !== undefined;

/** A small count in words. */
export const sayCount = (count: number): string => COUNTS[count] ?? String(count);

/** A text with its first letter large, as a sentence begins. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What the lines are that are drawn over a still that was measured on. */
export const LINES_ON_STILL = 'White: the edge of the pipe. Yellow: what was measured.';
