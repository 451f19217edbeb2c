/** The ways there are to deal with a pipe, in the trade's plain words. */
export const METHOD_IDS = [
  'cut',
  'jet',
  'treat-roots',
  'descale',
  'flush',
  'ramp-lip',
  'trim-tap',
  'patch-liner',
  'liner',
  'dig',
  'replace-exposed',
  'slab-break',
  'reroute',
  'burst',
  'cleanout',
  'raise-riser',
  'backwater-valve',
  'ejector',
  'look-again',
  'second-opinion',
  'abatement',
  'notify-authority',
  'notify-utility-owner',
] as const;
export type MethodId = (typeof METHOD_IDS)[number];

/** Works that lay new pipe in place of old. */
export const NEW_PIPE: readonly MethodId[] = [
  'dig',
  'replace-exposed',
  'slab-break',
  'reroute',
  'burst',
];
/** Works that give the pipe a new inside. */
export const NEW_INSIDE: readonly MethodId[] = ['liner', 'patch-liner'];
/** Works that come round. */
export const CLEANING: readonly MethodId[] = ['cut', 'jet', 'treat-roots', 'descale', 'flush'];
