import type { MethodId } from '../../catalogue/method-ids';
import type { SizeWord } from '../../catalogue/vocabulary';
import type { Sayings } from './phrases';

/** Words over a clause: they say how the thing named is meant, and are no thing themselves. */
export const OPERATOR_SAYINGS = {
  /** The thing named is not here. */
  not: 'no|nobody|no one|not|never|do not|dont|did not|didnt|does not|doesnt|without|none|nothing|neither|nor|free of|clear of|clean of|no {sign|signs|evidence|trace|hint} of|nothing like|no {more|other|visible|real|active|obvious}|{do not|dont|did not|didnt|does not|doesnt|cant|cannot|can not|couldnt|not|never|havent} {see|seeing|seen|saw|find|finding|notice|have|got|look like|appear to be} [any|it as|anything like]|{is not|isnt|was not|wasnt|are not|arent|aint} [any|really|a sign of]|{havent|have not|hasnt|has not} [seen|found|got] [any]|nowhere|not {any|really|enough}',
  /** Water that is none of the line's. */
  elsewhere:
    '{oak|maple|pine|willow|elm|palm} {street|avenue|ave|drive|road|lane|court|job|house|place|way|one}|water {comes up|rises|goes up|came up|rose} [and|then|and then] {drops|dropped|goes down|went down|falls}|water level {drops|dropped}|water {bill|heater|meter|pressure|company|department|main|line|softener|bottle|shutoff|valve|service|bottles|break}',
  /** Somebody is about to do something, or is asked to. */
  intended:
    '{run|turn on|start|pour|put} {some|more|a little} water|{tell|ask} {them|him|her|somebody|someone|the owner|the agent}|{pull|pulling} back|back {up|it up}|push {forward|on|ahead}|go {back|forward}|come back|{coming|heading|head|headed|going} [on] [back] home|turn {it|that|volume|light|lights|camera|head|sound|around} [up|down|on|off|around]|lets|let {me|us|her|him|it}|gonna|{im|i am|we are|hes|shes|theyre} {going to|gonna|about to|trying to}|going to|about to|trying to|try to|try and|want to|wanna|{can|could|would|will} you|please|go ahead [and]|hold {on|up|it}|hang on|wait|give {me|it} [a]|i {need to|have to|got to|gotta|want to|will|must|should}|we {need to|have to|got to|gotta|will|should|might}|ill|gotta|{make|making} sure|see {if|whether|how|where}|check {if|whether|for|on}|in case|remember to|remind me|dont forget|as soon as|until we|when we|once we|before we|{dont|do not} {flush|run|turn|use|touch|move|push|pull|open|stop|drop|hit}|keep {going|pushing|coming|it running}|bring {her|him|it} [back]|not going to be able to|stand by',
  /** It was so once, or was done once. */
  past: '{used to|would have} be|[my|our|the] {last|previous|other} {job|house|one|place}|used to|last {time|year|month|week|night|spring|summer|fall|autumn|winter|inspection|scope|visit|fall}|{year|years|month|months|week|weeks|day|days} {ago|back|before}|ago|previously|back in|in the past|[earlier] this {morning|week|spring|summer|year}|earlier today|yesterday|{seller|owner|homeowner|agent|tenant|realtor|neighbor|they|he|she|client|buyer|lady|gentleman|guy|man|woman|wife|husband|landlord|previous owner|folks|people} {says|say|said|told [me|us]|mentioned|reports|reported|claims|claimed}|{i|we} {was|were} told|according to|{they|seller|owner|he|she|somebody|someone|previous owner} {had|have|did|got|has} [it|them|this|that|the line|the roots]|before we {got|came|arrived|started}|right before {we|i|you} {got|came|started|arrived}|recently|supposedly',
  /** Past when something was done, and else no more than a verb. */
  was: 'already|been|was|were|got|had been|has been|have been|had it|had them|had the line|had',
  /** The thing named is on the way to, and not here. */
  toward:
    '[i] {dont|do not|didnt|did not} {think|believe} [{its|thats|that is|it is|those are|theres|there is|this is|there are|that}]|{worried|concerned|curious|asking|asked|asks|wondering|nervous|talking|talked|complaining|complained|afraid} [about|of]|[on [my|our|the]] way to|toward|towards|{heading|headed|going|moving|pushing|working} {toward|towards|to|for|on to|out to|on toward}|on to|making my way [to]|{looking|look|searching|hunting|checking|check|watching} for|{almost|nearly|not quite|just about} {to|at|there|out}|{couldnt|could not|cant|cannot|can not|didnt|did not|unable to|never} {find|locate|reach|get to|make it to}|{have not|havent} {found|reached|gotten to|got to|hit|seen|made it to}|{getting|coming|closing} {close|near|closer|in|up} {to|on|toward}|approaching|en route to|{close|next|adjacent} to|short of|{few|couple} [more] feet {from|to|before}|where is|wheres|any sign of',
  /** Says where: the thing named is only a landmark. */
  beside:
    '{behind|past|before|after} {that|this}|[just|right|a little|a bit|little] {past|before|after|beyond|upstream of|downstream of|ahead of|behind|this side of|short of}|{feet|foot|ft|inches} {past|before|after|upstream of|downstream of|from}|next to|between the|near the|close by|by the|beside the|behind the|in front of|at the edge of|along the',
  /** It was looked at and found good. */
  good: '[pretty|real|really|very|all|nice and|still] {good|great|clean|sound|perfect|spotless|beautiful|solid|clear|nice}|{looks|look|looking|looked|is|its|all|everythings|everything is|everything looks} [pretty|real|really|very|so far|nice and|nice|all] {good|great|clean|fine|sound|perfect|spotless|beautiful|solid|clear|nice|okay}|[in] {good|great|fine|excellent|decent|nice} {shape|condition|order}|like new|[{looks|look|is}] brand new|nothing wrong|no {issues|problems|defects|trouble|damage|concerns|complaints|worries} [at all]|{joint|joints} [is|are] {fine|okay|ok}|{issue|trouble|problem|defect} free|all clear|nothing to {report|note|see}',
  /** Water goes through as it should. */
  flows:
    '[waters] {draining|drains|flowing|flows|moving|running|runs} [really|real|pretty|very|along] {well|good|great|freely|nicely|right by|right through|right past|right along|straight through|fine|along nicely}|{water|waters} {goes|went|runs|ran|flows|moves|is going|is running|is flowing|is moving|moving|flowing|going} {right|straight|on} {by|through|past|down|out}|water {goes|moves|flows} {by|through}|{good|great|nice|strong|steady} flow|flow is {good|great|strong|fine}|{drains|draining} {out|away} {well|good|fine|nicely|right away}|{drains|drained|draining} {right|straight} {out|through|down|away}|{it|that|water} [all] {went|came} {by|through|right by|right through|right down|straight through}|[it|water] {goes|went|going} down {fine|good|well|nicely|okay}',
  /** Anything at all, in a denial. */
  anything:
    'anything|issue|issues|problem|problems|defect|defects|damage|trouble|concern|concerns|thing wrong|anything wrong|blockage|blockages|restriction|restrictions|obstruction|obstructions',
  /** A new thing is said from here on. */
  breaks: 'but|then|also|and then|except|except for|otherwise|however|plus|although|though|anyway',
  /** Another one of what was said last. */
  again:
    'another|another one|one more|ones|some more|more of {them|it|that|the same}|same {thing|here|again}|same|again',
  either: 'or|either|whether|or maybe|or else|or it could be|versus',
  /** Where the counter was set. */
  zeroed:
    '{zeroed|zeroing|set zero|zero set|{meter|meters|counter|counters|footage|footages} [is] {at|to|reads|reading} zero|counter [is] set {to|at} zero|set to zero|counter to zero|zero on the counter|{footage|counter|reading} [is] zero|counter zeroed|zeroed [it] out|zeroed the counter|counter is zero|counter at zero|zero [is] {at|on} {cap|rim|top|face|flange|cleanout|opening|riser|edge}|footage zeroed|reset the counter}',
  /** Something that nobody has a word for. */
  odd: 'weird|odd|strange|funny|funky|{sticking|hanging|poking|coming|jutting} {out|down|up|in|through}|some kind [of]|some sort [of]|kind of thing|thing|object|bulge|bump',
} as const satisfies Sayings;

