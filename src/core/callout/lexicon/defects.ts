import type { DefectKind } from '../../log/vocabulary';
import type { Sayings } from './phrases';

/** How inspectors name what is wrong with a pipe. */
export const DEFECT_SAYINGS: Sayings<DefectKind> = {
  'standing-water':
    'standing water|water {standing|sitting|pooled|pooling|ponding|lying}|{holding|holds} water|belly|bellies|low {spot|stretch|point}|sag|sags|sagging|pool|pools|pooling|ponding|puddle|swale|dip in the pipe|full of water|water',
  roots:
    'root|roots|{tree|fine|hair} {root|roots}|root {mass|masses|ball|balls|intrusion|growth}|runner|runners|root hair|root hairs',
  offset:
    'offset|offsets|offset joint|joint offset|misaligned [joint]|misalignment|displaced joint|joint displaced|out of line|dropped joint|joint dropped',
  gap: 'gap|gaps|gapped|open {joint|seam}|joint [is] open|joint gap|separated [joint]|separation|joint separation|pulled apart|pulled joint|joint pulled',
  crack: 'crack|cracks|cracked|cracking|fracture|fractures|fractured',
  break:
    'break|breaks|broken|broke|broken {pipe|joint}|pipe [is|is all] {broken|broke}|shattered|busted|missing {pipe|piece|wall}|{piece|pieces|chunk|section} {missing|gone}',
  hole: 'hole|holes|holed|void|puncture|punctured',
  collapse:
    'collapse|collapsed|caved [in]|cave in|crushed [flat]|crushed in|pipe [is] {crushed|collapsed}',
  deformation:
    'deformation|deformed|oval|ovaled|ovalled|egg shaped|squashed|out of round|flattened|blister|blistered|blisters|blistering|hump|humped|heave|heaved|heaving|bulge|bulging|warped',
  'intruding-tap':
    '{intruding|protruding} {tap|tee|wye|lateral|connection}|hammer tap|hammered tap|break in tap|{tap|connection} [is] {intruding|protruding}|{tap|connection} {sticking|sticks|poking|pokes} {in|into pipe|out}',
  scale:
    'scale|scaling|scaly|tuberculation|tubercles|rust|rusty|rust {flakes|scale|buildup}|flaking|corrosion build up',
  grease: 'grease|greasy|fat|fats|grease {build up|buildup}',
  debris:
    'debris|sludge|wipe|wipes|paper|toilet paper|silt|sand|gravel|rocks|mud|sediment|waste|solids|turds|feces|trash|rags',
  mineral:
    'mineral|minerals|mineral {deposit|deposits|build up|buildup}|calcium|calcite|encrustation|lime [scale|deposit]',
  'wall-loss':
    'wall loss|rotted [out]|rusted {out|through}|{pipe|iron} [is] {rotted|rotten} [out]|corroded|corroding|corrosion|channeling|channelling|channeled|channelled|pitted|pitting|{invert|bottom} [is] {gone|rotted|rotted out|corroded|pitted|rough|eaten away|eroded}|thin wall|wall thinning',
  spalling:
    'spalling|spalled|spall|concrete [is] {wearing|worn|shedding|eroding}|aggregate {showing|visible}|exposed {stone|stones|aggregate}|surface loss',
  lip: 'lip|lips|ledge|up step|step up|raised edge',
  'coupling-failed':
    '{failed|bad|leaking|slipped|torn|loose} {coupling|gasket|sleeve|seal}|{coupling|sleeve|gasket|seal} [has] {failed|slipped|leaking|torn|loose}|{gasket|rubber|seal|rubber gasket|sealing ring|rubber ring} [is] {showing|hanging|hanging down|hanging out|sticking out|in bore|in pipe|visible}|{hanging|exposed} gasket',
  exfiltration:
    'exfiltration|leaking out|leaks out|leak out|seeping out|running out|losing water|sewage {leaking|running} out',
  infiltration:
    'infiltration|ground water|groundwater|water {coming|running|dripping|seeping|leaking} in|leak|leaking|leaking in|seep|seeps|seeping|seepage|weep|weeping|dripping|drip|drips',
  'residue-line':
    'residue|residue line|high water {mark|line}|water line mark|waterline mark|scum line|old water {mark|line}|{stain|staining} line|bathtub ring',
  vermin:
    'vermin|rat|rats|mouse|mice|roach|roaches|cockroaches|animal|animals|frog|frogs|snake|bugs|insects',
  'foreign-object':
    'foreign {object|material}|object|toy|brick|tool|bottle|stick|bone|bones|piece of wood|screw|nail',
  unidentified:
    'unidentified|unknown {thing|object}|something|something [is] here|{dont|do not} know [what] {this is|that is|it is}|not sure what {this is|that is|it is|i see}|{dont|do not} know what|not sure what|what is {this|that}',
  'utility-crossing':
    '{gas|water|electric|electrical|power|fiber|phone} {line|main|pipe|conduit} {through|across|crossing} [sewer|pipe|line|lateral]|gas {line|pipe}|cable|conduit|utility [line|pipe|crossing]|electrical line|electric line|cross bore|crossbore|{cable|conduit|utility} {through|across|crossing} [sewer|pipe|line|lateral]|{gas|water|electric|electrical|power|fiber|phone} {line|main|pipe|conduit} right through [sewer|pipe|line|lateral]',
};

/** How bad, in the words of the severity table, by the kind that they belong to. */
export const FORM_SAYINGS: Readonly<Partial<Record<DefectKind, Sayings>>> = {
  roots: {
    fine: 'fine|hair like|hairlike|thin|whiskers|wispy',
    mass: 'mass|ball|clump|thick',
    runner: 'runner|runners',
  },
  crack: {
    hairline: 'hairline|hair line|hair|fine|thin',
    open: 'open|wide|wide open',
    several: 'several|multiple|many|spider|spidered|spiderweb',
    displaced: 'displaced|shifted',
  },
  break: {
    displaced: 'displaced|shifted',
    'wall-missing':
      'wall missing|wall gone|missing|gone|{piece|pieces|chunk|section|crown|top} {missing|gone}|{piece|chunk} out',
    'invert-missing': '{invert|bottom} [is] {missing|gone}',
  },
  hole: { 'wall-missing': 'wall missing', 'invert-missing': '{invert|bottom} [is] {missing|gone}' },
  'wall-loss': {
    rough: 'rough',
    pitted: 'pitted|pitting|pits',
    'invert-gone': 'gone|invert gone|bottom gone',
  },
  spalling: {
    grains: 'grains|sandy|grain',
    'stone-exposed': 'stone exposed|stone|stones|aggregate|exposed {stone|stones|aggregate}',
    hole: 'hole|holes|holed',
  },
  'coupling-failed': {
    sealed: 'sealed|still sealed|still tight',
    'gasket-in-bore': 'gasket|rubber|in bore|in pipe|hanging',
  },
  offset: { 'step-up': 'step up|up step', 'step-down': 'step down|down step' },
  exfiltration: {
    seep: 'seep|seeps|seeping|weep|weeping',
    drip: 'drip|drips|dripping',
    run: 'run|runs|running',
    'soil-washed': 'soil washed|washed {out|away}|washing out',
  },
  infiltration: {
    seep: 'seep|seeps|seeping|seepage|weep|weeping|damp',
    drip: 'drip|drips|dripping',
    run: 'run|runs|running|running in|gushing',
  },
};
