import type { Interval } from '#core/base/interval';
import { sayFt, sayIn, sayPercent } from '#core/base/numbers';
import { nameDefect, nameFinding } from '#core/catalogue/defects/kinds';
import { nameMaterial } from '#core/catalogue/materials/kinds';
import { nameZone } from '#core/catalogue/zones';
import type { Rejudged } from '#core/judge/compare';
import type { Finding } from '#core/judge/finding';
import { RULES } from '#core/judge/rules/index';
import type { LineNames } from '#core/lateral/line-names';
import { ACTION_WORDS } from '#core/report/words';

/** Where a finding lies, short. */
export function sayPlace(
  { span, placed, inRiser, isPlaceUnsaid, lineId }: Finding,
  names: LineNames,
): string {
  if (inRiser) return `in the riser${names.on(lineId)}`;
  if (!placed) return 'not placed';
  const feet = sayStretch(span);
  return `${isPlaceUnsaid ? 'somewhere within ' : ''}${feet}${names.on(lineId)}`;
}

/** Feet of a stretch, short: one footage for a point. */
function sayStretch({ fromFt, toFt }: Interval): string {
  return toFt - fromFt < 0.05 ? `at ${sayFt(fromFt)} ft` : `${sayFt(fromFt)} to ${sayFt(toFt)} ft`;
}

/** What is known of a finding, as rows of name and value. */
export function sayFacts(finding: Finding, names: LineNames): (readonly [string, string])[] {
  const { facts, clock, locus, zone } = finding;
  const size: (readonly [string, string | null])[] = [
    ['Depth', facts.depthIn === null ? null : `${sayIn(facts.depthIn)} in`],
    ['Fill', facts.fillRatio === null ? null : `${sayPercent(facts.fillRatio)} of the pipe`],
    ['Share', facts.extentRatio === null ? null : sayPercent(facts.extentRatio)],
    ['Offset', facts.offsetIn === null ? null : `${sayIn(facts.offsetIn)} in`],
    ['Gap', facts.gapIn === null ? null : `${sayIn(facts.gapIn)} in`],
    ['Lip', facts.lipIn === null ? null : `${sayIn(facts.lipIn)} in`],
    ['Form', facts.form?.replace(/-/g, ' ') ?? null],
    [
      'Length',
      facts.lengthFt === null || facts.lengthFt < 0.05 ? null : `${sayFt(facts.lengthFt)} ft`,
    ],
    [
      'Clock',
      clock ? (clock.from === clock.to ? `${clock.from}` : `${clock.from} to ${clock.to}`) : null,
    ],
    ['Comes in at', locus],
    ['Holds debris', facts.holdsDebris ? 'yes' : null],
    ['Soil visible', facts.soilVisible ? 'yes' : null],
    ['Lies under', zone ? nameZone(zone).toLowerCase() : null],
    ['Side', finding.placed ? finding.responsibleSide : null],
    [
      'Place',
      finding.placed
        ? `${sayPlace(finding, names)} ±${sayFt(finding.sigmaFt)}`
        : sayPlace(finding, names),
    ],
    ['Seen in', finding.runIds.join(', ') || null],
  ];
  return size.filter((row): row is readonly [string, string] => row[1] !== null);
}

const BECAUSE = new Map(RULES.map(({ id, when, because }) => [id, { when, because }]));

/** Why a rule says what it says; `null` for what the severity table says by itself. */
export const becauseOfRule = (rule: string) => BECAUSE.get(rule) ?? null;

/** What became of a finding, in a sentence. */
export function sayRejudged(change: Rejudged): string {
  const name = `Finding ${change.number}, ${nameFinding(change.kind).toLowerCase()} at ${sayFt(change.atFt)} ft`;
  if (change.change === 'new') {
    const [first] = change.because;
    return `${name}: new. ${first ? `${first.charAt(0).toUpperCase()}${first.slice(1).replace(/\.$/, '')}.` : ''}`.trim();
  }
  if (change.change === 'gone') return `${name}: gone.`;
  const parts: string[] = [];
  if (change.material)
    parts.push(
      `${nameMaterial(change.material[0] as never)} → ${nameMaterial(change.material[1] as never)}`,
    );
  if (change.severity) parts.push(`${change.severity[0]} → ${change.severity[1]}`);
  if (change.action)
    parts.push(`${ACTION_WORDS[change.action[0]]} → ${ACTION_WORDS[change.action[1]]}`);
  if (change.provisional)
    parts.push(change.provisional[1] ? 'now provisional' : 'no longer provisional');
  if (!change.severity && !change.action && !change.provisional) parts.push('other advice');
  return `${name}: ${parts.join(', ')}.`;
}

/** The name of a cause: a defect's in the trade's words, else as it stands. */
export const nameCause = (cause: string) =>
  cause === 'belly' ? 'Belly' : nameDefect(cause as never);