/** How much, by a word. */
export const DEGREE_SAYINGS: Sayings<SizeWord> = {
  trace:
    '[just|only] [a] {trace|hint|touch|speck} [of]|{barely|hardly} any|traces [of]|tiny [bit of]|very {slight|minor|light|little}|just a few',
  light:
    'slight|slightly|minor|light|small|[just] a little [bit] [of]|little bit [of]|bit of|mild|minimal|couple [of] [small|little|minor]|lightly',
  moderate:
    'some|moderate|moderately|medium|{decent|fair|good} {amount [of]|size|sized}|pretty good|noticeable|fairly',
  heavy:
    '[really|very|pretty|real|super|fairly] {heavy|large|bad|serious|severe|big|major|massive|significant|huge|thick|nasty|ugly|heavily|extensive|terrible|badly}|lots [of]|{a lot|whole lot|ton|tons|bunch|loads} [of]|pretty {bad|big|heavy}|quite a {bit|lot} [of]|serious',
  full: 'full of|blocked [with|by]|shut|completely|totally|plugged [with|by|up] [with]|packed [with|full of]|choked [with|by|off]|solid with|full|clogged [with|by|up] [with]',
};

/** What is to be done, by the method it is. */
export const DOES_SAYINGS: Sayings<MethodId | 'monitor' | 'other'> = {
  'patch-liner':
    '{patch|patched|patching|spot liner|spot line|spot lined|patch liner|sectional liner|short liner|point repair liner|point repair}',
  liner:
    'line {it|this|that|them|from|everything|clay|the clay|the whole}|{lined|lining|relined|reline|relining|liner|pipe lining|cured liner}',
  'look-again':
    '{look [at it|at this|at that] again|re scope|re-scope|re-camera|re-check|re-inspect|rescope|rescoped|rescoping|re camera|scope it again|scoped again|camera it again|camerad again|cameraed again|re inspect|reinspect|reinspected|second look|another look|re check|recheck|rechecked|re look|looked at again|seen again|scope again|camera again}',
  'second-opinion':
    '{second opinion|looked at [by]|look at [it|this|that]|{further|be} evaluated|evaluated|evaluate [it|this]|evaluation|assess|assessed|engineer|opinion|checked out [by]|check it out|come out}',
  monitor:
    '{keep eye on|keeping eye on|keep watching|keep checking|monitor|monitored|monitoring|keep eye on|keeping eye on|watch|watched|keep watching|keep checking|checked {every|each} year}',
  'treat-roots':
    '{treat|treated|treatment|foam|foamed|foaming|root killer|herbicide|root treatment|chemically treated}',
  cut: '{cut|{run|running|put|putting|send|shove|stick} {cutter|snake|cable|auger|blade}|cutter|run cable|cutting|cuts|root cut|cut out|cut back|snake|snaked|snaking|auger|augered|rooter|rootered|root cutting|cable|cabled|cabling|rodded|rodding}',
  jet: '{{run|running|put|putting|send|stick} jetter|jetter|jet|jetted|jetting|jets|hydro jet|hydrojet|hydro jetted|hydrojetted|hydro jetting|water jetted|clean|cleaned|cleaning|cleaned out|clean out|clean it out|cleared|flushed out}',
  descale:
    '{descale|descaled|descaling|de scale|de scaled|chain knock|chain knocked|milled|scale removed}',
  'ramp-lip':
    '{ramp|ramped|grind|grinding|ground down|grind down|ground off|grind off|ground smooth|shave|shaved down}',
  'slab-break': '{break the slab|slab broken|opened up through the slab|break up the slab}',
  reroute: '{reroute|rerouted|re route|rerouting|run a new line|new route}',
  burst: '{pipe burst|bursting|pipe bursting|burst}',
  'raise-riser':
    '{raise|raised|raising|bring up to grade|brought up to grade|bring it up to grade|extend [it] up}',
  cleanout:
    '{install cleanout|add cleanout|put in cleanout|put cleanout in|new cleanout|cleanout {installed|added|put in}|cleanout|clean out}',
  dig: '{dig|dug|digging|dig up|dug up|dig it up|dig here|excavate|excavated|excavating|excavation|replace|replaced|replacing|replacement|spot repair|spot repaired|open trench|new pipe}',
  other:
    '{repair|repaired|repairing|repairs|fix|fixed|fixing|address|addressed|work|attention|taken care of|corrected|dealt with|sealed|seal|capped|cap}',
};

