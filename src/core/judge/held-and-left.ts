import { fillRatioOf } from '../catalogue/severity/water-depth';
import { type HeldWater, measureHeldWater } from '../lateral/grade/held-water';
import type { Lateral } from '../lateral/lateral';
import { type Opening, openingLeft } from '../lateral/opening';
import { type Finding, isLogged } from './finding';

const isOn = (lateral: Lateral, { placed, lineId }: Finding) => placed && lineId === lateral.lineId;

/** The pools of a line, as its findings have them, and what they hold. */
export function heldWaterOf(lateral: Lateral, findings: readonly Finding[]): HeldWater {
  const pools = findings.filter((one) => isOn(lateral, one) && one.kind === 'standing-water');
  return measureHeldWater(
    pools.map(({ span, number, facts, verified }) => ({
      ...span,
      number,
      fillRatio: fillRatioOf(facts),
      boreIn: facts.boreIn,
      verified,
    })),
    lateral.reached,
  );
}

/** A finding that takes part of the pipe. */
export type Narrowing = { readonly finding: Finding; readonly opening: Opening };

/** What narrows a line, in station order; what has no size is left out, for nothing can be said. */
export function listNarrowings(lateral: Lateral, findings: readonly Finding[]): Narrowing[] {
  return findings.flatMap((finding) => {
    const { kind, facts } = finding;
    if (!isLogged(finding)) return [];
    const opening = openingLeft(finding.kind, facts.boreIn, {
      extentRatio: facts.extentRatio,
      heightIn: kind === 'lip' ? facts.lipIn : facts.offsetIn,
    });
    return opening && isOn(lateral, finding) ? [{ finding, opening }] : [];
  });
}
