import { roundTo, sayIn, sayPercent } from '../base/numbers';
import { type Finding, isLogged } from '../judge/finding';
import { fillRatioOf } from '../judge/severity/standing-water';
import type { DefectForm } from '../log/forms';
import type { DefectKind, SizeWord, WaterState } from '../log/vocabulary';

/** What was seen, in one sentence, with no number that is not in the log or computed from it. */
export function describeFinding(finding: Finding): string {
  if (finding.ruling?.wording) return finding.ruling.wording;
  if (!isLogged(finding)) return finding.says ?? '';
  const sentence = SEEN[finding.kind](finding);
  if (finding.ourDoing) return `${sentence} This inspection caused it.`;
  return sentence;
}

/** What it means for the house, in a sentence; none where the finding says so itself. */
export function explainFinding(finding: Finding): string[] {
  if (!isLogged(finding)) return [];
  const { kind, verified, causes } = finding;
  const isOpen = kind === 'standing-water' && (!verified || causes.length > 0);
  return [
    isOpen ? 'It may be a low stretch, or something farther down may hold the water.' : MEANS[kind],
  ];
}

/** A size that was said by a word is told by a word. */
const AMOUNTS: Record<SizeWord, string> = {
  trace: 'a trace',
  light: 'a little',
  moderate: 'part',
  heavy: 'much',
  full: 'nearly all',
};

const share = ({ facts }: Finding, of: string) => {
  if (facts.extentRatio === null) return '';
  if (facts.byWord !== null) return ` ${AMOUNTS[facts.byWord]} of the ${of}`;
  return ` about ${sayPercent(facts.extentRatio)} of the ${of}`;
};

/** How standing water was seen, to follow what was seen. */
const WHEN: Record<WaterState | 'unsaid', string> = {
  drained: ', after the line had drained',
  none: ', with no water running',
  draining: ', seen while the line was still draining',
  running: ', seen while water was running',
  unsaid: '; nobody said whether water was running',
};

function describeWater(finding: Finding): string {
  const { facts } = finding;
  const ratio = fillRatioOf(facts);
  const length = facts.lengthFt === null ? '' : `, over ${sayFeet(facts.lengthFt)}`;
  const depth = facts.depthIn === null ? '' : ` ${sayInches(facts.depthIn)} deep`;
  const fill = ratio === null ? '' : `, ${sayPercent(ratio)} of the pipe`;
  const filled =
    ratio === null
      ? ''
      : facts.byWord === null
        ? ` and fills ${sayPercent(ratio)} of the pipe`
        : ` and fills ${AMOUNTS[facts.byWord]} of the pipe`;
  const how = depth === '' ? filled : `${depth}${fill}`;
  const when = WHEN[finding.water?.state ?? 'unsaid'];
  const debris = facts.holdsDebris ? ' Waste settles in it.' : '';
  return `Water stands${how}${length}${when}.${debris}`;
}

function describeRoots(finding: Finding): string {
  const { facts } = finding;
  const fill = share(finding, 'pipe');
  const way =
    facts.locus === 'barrel'
      ? ' They come through the pipe wall, not at a joint.'
      : facts.locus === 'joint'
        ? ' They come in at a joint.'
        : '';
  const debris = facts.holdsDebris ? ' They hold waste.' : '';
  return `${fill ? `Roots fill${fill}.` : 'Roots grow into the pipe.'}${way}${debris}`;
}

const soil = (finding: Finding) => (finding.facts.soilVisible ? ' Soil can be seen.' : '');

const SEEN: Record<DefectKind, (finding: Finding) => string> = {
  'standing-water': describeWater,
  roots: describeRoots,
  offset: (f) =>
    (f.facts.offsetIn === null || f.facts.byWord !== null
      ? 'Two pipe ends do not line up.'
      : `Two pipe ends are out of line by ${sayInches(f.facts.offsetIn)}.`) + soil(f),
  gap: (f) =>
    (f.facts.gapIn === null || f.facts.byWord !== null
      ? 'A joint stands open.'
      : `A joint stands open by ${sayInches(f.facts.gapIn)}.`) + soil(f),
  crack: (f) => sayForm(f, 'The pipe wall is cracked.') + soil(f),
  break: (f) => sayForm(f, 'The pipe is broken.') + soil(f),
  hole: (f) => sayForm(f, 'There is a hole in the pipe wall.') + soil(f),
  collapse: () => 'The pipe has fallen in.',
  deformation: (f) =>
    f.facts.extentRatio === null || f.facts.byWord !== null
      ? 'The pipe is no longer round.'
      : `The pipe is squashed by about ${sayPercent(f.facts.extentRatio)} of its width.`,
  'intruding-tap': (f) => `A side pipe sticks${share(f, 'width') || ' some way'} into this one.`,
  scale: (f) => `Rust scale fills${share(f, 'pipe') || ' part of the pipe'}.`,
  grease: (f) => `Grease fills${share(f, 'pipe') || ' part of the pipe'}.`,
  debris: (f) => `Loose waste fills${share(f, 'pipe') || ' part of the pipe'}.`,
  mineral: (f) => `Hard mineral deposit fills${share(f, 'pipe') || ' part of the pipe'}.`,
  'wall-loss': (f) => sayForm(f, 'The bottom of the pipe is worn.'),
  spalling: (f) => sayForm(f, 'The concrete wall is wearing.'),
  lip: (f) =>
    f.facts.lipIn === null || f.facts.byWord !== null
      ? 'An edge stands up where two pipes meet.'
      : `An edge ${sayInches(f.facts.lipIn)} high stands up where two pipes meet.`,
  'coupling-failed': (f) => sayForm(f, 'The sleeve that joins two pipes has failed.') + soil(f),
  exfiltration: (f) => sayForm(f, 'Sewage leaks out of the pipe.') + soil(f),
  infiltration: (f) => sayForm(f, 'Ground water comes in through the pipe.'),
  'residue-line': () => 'A mark on the wall shows that water stood higher before.',
  vermin: () => 'There are signs of animals in the pipe.',
  'foreign-object': (f) =>
    `An object lies in the pipe${share(f, 'pipe') ? ` and fills${share(f, 'pipe')}` : ''}.`,
  unidentified: () => 'Something was seen that could not be named.',
  'utility-crossing': () => 'Another utility’s pipe or cable runs through the sewer.',
};

