import type { MethodId } from '../catalogue/method-ids';

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

/** What somebody has done, after "have": "have the roots cut". */
export const PASSIVE_WORDS: Record<MethodId, string> = {
  ...METHOD_WORDS,
  jet: 'the line cleaned with a water jet',
  cut: 'the roots cut',
  'treat-roots': 'the roots treated',
  descale: 'the scale taken off',
  flush: 'the low spot flushed',
  'ramp-lip': 'the edge smoothed from inside',
  'trim-tap': 'the pipe that sticks in cut back',
  cleanout: 'a cleanout fitted',
  'raise-riser': 'the buried cleanout brought up to the ground',
};
