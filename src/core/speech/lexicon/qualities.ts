import type { Locus } from '../../catalogue/vocabulary';
import type { Sayings } from './phrases';

export const LOCUS_SAYINGS: Sayings<Locus> = {
  barrel:
    '{in|through|from|of} {barrel|pipe wall}|barrel|mid pipe|middle of pipe|through wall|no joint {there|here}|not at joint|between joints',
  joint:
    '{at|in|from|through|of} {joint|joints|every joint|this joint|hub|bell}|joint|joints|hub|jt|jts',
  tap: '{at|around|in} {tap|connection|tee|wye|branch}',
  transition:
    '{at|in} {transition|change|change of pipe|coupling|material change|pipe change}|transition',
};

/** Marks on a defect. */
export const MARK_SAYINGS: Sayings = {
  holdsDebris:
    '{hold|holds|holding|catch|catches|catching|caught|with|trapping|snagging|collecting} {debris|paper|solids|waste|sludge|wipes|stuff|toilet paper}|debris held|full of debris',
  soilVisible:
    '{soil|dirt|void|ground|earth|gravel bed} [is] {visible|showing|behind|behind it|outside|exposed}|{[can|you can|i can] see|looking at|see right to} {soil|dirt|earth|ground|gravel}|{exposed|visible} {soil|dirt|earth}',
  movesWithWater:
    '{moves|moving|sways|swaying|waves|waving} [with [the] water|in the flow|in the water]',
  ourDoing:
    'our doing|{we|i} did {this|that|it}|our [own] {hose|head|camera|water}|caused by {us|our camera|our head}|{we|i} {knocked|pushed|broke} it',
  measured: 'measured|tape measured|by measure',
  eye: 'by eye|eyeballed',
};

export const CERTAINTY_SAYINGS: Sayings = {
  'cannot-tell':
    '{cant|cannot|can not|could not|couldnt} {tell|say|be sure|make [it] out} [if|whether|what] [its|that is|thats|it is]|hard to {tell|say} [if|whether]|{cant|cannot|could not|couldnt} {tell|make out|say} what [{this|that|it} is|thats|its]|no idea what [{this|that|it} is|thats]',
  suspected:
    'maybe|perhaps|possible|possibly|probable|probably|suspect|suspected|looks like [it]|look like|might be|could be|may be|i think|i guess|think so|not sure|not sure {if|whether} [its|thats|that is|it is|theres]|unsure [if|whether]|{i would|id} say|not certain|seems|seems like|appears|appears to be|?',
  confirmed: 'confirmed|for sure|definitely|certain|no doubt',
};

export const SIDE_SAYINGS: Sayings = {
  near: 'near|near side|this side|toward {me|us|access|house}|behind me|before {this|here}|up to here|until here|back from here|back toward {me|us|access}',
  far: 'far|far side|beyond|from here|from here on|onward|onwards|past here|ahead|past this|other side|starts here|begins here',
};

/** The side of a boundary by the way the water goes; which that is follows from where the camera looks. */
export const STREAM_SAYINGS: Sayings = {
  upstream: 'upstream [side [of {this|here|it}]]|upstream of {this|here}',
  downstream: 'downstream [side [of {this|here|it}]]|downstream of {this|here}',
};

/** Where round the bore, by name; left and right as the lens sees them. */
export const HOUR_SAYINGS: Sayings = {
  '12': '[at|on|in|along|out of] {crown|top} [of pipe]|overhead|crown',
  '6': '[at|on|in|along|all along] {invert|bottom} [of pipe]|flow line|flowline',
  '9': '[at|on] left [hand] side|[at|on] the left',
  '3': '[at|on] right [hand] side|[at|on] the right',
};

export const JOINT_SAYINGS: Sayings = {
  coupling:
    'sleeve|sleeve coupling|coupling|no hub [coupling]|band|banded coupling|shielded coupling',
  smooth: 'smooth|smooth transition|smooth joint',
  lip: 'lip|ledge|step up|up step',
};

