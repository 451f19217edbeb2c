/** The ways there are to deal with a pipe, in the trade's plain words. */
export const METHOD_IDS = [
  'cut',
  'jet',
  'treat-roots',
  'descale',
  'ramp-lip',
  'patch-liner',
  'liner',
  'dig',
  'replace-exposed',
  'slab-break',
  'reroute',
  'burst',
  'cleanout',
  'raise-riser',
  'ejector',
  'look-again',
  'second-opinion',
  'abatement',
  'notify-authority',
  'notify-utility-owner',
] as const;
export type MethodId = (typeof METHOD_IDS)[number];
