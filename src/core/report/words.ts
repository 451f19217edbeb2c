import type { Action, Severity } from '../judge/grade';
import type { FindingKind } from '../judge/finding';
import type { MethodId } from '../repair/methods/method-id';
import type { Overall } from '../judge/verdict';
import type { EndReason, Material, UnseenCause, Zone } from '../log/vocabulary';

/** The buyer's words for the trade's. The trade's word follows in brackets where it is first used. */

export const MATERIAL_WORDS: Record<Material, string> = {
  'vitrified-clay': 'clay',
  'cast-iron': 'cast iron',
  'ductile-iron': 'ductile iron',
  concrete: 'concrete',
  'asbestos-cement': 'asbestos cement',
  'bituminous-fiber': 'tar-paper fiber',
  abs: 'ABS plastic',
  pvc: 'PVC plastic',
  hdpe: 'HDPE plastic',
  'galvanized-steel': 'galvanized steel',
  lead: 'lead',
  liner: 'liner',
  unknown: 'not known',
};

/** Where something lies, as it follows a footage ("at 57 ft, under the driveway"). */
export const ZONE_PLACES: Record<Zone, string> = {
  'under-house': 'under the house',
  crawlspace: 'in the crawlspace',
  basement: 'in the basement',
  patio: 'under the patio',
  yard: 'under the yard',
  driveway: 'under the driveway',
  strip: 'under the strip by the street',
  walk: 'under the sidewalk',
  street: 'under the street',
};

export const ZONE_WORDS: Record<Zone, string> = {
  'under-house': 'house',
  crawlspace: 'crawlspace',
  basement: 'basement',
  patio: 'patio',
  yard: 'yard',
  driveway: 'driveway',
  strip: 'strip by the street',
  walk: 'sidewalk',
  street: 'street',
};

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

export const ACCESS_WORDS = {
  cleanout: 'cleanout',
  'two-way-cleanout': 'two-way cleanout',
  'stack-cleanout': 'stack cleanout',
  'property-line-cleanout': 'property-line cleanout',
  'roof-vent': 'roof vent',
  'pulled-toilet': 'pulled toilet',
  'yard-riser': 'yard riser',
  branch: 'branch',
  other: 'opening',
} as const;

/** A work as a buyer would say it. */
export const METHOD_WORDS: Record<MethodId, string> = {
  'notify-utility-owner': 'call the owner of the utility',
  'notify-authority': 'report it to the sewer authority',
  cleanout: 'fit a cleanout',
  'raise-riser': 'bring the buried cleanout up to the ground',
  'look-again': 'look again with the camera',
  'second-opinion': 'have a licensed drain contractor look at it',
  abatement: 'have the asbestos made safe',
  dig: 'dig and replace',
  'replace-exposed': 'replace the hung pipe',
  'slab-break': 'open the floor and replace',
  reroute: 'lay a new pipe another way',
  burst: 'pull new pipe through the old one',
  ejector: 'fit a pump',
  jet: 'clean with a water jet',
  cut: 'cut the roots',
  'treat-roots': 'treat the roots',
  descale: 'take the scale off',
  'ramp-lip': 'smooth the edge from inside',
  liner: 'line the pipe from inside',
  'patch-liner': 'put in a short liner',
};

/** Name of a defect for the buyer, with the trade's word; `plural` for lists of what is absent. */
export type DefectWords = {
  readonly name: string;
  readonly trade: string;
  readonly plural: string;
  /** Whether `name` itself stands for many. */
  readonly isMany?: true;
};

/** The same for every finding: what a rule makes of the whole has its name too. */
export const FINDING_WORDS: Record<FindingKind, DefectWords> = {
  layout: { name: 'How the line is laid', trade: 'layout', plural: 'faults of the layout' },
  material: { name: 'What the pipe is made of', trade: 'material', plural: 'remarks on material' },
  'standing-water': {
    name: 'Low stretch that holds water',
    trade: 'belly',
    plural: 'standing water',
  },
  roots: { name: 'Roots', trade: 'roots', plural: 'roots', isMany: true },
  offset: {
    name: 'Pipe ends out of line',
    trade: 'offset joint',
    plural: 'pipe ends out of line',
    isMany: true,
  },
  gap: { name: 'Open joint', trade: 'gap', plural: 'open joints' },
  crack: { name: 'Crack', trade: 'crack', plural: 'cracks' },
  break: { name: 'Broken pipe', trade: 'break', plural: 'breaks' },
  hole: { name: 'Hole in the pipe', trade: 'hole', plural: 'holes' },
  collapse: { name: 'Collapsed pipe', trade: 'collapse', plural: 'collapse' },
  deformation: { name: 'Pipe out of round', trade: 'deformation', plural: 'squashed pipe' },
  'intruding-tap': {
    name: 'Side pipe sticking in',
    trade: 'intruding tap',
    plural: 'side pipes sticking in',
  },
  scale: { name: 'Scale', trade: 'scale', plural: 'scale' },
  grease: { name: 'Grease', trade: 'grease', plural: 'grease' },
  debris: { name: 'Debris', trade: 'debris', plural: 'debris' },
  mineral: { name: 'Mineral deposit', trade: 'mineral deposit', plural: 'mineral deposits' },
  'wall-loss': { name: 'Worn pipe bottom', trade: 'wall loss', plural: 'worn pipe bottom' },
  spalling: { name: 'Worn concrete', trade: 'spalling', plural: 'worn concrete' },
  lip: { name: 'Edge that catches solids', trade: 'lip', plural: 'edges that catch solids' },
  'coupling-failed': {
    name: 'Failed coupling',
    trade: 'failed coupling',
    plural: 'failed couplings',
  },
  exfiltration: { name: 'Sewage leaking out', trade: 'exfiltration', plural: 'sewage leaking out' },
  infiltration: {
    name: 'Ground water coming in',
    trade: 'infiltration',
    plural: 'ground water coming in',
  },
  'residue-line': {
    name: 'Old high-water mark',
    trade: 'residue line',
    plural: 'old high-water marks',
  },
  vermin: { name: 'Signs of animals', trade: 'vermin', plural: 'signs of animals', isMany: true },
  'foreign-object': {
    name: 'Object in the pipe',
    trade: 'foreign object',
    plural: 'objects in the pipe',
  },
  unidentified: {
    name: 'Something not named yet',
    trade: 'unidentified',
    plural: 'things not named',
  },
  'utility-crossing': {
    name: 'Another utility through the sewer',
    trade: 'utility crossing',
    plural: 'utility lines through the sewer',
  },
};