/** How somebody is told that something ought to be done about it. */
export const ADVISED_SAYINGS: Sayings<'recommends' | 'ought' | 'would' | 'against'> = {
  against:
    '{nobody|no one} should [be]|{wouldnt|would not|shouldnt|should not|neednt|need not} [be|have|get]|i {would not|wouldnt|do not|dont} {recommend|suggest|advise}|{do not|dont|doesnt|does not} {need|want} [to [be]]|no need {for|to} [be]|{dont|do not} bother [with]|{advise|recommend} against|not worth',
  recommends:
    '[i|id|would|we] {recommend|suggest|advise} [having|getting|that]|i am going to recommend|im {recommending|suggesting}|recommendation is|my advice [is]|{keep|keeping} eye on|keep {watching|checking}',
  ought:
    'should|should {be|get|have} [to be]|{needs|need|needing} [to [be|get|have]]|{will|theyll|youll|going to|gonna} need [to [be|get|have]]|[someones|somebodys|theyre|youre|they are|you are] {going to|gonna} have to [be|get]|{will|theyll|youll} have to [be|get]|ought to [be]|{has|have} {to|got to} be|must be|could use|{have|get} {somebody|someone|them|a plumber|plumber|a contractor|contractor|him} [to|come]|have {it|this|that}|get {it|this|that|these|those}|best {to|thing}|better to|{due|candidate|time|ready} for|{wants|want} to be|wants|they need [to]|you need to have|budget for|get a {quote|price} on',
  would: 'id|would|would be|i would',
};
