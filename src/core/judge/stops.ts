import { type Interval, overlaps, unite } from '../base/interval';
import { TOLERANCES } from '../base/tolerances';
import type { Material } from '../catalogue/materials/index';
import { isPipeOf } from '../catalogue/materials/kinds';
import type { MethodId } from '../catalogue/method-ids';
import type { Lateral } from '../lateral/lateral';
import type { Segment } from '../lateral/segments';
import type { Advice, Finding } from './finding';

export const STOPS = ['utility', 'asbestos', 'fiber', 'thin-iron'] as const;
export type StopId = (typeof STOPS)[number];

/**
 * What must not be done to a stretch, whatever else is advised there: a danger to people, or the end of the
 * pipe. Data with a role of its own, applied after every rule and every word of the inspector, so that
 * nothing can lose it but taking back what was logged.
 */
export type Stop = {
  readonly role: 'stop';
  readonly id: StopId;
  readonly rule: string;
  readonly text: string;
  /** Works that it forbids. */
  readonly forbids: readonly MethodId[];
  readonly lineId: string;
  /** Where it holds; `null`: all along the line. */
  readonly span: Interval | null;
  readonly entryIds: readonly string[];
};

const TEXTS: Record<StopId, string> = {
  utility:
    'Nothing may cut, jet or scrape this line until the utility that runs through it is dealt with.',
  asbestos:
    'The pipe here is asbestos cement. It must never be cut, ground or burst without licensed abatement.',
  fiber: 'The pipe here is bituminous fiber. Let nobody put a cutter or high pressure in it.',
  'thin-iron': 'Do not have it scraped or descaled by machine: that finishes thin pipe.',
};

const FORBIDS: Record<StopId, readonly MethodId[]> = {
  utility: ['cut', 'jet', 'descale', 'treat-roots', 'patch-liner', 'liner', 'burst'],
  asbestos: ['cut', 'descale', 'ramp-lip', 'burst'],
  fiber: ['cut', 'jet', 'descale'],
  'thin-iron': ['descale'],
};

/** What may be such a pipe, and nobody could tell: as much a stop, in words that claim no more. */
const DOUBTFUL: Partial<Record<StopId, string>> = {
  asbestos:
    'The pipe here may be asbestos cement. Until somebody knows, it must not be cut, ground or burst without licensed abatement.',
  fiber:
    'The pipe here may be bituminous fiber. Until somebody knows, let nobody put a cutter or high pressure in it.',
};

const stopOf = (
  id: StopId,
  lineId: string,
  span: Interval | null,
  entryIds: readonly string[],
): Stop => ({
  role: 'stop',
  id,
  rule: `${id}-stop`,
  text: TEXTS[id],
  forbids: FORBIDS[id],
  lineId,
  span,
  entryIds,
});

/** Stops over the stretches of a material, called for certain or only thought of: doubt is no reason to cut asbestos. */
function stopsOfPipe(lateral: Lateral, id: StopId, material: Material): Stop[] {
  const own = lateral.unplaced.flatMap(({ run }) => lateral.ownSegments.get(run.id) ?? []);
  const all = [...lateral.segments, ...own];
  const isSure = (one: Segment) => one.material === material && one.certainty === 'confirmed';
  const isDoubtful = (one: Segment) =>
    !isSure(one) && (one.material === material || one.candidates.includes(material));
  const over = (fits: (one: Segment) => boolean, text: string) =>
    unite(all.filter(fits), TOLERANCES.samePlaceFt).map((span) => ({
      ...stopOf(id, lateral.lineId, span, []),
      text,
    }));
  return [...over(isSure, TEXTS[id]), ...over(isDoubtful, DOUBTFUL[id] ?? TEXTS[id])];
}

/** Entries that say another utility runs through a line: from the log, whatever they were joined to. */
function crossingsOf({ axes, unplaced }: Lateral): string[] {
  return [...axes, ...unplaced].flatMap(({ log }) =>
    log.of('defect').flatMap(({ id, defect }) => (defect === 'utility-crossing' ? [id] : [])),
  );
}

/** Iron that is too thin to be scraped, by what was found in it. */
function isThin({ kind, severity, material, computed, facts }: Finding): boolean {
  if (!isPipeOf('iron', material) || (kind !== 'wall-loss' && kind !== 'deformation')) return false;
  const isWorn = facts.form === 'pitted' || facts.form === 'invert-gone';
  return isWorn || [severity, computed.severity].some((one) => one === 'major' || one === 'failed');
}

/** Every stop of a job, from what was logged; what the inspector decided over a finding changes none. */
export function listStops(laterals: readonly Lateral[], findings: readonly Finding[]): Stop[] {
  const thin = findings.filter(isThin);
  return laterals.flatMap((lateral) => {
    const { lineId } = lateral;
    const here = (finding: Finding) => finding.lineId === lineId;
    const crossings = crossingsOf(lateral);
    return [
      ...(crossings.length > 0 ? [stopOf('utility', lineId, null, crossings)] : []),
      ...stopsOfPipe(lateral, 'asbestos', 'asbestos-cement'),
      ...stopsOfPipe(lateral, 'fiber', 'bituminous-fiber'),
      ...thin.filter(here).map(({ span, entryIds }) => stopOf('thin-iron', lineId, span, entryIds)),
    ];
  });
}

/** Whether a stop holds over a stretch of a line. */
export function stopsOver(
  stops: readonly Stop[],
  { lineId, span }: { readonly lineId: string; readonly span: Interval },
): Stop[] {
  return stops.filter(
    (stop) => stop.lineId === lineId && (stop.span === null || overlaps(stop.span, span)),
  );
}

const CLEAN = 'advice-upkeep';

/**
 * Advice as a stop leaves it: nothing on a line with a utility in it comes before the utility, and pipe that
 * bears no tool is cleaned in no way that a stop forbids. A stop beside "have it cut" is none.
 */
function minding(reason: Advice, holding: readonly Stop[]): Advice {
  const isPipe = holding.some(({ id }) => id !== 'utility');
  const text =
    reason.rule === CLEAN && isPipe
      ? 'Have it cleaned only in a way that this pipe bears, and looked at again.'
      : reason.text;
  const waits = holding.some(({ id }) => id === 'utility') && text.startsWith('Have ');
  return { ...reason, text: waits ? `Once the utility is dealt with, h${text.slice(1)}` : text };
}

/** Each stop once by its words, first of what is advised for everything that it holds over. */
export function applyStops(findings: readonly Finding[], stops: readonly Stop[]): Finding[] {
  if (stops.length === 0) return [...findings];
  return findings.map((finding) => {
    if (finding.kind === 'utility-crossing' || finding.kind === 'material') return finding;
    // A finding that asks for no work is told of no tool, except where the inspector's word made it so.
    if (finding.action === 'none' && finding.ruling === null && finding.review === null)
      return finding;
    const holding = stopsOver(stops, finding);
    const texts = new Set(holding.map(({ text }) => text));
    const rest = finding.advice
      .filter(({ text }) => !texts.has(text))
      .map((reason) => minding(reason, holding));
    const first = [...texts].map((text) => ({
      rule: holding.find((stop) => stop.text === text)!.rule,
      text,
    }));
    return first.length === 0 ? finding : { ...finding, advice: [...first, ...rest] };
  });
}
