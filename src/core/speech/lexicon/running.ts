import type { Confirmation, EndReason } from '../../catalogue/vocabulary';
import type { Sayings } from './phrases';

/** The acts of a run. */
export const ACT_SAYINGS: Sayings = {
  note: 'note|remark',
  clear: 'clear',
  advise: 'advise|i advise|recommend|i recommend',
  flag: 'flag|flag this|flag it|mark this|come back to this|look at this later',
  correct:
    'correct|correction|fix|change|make that|make it|i mean|should be|no that is|no thats|no its',
  close: 'close',
  retract:
    'retract|undo|take back|take that back|scratch that|scrap that|strike that|strike|delete that|forget that|never mind|cancel that',
  home: 'home|back home|back at home|homecoming|back [out] at {flange|opening|face|access|zero|datum|cleanout|start|riser|toilet|vent|rim|the house}|back to {zero|the cleanout|start}|camera is home|head is home',
  locate: 'locate|located|locator|locating',
  stopped:
    'thats {the end|it} for {us|me|this direction|this way}|{im|i am|were|we are} {going to|gonna} {stop|quit|call it} {here|there}|{we|im|camera|head|cameras|heads|were} [is|are] {stuck|hung up|stopped|stops|stopping}|{were|we are|im|i am|thats} done [{right|} here|for this run]|{wont|will not} {go|push|get|make it} [any {farther|further}|past|through|over|by|around] [that|this|it]|end of {inspection|scope|video|survey}|not reached|did not reach|didnt reach|never reached|stopped|stops here|end of run|ends here|run ends|{as|that is as} far as {it|we|i|she|camera} {goes|go|will go|can go}|{as|thats as} far as {it|we|i|she|shell|ill|itll|well} [will] go|{cant|cannot|can not|could not|couldnt} {get|go|push} [past|farther|further|through|any farther|any further|by]|{cant|cannot} push',
  setup: 'set up|setup|change head|changed head|switched to|switch to|swapped to|put on',
  test: 'flow test|test|tested|testing|flush|flushed|flushing|ran|run the|running the|they ran|filled',
  photo: 'photo|picture|still|take a picture',
  voice: 'voice',
};

export const END_SAYINGS: Sayings<EndReason> = {
  main: 'main|{takes|brings|gets|got|carries} {us|me|you} [right|all the way] to [city|street] main|mains at|[i|i can|we|can] see {main|city main}|{made it|got} [all the way|out] to [city|street] main|{hit|hitting|at|in|into|in the} main|{city|public} sewer main|city main|public main|sewer main|city sewer|public sewer|main line sewer|main sewer|the main',
  tank: 'tank|septic|septic tank',
  join: 'join|joins|joins other line',
  vent: 'vent',
  obstruction:
    'obstruction|obstructed|blocked|blockage|stuck|plug|plugged|jammed|wall of {debris|roots}',
  'lost-push':
    '{end|out|limit} of {my|our|the} {rod|cable|push rod|hose|reel|push}|lost push|no push|out of {push|rod|cable|hose}|friction|no more {push|rod|cable}|ran out of {rod|cable|push}|lost the push',
  trap: 'trap|house trap|p trap',
  bend: 'bend|elbow|sharp bend|tight bend',
  unsafe: 'unsafe|not safe|danger|dangerous',
  other: 'other reason',
};

export const CONFIRM_SAYINGS: Sayings<Confirmation> = {
  none: 'not confirmed|unconfirmed|not sure|unsure|maybe|think so|i think|probably|?',
  locate: '[by|with] {locate|locator}|located',
  sight:
    'seen|by sight|sighted|in sight|visible|confirmed|{i|we} see it|{can|i can|we can} see it|see it|see main|saw it|looking at it|{i|i can|we|can} see {main|city main}',
};

/** States of the water. */
export const WATER_SAYINGS: Sayings = {
  running:
    '{here|there} {comes|goes} water|water [is] coming through|{water|hose} [is] {on|running}|{turn|turned} {water|hose} on|{run|running|start|started|turn on|turned on} {water|hose}|put water in',
  draining:
    '{let|letting} {it|water|line|pipe} drain [down|out]|{water|waters|hose} [is] {off|stopped|draining|shut off|turned off}|{turn|turned|shut} {water|hose} off|{stop|stopped|turn off|turned off|shut off|shut} {water|hose}|draining|[line|pipe] draining|waiting for [it|water] to drain',
  none: 'no water [is|was] {running|moving|flowing}|{nobody|no one|nobodys} [is|was] running [any] water|no water [is|was] being {run|used}|no water on|nothing running',
  drained:
    'drained|[its|line|pipe|water] [is|has] drained|drained {out|down}|water [is|has] [all] {gone|gone down|drained|drained out}',
};

export const RESULT_SAYINGS: Sayings = {
  'backs-up':
    'backs up|backed up|backing up|rises|rising|rose|overflows|overflowed|came back up|backs-up',
  slow: 'slow|slowly|sluggish|drains slow|runs slow|drains slowly',
  'not-seen': 'not seen|never came|nothing came|{did not|didnt} see [it]|nothing seen',
  clears:
    'clear|clears|cleared|runs {clear|free|away|through|fine}|fine|ok|okay|good|briskly|passes|passed|goes through|went {by|through|right by|right through}|no problem|drains [fine|well]',
};

/** Fixtures whose names start a flow test when a result follows. */
export const FIXTURE_SAYINGS =
  '[kitchen|bath|bathroom|hall|master|guest|laundry|upstairs|downstairs|powder room|utility|half bath] {sink|toilet|tub|shower|lavatory|bathtub|basin}|washer|washing machine|laundry|dishwasher|floor drain|disposal|kitchen|commode';