export const CRACK_DIRECTION_SAYINGS: Sayings = {
  along: 'along|along pipe|longitudinal|lengthwise|long ways',
  round: 'round|around|all around|around pipe|round pipe|circumferential|crossways|ring',
  multiple: 'every way|every direction|multiple directions|all directions',
};

export const TURN_SAYINGS: Sayings = {
  left: 'left|to left|turns left',
  right: 'right|to right|turns right',
  up: 'up|turns up',
  down: 'down|turns down|downward',
};
export const AID_SAYINGS: Sayings = { skid: 'skid|skids', guide: 'guide|guides|roller guide' };
export const PASS_SAYINGS: Sayings = {
  out: '[on] [the] way out|on out pass|out pass',
  back: '[on] [the] way back|on back pass|back pass',
};

/** Small words that carry the grammar. */
export const GRAMMAR_SAYINGS: Sayings = {
  opens:
    'starts|begins|starting|beginning|started|begin|start|opens|from here|starts here|begins here',
  closes:
    'ends|ending|end|stops|end of|stop|to here|ends here|stops here|up to here|until here|quits|clears up|out of {water|belly|it now|sag|pool}|clear of water|end of {water|belly|sag}',
  sees: '{can|could|i can|we can|you can} see [it] {now|again}|{clear|seen} {now|again}|back in view',
  blind:
    '{cant|cannot|can not|could not|couldnt} see [{a|one} thing|anything|it|much|past it]|no view|blind|unseen|lost view|lost picture|no visibility',
  blocked: 'blocked|blocked by|cannot locate|cant locate|no signal',
  serves: 'serves|serving|for|from|to|feeds|goes to|comes from|picks up',
  off: 'off|out|removed|taken off',
  head: '{small|big|large|mini|micro|new|other|self leveling|self levelling|standard|inch} [camera] head',
  lined: '[with a] liner|lined',
  noFootage: 'no footage|footage unknown|unknown footage|no reading',
  long: 'long|in length',
  left: 'left|remaining|remain|remains|to go|more|left to go|still to go|to main',
  depth: 'deep|depth|down',
  full: 'full|full of water|deep|of [the] way|of way',
  share:
    'of {bore|pipe|area|diameter|line|opening|inside}|{bore|pipe|blocked|restricted|restriction|loss|closed}|of it',
  whole:
    'full bore|full pipe|{fills|filling|plugging|blocks} [whole|entire] {pipe|bore}|{whole|entire} {pipe|bore}|fills it|fills pipe',
  height: 'high|tall|up|wide|thick|in size|across|open',
  aside: 'off|off {line|center}|away|to side|to left|to right|left|right',
  from: 'from|off|off of|from the',
  idle: '{good|bad} news|{has|have} had something|{not|isnt|aint} {as|so|too|that|quite as} bad|nothing {crazy|major|terrible|too bad|too crazy|too serious}|bone dry|nothing to worry about|{no|not a} big deal|nothing serious|or something [like that]|or whatever|starting to|starts to|started to|beginning to|begins to|a|an|[{at|to|in|on|from|around|by}] {back|front|side|rear|outside} of {house|home|building|property}|the|at|{at|by|near|to} house|of|is|it|its|and|with|here|ft|feet|foot|in|on|we|i|have|there|are|some|to|about|around|now|see|seen|got|by|x|reading|oclock|ok|okay|so|um|uh|well|right here|just|coming|up|maybe about|that|this|ive|weve|theres|thats|im|been|was|were|or|as|be|has|you|then|through|roughly|approximately|approx|call it|say|little|bit|bit of|out|going|goes|pipe|line|into|over|down|onto|from|until|pretty|really|very|quite|kind of|sort of|yeah|yep|man|alright|all right|looks|here is|heres|youve|hes|shes|where|like|right {there|at|on|near|by|over|around|about|around here|about here|about there|in here}|this one|that one|over here|in here|through here|up here|down here|around here|at this point|at this spot|any|these|those|them|they|which|too|also|even|still|got some|getting|show|shows|showing|can|nothing but|hello|hi|hey|thanks|thank you|sorry|bye|yes|cool|wow|oh|hmm|sure|called|call|do|does|for sure|footage|mark|spot|place|side of',
};
