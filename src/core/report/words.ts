import type { MethodId } from '../catalogue/method-ids';
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

/** A work as a buyer would say it. */
export const METHOD_WORDS: Record<MethodId, string> = {
  'notify-utility-owner': 'call the owner of the utility',
  'notify-authority': 'report it to the sewer authority',
  cleanout: 'fit a cleanout',
  'raise-riser': 'bring the buried cleanout up to the ground',
  'backwater-valve': 'fit a valve against water from the main',
  'look-again': 'look again with the camera',
  'second-opinion': 'have a licensed drain contractor look at it',
  abatement: 'have the asbestos made safe',
  dig: 'dig and replace',
  'replace-exposed': 'replace the exposed pipe',
  'slab-break': 'open the floor and replace',
  reroute: 'lay a new pipe another way',
  burst: 'pull new pipe through the old one',
  ejector: 'fit a pump',
  jet: 'clean with a water jet',
  cut: 'cut the roots',
  'treat-roots': 'treat the roots',
  descale: 'take the scale off',
  flush: 'flush the low spot',
  'ramp-lip': 'smooth the edge from inside',
  'trim-tap': 'cut back the pipe that sticks in',
  liner: 'line the pipe from inside',
  'patch-liner': 'put in a short liner',
};