/** What a form looks like, in the buyer's words. */
const FORM_WORDS: Partial<Record<DefectKind, Partial<Record<DefectForm, string>>>> = {
  crack: {
    hairline: 'There is a hairline crack in the pipe wall.',
    open: 'There is an open crack in the pipe wall.',
    several: 'There are several cracks in the pipe wall.',
    displaced: 'The pipe wall is cracked and has moved out of place.',
  },
  break: {
    displaced: 'The pipe is broken and has moved out of place.',
    'wall-missing': 'The pipe is broken and part of its wall is missing.',
    'invert-missing': 'The pipe is broken and its bottom is missing.',
  },
  hole: {
    displaced: 'There is a hole in the pipe wall, and the wall round it has moved.',
    'wall-missing': 'There is a hole where part of the pipe wall is missing.',
    'invert-missing': 'There is a hole where the bottom of the pipe is missing.',
  },
  'wall-loss': {
    rough: 'The bottom of the pipe is rough.',
    pitted: 'The bottom of the pipe is pitted.',
    'invert-gone': 'The bottom of the pipe is worn through.',
  },
  spalling: {
    grains: 'The concrete wall sheds grains.',
    'stone-exposed': 'The concrete wall is worn until its stone shows.',
    hole: 'The concrete wall is worn through.',
  },
  'coupling-failed': {
    sealed: 'The sleeve that joins two pipes has failed, but still seals.',
    'gasket-in-bore':
      'The sleeve that joins two pipes has failed, and its rubber hangs into the pipe.',
  },
  exfiltration: {
    seep: 'Sewage seeps out of the pipe.',
    drip: 'Sewage drips out of the pipe.',
    run: 'Sewage runs out of the pipe.',
    'soil-washed': 'Sewage runs out of the pipe and has washed soil away.',
  },
  infiltration: {
    seep: 'Ground water seeps into the pipe.',
    drip: 'Ground water drips into the pipe.',
    run: 'Ground water runs into the pipe.',
  },
};

/** The sentence of a form, or what is said where no form was logged. */
function sayForm({ kind, facts }: Finding, otherwise: string): string {
  const forms = FORM_WORDS[kind as DefectKind];
  return (facts.form === null ? undefined : forms?.[facts.form]) ?? otherwise;
}

const MEANS: Record<DefectKind, string> = {
  'standing-water': 'Where water stays, waste and grease settle.',
  roots: 'Roots come back as long as the way in stays open.',
  offset: 'Solids can catch on the edge.',
  gap: 'Water can leak out and roots can get in.',
  crack: 'A crack lets roots in and can grow.',
  break: 'A broken pipe leaks and catches waste.',
  hole: 'A hole lets soil in and sewage out.',
  collapse: 'Nothing can pass a collapsed pipe for long.',
  deformation: 'A squashed pipe is under load and may crack.',
  'intruding-tap': 'It narrows the pipe and catches waste.',
  scale: 'Scale narrows the pipe and catches paper.',
  grease: 'Grease narrows the pipe and builds up.',
  debris: 'Waste that stays can build into a blockage.',
  mineral: 'The deposit narrows the pipe and catches paper.',
  'wall-loss': 'Iron wears thin from the bottom up.',
  spalling: 'Sewer gas eats concrete over the years.',
  lip: 'It can hold water back and catch solids.',
  'coupling-failed': 'It can leak and let roots in.',
  exfiltration: 'The pipe is open to the ground here, and what leaks out washes soil away.',
  infiltration: 'The pipe is open to the ground here.',
  'residue-line': 'The line may have been blocked farther down at some time.',
  vermin: 'Animals get in where a pipe is open.',
  'foreign-object': 'It can catch waste.',
  unidentified: 'It has to be cleaned and seen again before anyone can judge it.',
  'utility-crossing': 'A machine in this sewer could cut it. A cut gas line kills.',
};

/** A size in inches for a sentence ("0.5 inches", "1 inch"). */
function sayInches(sizeIn: number): string {
  return `${sayIn(sizeIn)} ${sayIn(sizeIn) === '1' ? 'inch' : 'inches'}`;
}

/** A length in whole feet for a sentence ("8 feet", "1 foot"). */
export function sayFeet(valueFt: number): string {
  const feet = roundTo(valueFt, valueFt < 1 ? 1 : 0);
  return `${feet} ${feet === 1 ? 'foot' : 'feet'}`;
}
