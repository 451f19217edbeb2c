import { roundTo, sayIn, sayPercent } from '../base/numbers';
import { type Finding, isLogged } from '../judge/finding';
import { fillRatioOf } from '../judge/severity/standing-water';
import type { DefectKind } from '../log/vocabulary';

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

const share = (finding: Finding, of: string) =>
  finding.facts.extentRatio === null
    ? ''
    : ` about ${sayPercent(finding.facts.extentRatio)} of the ${of}`;

function describeWater(finding: Finding): string {
  const { facts } = finding;
  const ratio = fillRatioOf(facts);
  const length = facts.lengthFt === null ? '' : `, over ${sayFeet(facts.lengthFt)}`;
  const depth = facts.depthIn === null ? '' : ` ${sayInches(facts.depthIn)} deep`;
  const fill = ratio === null ? '' : `, ${sayPercent(ratio)} of the pipe`;
  const deepFill =
    depth === '' && ratio !== null ? ` and fills ${sayPercent(ratio)} of the pipe` : fill;
  const when = finding.verified
    ? ', after the line had drained'
    : ', seen before the line had drained';
  const debris = facts.holdsDebris ? ' Waste settles in it.' : '';
  return `Water stands${depth}${depth ? fill : deepFill}${length}${when}.${debris}`;
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
    (f.facts.offsetIn === null
      ? 'Two pipe ends do not line up.'
      : `Two pipe ends are out of line by ${sayInches(f.facts.offsetIn)}.`) + soil(f),
  gap: (f) =>
    (f.facts.gapIn === null
      ? 'A joint stands open.'
      : `A joint stands open by ${sayInches(f.facts.gapIn)}.`) + soil(f),
  crack: (f) => `${crackWords(f.facts.form)}${soil(f)}`,
  break: (f) => `${breakWords(f.facts.form)}${soil(f)}`,
  hole: (f) => `There is a hole in the pipe wall.${soil(f)}`,
  collapse: () => 'The pipe has fallen in.',
  deformation: (f) =>
    f.facts.extentRatio === null
      ? 'The pipe is no longer round.'
      : `The pipe is squashed by about ${sayPercent(f.facts.extentRatio)} of its width.`,
  'intruding-tap': (f) => `A side pipe sticks${share(f, 'width') || ' some way'} into this one.`,
  scale: (f) => `Rust scale fills${share(f, 'pipe') || ' part of the pipe'}.`,
  grease: (f) => `Grease fills${share(f, 'pipe') || ' part of the pipe'}.`,
  debris: (f) => `Loose waste fills${share(f, 'pipe') || ' part of the pipe'}.`,
  mineral: (f) => `Hard mineral deposit fills${share(f, 'pipe') || ' part of the pipe'}.`,
  'wall-loss': (f) =>
    f.facts.form === null
      ? 'The bottom of the pipe is worn.'
      : `The bottom of the pipe is ${/gone|invert|missing/.test(f.facts.form) ? 'worn through' : f.facts.form.replace(/-/g, ' ')}.`,
  spalling: (f) =>
    f.facts.form === null
      ? 'The concrete wall is wearing.'
      : `The concrete wall is wearing: ${f.facts.form.replace(/-/g, ' ')}.`,
  lip: (f) =>
    f.facts.lipIn === null
      ? 'An edge stands up where two pipes meet.'
      : `An edge ${sayInches(f.facts.lipIn)} high stands up where two pipes meet.`,
  'coupling-failed': (f) => `The sleeve that joins two pipes has failed.${soil(f)}`,
  infiltration: () => 'Ground water comes in through the pipe.',
  'residue-line': () => 'A mark on the wall shows that water stood higher before.',
  vermin: () => 'There are signs of animals in the pipe.',
  'foreign-object': (f) => `An object lies in the pipe${share(f, 'pipe') ? ` and fills${share(f, 'pipe')}` : ''}.`,
  unidentified: () => 'Something was seen that could not be named.',
  'utility-crossing': () => 'Another utility’s pipe or cable runs through the sewer.',
}; // prettier-ignore

function crackWords(form: string | null): string {
  if (form === null) return 'The pipe wall is cracked.';
  if (/hair|fine/.test(form)) return 'There is a hairline crack in the pipe wall.';
  if (/several|multiple|many/.test(form)) return 'There are several cracks in the pipe wall.';
  if (/displac/.test(form)) return 'The pipe wall is cracked and has moved out of place.';
  return 'There is an open crack in the pipe wall.';
}

function breakWords(form: string | null): string {
  if (form === null) return 'The pipe is broken.';
  if (/invert/.test(form)) return 'The pipe is broken and its bottom is missing.';
  if (/wall|missing/.test(form)) return 'The pipe is broken and part of its wall is missing.';
  return 'The pipe is broken and has moved out of place.';
}

const MEANS: Record<DefectKind, string> = {
  'standing-water': 'The pipe has sunk here, so waste and grease can settle.',
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
