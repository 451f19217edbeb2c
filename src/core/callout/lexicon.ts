import type { DefectKind, FeatureKind, Material, Zone } from '../log/vocabulary';

/** How people say a thing: patterns on the normal form, longest and most particular first. */
type Lexicon<T> = readonly (readonly [T, RegExp])[];

export const DEFECT_SAYINGS: Lexicon<DefectKind> = [
  ['utility-crossing', /\b(?:gas (?:line|pipe)|cable|conduit|utility(?: (?:line|pipe|crossing))?|water line|electric(?:al)? line)(?: (?:through|crossing|across)(?: (?:the )?(?:sewer|pipe|lateral))?)?\b/],
  ['standing-water', /\b(?:standing water|water standing|holding water|bell(?:y|ies)|low (?:spot|stretch)|sag|pool(?:ing)?|ponding)\b/],
  ['coupling-failed', /\b(?:(?:failed|bad|leaking|slipped|torn) (?:coupling|gasket|sleeve)|coupling (?:failed|slipped|leaking)|gasket (?:showing|hanging|in (?:the )?(?:bore|pipe))|rubber (?:showing|hanging))\b/],
  ['intruding-tap', /\b(?:intruding|protruding|hammer(?:ed)?)[- ]?(?:tap|tee|wye|lateral|connection)\b|\btap (?:intruding|protruding|sticking in)\b/],
  ['wall-loss', /\b(?:wall loss|invert (?:gone|missing|rotted|rotted out|corroded|pitted|rough)|rotted(?: out)?|corrod(?:ed|ing)|channel(?:l?ing|l?ed)|pitt(?:ed|ing))\b/],
  ['residue-line', /\b(?:residue(?: line)?|high[- ]water mark|water ?line mark|scum line)\b/],
  ['foreign-object', /\b(?:foreign object|object|toy|brick|tool|bottle)\b/],
  ['mineral', /\b(?:minerals?(?: deposits?)?|calcium|calcite|encrustation|lime)\b/],
  ['infiltration', /\b(?:infiltration|ground ?water (?:coming|running|dripping|seeping) in|water coming in|seep(?:ing|age|s)?|weeping|drip(?:ping|s)?)\b/],
  ['collapse', /\b(?:collapsed?|caved? in|cave-in)\b/],
  ['break', /\b(?:break|broken(?: pipe)?|breaks|missing (?:pipe|wall|piece)|shattered)\b/],
  ['hole', /\b(?:hole|void|puncture)\b/],
  ['crack', /\b(?:cracks?|cracked|fractures?|fractured)\b/],
  ['offset', /\b(?:offsets?|misalign(?:ed|ment)|displaced joint|joint displaced|out of line)\b/],
  ['gap', /\b(?:gaps?|open joint|joint open|separat(?:ed|ion)(?: joint)?|pulled apart|gapped)\b/],
  ['deformation', /\b(?:deform(?:ed|ation)|oval(?:led|ed)?|egg[- ]shaped|squashed|out of round|flattened|blister(?:ed|s)?|hump(?:ed)?)\b/],
  ['spalling', /\b(?:spall(?:ing|ed)|concrete (?:wearing|worn)|aggregate showing|exposed (?:stone|aggregate))\b/],
  ['lip', /\b(?:lip|ledge|up-?step|step up)\b/],
  ['roots', /\b(?:roots?|root (?:mass|ball|intrusion)|runners?)\b/],
  ['grease', /\b(?:grease|greasy|fat)\b/],
  ['scale', /\b(?:scale|scaling|scaly|tubercul\w+|rust)\b/],
  ['vermin', /\b(?:rats?|vermin|roach(?:es)?|mouse|mice|animals?)\b/],
  ['debris', /\b(?:debris|sludge|wipes?|paper|silt|sand|gravel|waste|solids)\b/],
  ['unidentified', /\b(?:unidentified|unknown (?:thing|object)|something|don't know what|not sure what)\b/],
]; // prettier-ignore

export const MATERIAL_SAYINGS: Lexicon<Material> = [
  ['vitrified-clay', /\b(?:vitrified clay|clay(?: pipe| tile)?|vcp|terra ?cotta)\b/],
  ['ductile-iron', /\b(?:ductile(?: iron)?|dip)\b/],
  ['cast-iron', /\b(?:cast(?: iron)?|iron|ci)\b/],
  ['asbestos-cement', /\b(?:asbestos(?: cement)?|ac pipe|acp)\b/],
  ['concrete', /\b(?:concrete|cement pipe)\b/],
  ['bituminous-fiber', /\b(?:bituminous(?: fiber)?|tar[- ]?paper|fiber(?: pipe)?|fibre(?: pipe)?)\b/],
  ['abs', /\babs\b|\bblack plastic\b/],
  ['pvc', /\bpvc\b|\bwhite plastic\b|\bsdr ?(?:35|26)\b|\bschedule 40\b/],
  ['hdpe', /\b(?:hdpe|polyethylene|poly)\b/],
  ['galvanized-steel', /\b(?:galvani[sz]ed(?: steel)?|galv|steel)\b/],
  ['lead', /\blead(?: pipe)?\b/],
  ['liner', /\b(?:cured liner|liner|lined|cipp)\b/],
]; // prettier-ignore

export const FEATURE_SAYINGS: Lexicon<FeatureKind> = [
  ['property-line-cleanout', /\bproperty[- ]line (?:cleanout|clean out)\b/],
  ['property-line', /\b(?:property line|boundary|lot line|pl)\b/],
  ['main-tap', /\b(?:main tap|tap at (?:the )?main|tap|saddle)\b/],
  ['test-tee', /\btest tee\b/],
  ['cleanout', /\b(?:clean-?out|clean out|c\.?o\.?)\b/],
  ['reducer', /\b(?:reducer|reduces|reduction)\b/],
  ['tee', /\b(?:tee|tees|t junction|branch(?: connection)?|connection)\b/],
  ['wye', /\b(?:wye|y junction)\b/],
  ['bend', /\b(?:bend|elbow|ell|sweep|turn|turns|curve)\b/],
  ['drop', /\bdrop\b/],
  ['trap', /\b(?:trap|p-?trap|house trap)\b/],
  ['riser', /\briser\b/],
  ['coupling', /\b(?:coupling|sleeve|no-hub|band)\b/],
  ['vent', /\bvent\b/],
  ['wall', /\b(?:foundation wall|foundation|house wall|wall)\b/],
  ['join', /\b(?:joins?|junction|meets)\b/],
  ['access-point', /\baccess(?: point)?\b/],
  ['tank', /\b(?:tank|septic)\b/],
]; // prettier-ignore

export const ZONE_SAYINGS: Lexicon<Zone> = [
  ['under-house', /\b(?:under (?:the )?(?:house|slab|building)|house|slab)\b/],
  ['crawlspace', /\bcrawl ?space\b/],
  ['basement', /\bbasement\b/],
  ['patio', /\bpatio\b/],
  ['driveway', /\b(?:driveway|drive)\b/],
  ['strip', /\b(?:strip|parkway|verge)\b/],
  ['walk', /\b(?:side ?walk|walk|walkway|pavement)\b/],
  ['street', /\b(?:street|road)\b/],
  ['yard', /\b(?:(?:front |back |side )?yard|lawn|garden)\b/],
]; // prettier-ignore

/** The first thing of a lexicon that the words name; the words are taken away. */
export function takeFrom<T>(
  lexicon: Lexicon<T>,
  scan: { readonly take: (pattern: RegExp) => RegExpExecArray | null },
): T | null {
  for (const [thing, pattern] of lexicon) if (scan.take(pattern)) return thing;
  return null;
}
