import { gapBetweenFt, type Interval } from '../base/interval';
import { sayPercent } from '../base/numbers';
import { TOLERANCES } from '../base/tolerances';
import { hasTrait } from '../catalogue/defects/kinds';
import { showsSoil } from '../catalogue/severity/bounds';
import type { Action, Reason, Severity } from '../catalogue/severity/grade';
import type { DefectFacts } from '../catalogue/severity/table';
import type { Thresholds } from '../catalogue/severity/thresholds';
import type { Certainty } from '../catalogue/vocabulary';
import type { Zone } from '../catalogue/zones';
import { PAVED_ZONES } from '../lateral/zones';
import type { WaterCheck } from '../measure/water';
import type { Profile } from '../model/job/job';
import { SEEN_WHILE } from './provisos';

/** What the choice of action looks at, beyond the defect itself. */
export type ActionContext = {
  readonly severity: Severity;
  readonly facts: DefectFacts;
  readonly certainty: Certainty;
  /** What the water did when standing water was seen; `null` of anything else. */
  readonly water: WaterCheck | null;
  readonly ourDoing: boolean;
  readonly zone: Zone | null;
  readonly span: Interval;
  readonly profile: Profile;
  readonly households: number;
  /** Where the line's runs were stopped by an obstruction. */
  readonly obstructionsFt: readonly number[];
  /** Whether a fixture's water backed up. */
  readonly backsUp: boolean;
  /** Whether a lip at its downstream end holds this pool. */
  readonly heldByLip: boolean;
  readonly thresholds: Thresholds;
};

/** Why a finding blocks the flow, or `null` when it does not. Standing water alone never blocks. */
export function blockageOf(
  context: Pick<
    ActionContext,
    'severity' | 'facts' | 'span' | 'obstructionsFt' | 'backsUp' | 'thresholds'
  >,
): string | null {
  const { facts, severity, span } = context;
  if (facts.kind === 'collapse') return 'a collapse blocks the flow';
  if (facts.kind === 'standing-water') return null;
  const fills = facts.kind === 'roots' || hasTrait(facts.kind, 'deposit');
  if (fills && (facts.extentRatio ?? 0) > context.thresholds.blockedAbove) {
    return `more than ${sayPercent(context.thresholds.blockedAbove)} of the pipe is filled`;
  }
  if (severity !== 'failed') return null;
  const stopped = context.obstructionsFt.some(
    (stationFt) =>
      gapBetweenFt(span, { fromFt: stationFt, toFt: stationFt }) <= TOLERANCES.atObstructionFt,
  );
  if (stopped) return 'the camera was stopped here';
  return context.backsUp ? 'fixture water backed up' : null;
}

function chooseByTable(context: ActionContext): { action: Action; reason: Reason } {
  const { severity, facts, profile } = context;
  const { kind } = facts;
  const renew = profile === 'renew-first';
  const said = (action: Action, text: string) => ({
    action,
    reason: { rule: `action-${severity}-${action}`, text },
  });
  if (severity === 'slight') {
    return hasTrait(kind, 'cleaned-when-slight')
      ? said('upkeep', 'slight, and cleaning holds it')
      : said('monitor', 'slight: look again when the line is next opened');
  }
  if (severity === 'moderate') {
    const held =
      kind === 'roots' ||
      hasTrait(kind, 'deposit') ||
      (kind === 'standing-water' && context.heldByLip);
    if (renew && (kind === 'roots' || hasTrait(kind, 'structure'))) {
      return said('repair', 'moderate: Renew first repairs roots and structure at this grade');
    }
    return held
      ? said('upkeep', 'moderate, and upkeep holds it')
      : said('monitor', 'moderate: watch it, no work yet');
  }
  if (severity === 'major') {
    if (hasTrait(kind, 'deposit')) return said('upkeep', 'major, but cleaning removes it');
    const roomy =
      kind === 'roots' &&
      (facts.boreIn ?? 0) >= context.thresholds.roomyBoreIn &&
      context.households <= 1;
    if (!renew && roomy) {
      return said('upkeep', `major, but in a ${facts.boreIn} in pipe that serves one household`);
    }
    return said('repair', 'major: it calls for repair');
  }
  return said('repair', 'failed: it calls for repair');
}

/** Why a failed finding cannot wait, or `null` when it can. */
function urgencyOf(context: ActionContext): Reason | null {
  const { facts, severity, zone } = context;
  if (facts.kind === 'utility-crossing') {
    const text = 'people are at risk: stop, pull back, do not cut or jet, and call the utility';
    return { rule: 'urgent-utility', text };
  }
  const blocked = blockageOf(context);
  if (blocked !== null) return { rule: 'urgent-blocked', text: `urgent: ${blocked}` };
  if (severity === 'failed' && showsSoil(facts) && zone !== null && PAVED_ZONES.includes(zone)) {
    const text = 'urgent: soil is visible under a pavement, which may sink';
    return { rule: 'urgent-soil', text };
  }
  return null;
}

/** Whether a size was said that grades only against the diameter, which nobody said. */
function lacksBore({ boreIn, offsetIn, lipIn, depthIn, fillRatio }: DefectFacts): boolean {
  if (boreIn !== null) return false;
  return offsetIn !== null || lipIn !== null || (depthIn !== null && fillRatio === null);
}

/** What to do about a finding, by severity and judgement profile. */
export function chooseAction(context: ActionContext): {
  readonly action: Action;
  readonly because: readonly Reason[];
} {
  const { facts, certainty } = context;
  if (context.ourDoing) {
    const text = 'no action, because this inspection caused it; the house is not charged with it';
    return { action: 'none', because: [{ rule: 'our-doing', text }] };
  }
  const urgent = urgencyOf(context);
  const lookAgain = (rule: string, text: string) => ({
    action: 'look-again' as const,
    because: [{ rule, text }],
  });
  if (facts.kind === 'utility-crossing') return { action: 'urgent', because: [urgent!] };
  if (facts.kind === 'unidentified') {
    return lookAgain('look-unidentified', 'nobody could name it: clean and look again');
  }
  if (certainty === 'cannot-tell') {
    return lookAgain('look-cannot-tell', 'it could not be told for certain: clean and look again');
  }
  if (context.water !== null && !context.water.verified) {
    const text = `${SEEN_WHILE[context.water.state ?? 'unsaid']}: drain the line and look again`;
    return lookAgain('water-unverified', text);
  }
  if (urgent) return { action: 'urgent', because: [urgent] };
  if (lacksBore(facts)) {
    const text = 'its size was said, and how wide the pipe is was not: it cannot be judged yet';
    return lookAgain('look-no-diameter', text);
  }
  const { action, reason } = chooseByTable(context);
  return { action, because: [reason] };
}
