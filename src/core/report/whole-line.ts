import { sayList } from '../base/numbers';
import { materialOf } from '../catalogue/materials/kinds';
import { sayFeet } from '../catalogue/say-size';
import type { Assessment } from '../judge/assessment';
import { type MaterialFeet, pictureWholeLine } from '../judge/whole-line';
import type { Lateral } from '../lateral/lateral';

const sayMaterials = (parts: readonly MaterialFeet[]) =>
  sayList(
    parts.map(({ material, feet }) => `${sayFeet(feet)} of ${materialOf(material).buyerName}`),
  );

/** What is old, what was renewed and what is left to go, each in a sentence. */
export function sayWholeLine(assessment: Assessment): string[] {
  const { lateral, branches, names } = assessment;
  return [lateral, ...branches].flatMap((line) =>
    sayOne(assessment, line).map((text) =>
      names.isOne ? text : `${text.replace(/\.$/, '')}${names.on(line.lineId)}.`,
    ),
  );
}

function sayOne({ findings, inspection }: Assessment, lateral: Lateral): string[] {
  const { yearBuilt } = inspection.property;
  const { original, renewed, untold, repairFt, pastLifeFt } = pictureWholeLine(
    lateral,
    findings,
    inspection.property,
  );
  return [
    ...(original.length > 0
      ? [`Perhaps as old as the house (${yearBuilt}): ${sayMaterials(original)}.`]
      : []),
    ...(renewed.length > 0 ? [`Renewed since: ${sayMaterials(renewed)}.`] : []),
    ...(untold.length > 0 && original.length + renewed.length > 0
      ? [`Of no known age: ${sayMaterials(untold)}.`]
      : []),
    ...(repairFt >= 0.5 ? [`Left to repair: ${sayFeet(repairFt)}.`] : []),
    ...(pastLifeFt >= 0.5 ? [`Past its usual years: ${sayFeet(pastLifeFt)}.`] : []),
  ];
}
