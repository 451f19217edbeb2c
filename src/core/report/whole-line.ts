import { sayList } from '../base/numbers';
import type { Derived } from '../derive';
import { type MaterialFeet, pictureWholeLine } from '../judge/whole-line';
import type { Lateral } from '../lateral/lateral';
import { sayFeet } from './describe';
import { MATERIAL_WORDS } from './words';

const sayMaterials = (parts: readonly MaterialFeet[]) =>
  sayList(parts.map(({ material, feet }) => `${sayFeet(feet)} of ${MATERIAL_WORDS[material]}`));

/** What is old, what was renewed and what is left to go, each in a sentence. */
export function sayWholeLine(derived: Derived): string[] {
  const { lateral, branches, names } = derived;
  return [lateral, ...branches].flatMap((line) =>
    sayOne(derived, line).map((text) =>
      names.isOne ? text : `${text.replace(/\.$/, '')}${names.on(line.lineId)}.`,
    ),
  );
}

function sayOne({ findings, inspection }: Derived, lateral: Lateral): string[] {
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
    ...(repairFt >= 0.5 ? [`Left to mend: ${sayFeet(repairFt)}.`] : []),
    ...(pastLifeFt >= 0.5 ? [`Past its usual years: ${sayFeet(pastLifeFt)}.`] : []),
  ];
}
