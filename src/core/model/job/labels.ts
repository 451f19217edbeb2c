/** A run or an access point as people call it: its label, else its id ("R1", "A"). */
export const labelOf = (part: { readonly id: string; readonly label?: string }): string =>
  part.label ?? part.id;

/** The label of a part by its id; the id itself where there is no such part. */
export function labelIn(
  parts: readonly { readonly id: string; readonly label?: string }[],
  id: string,
): string {
  const part = parts.find((one) => one.id === id);
  return part ? labelOf(part) : id;
}

/** The first free label of a row: `nameAt(0)`, `nameAt(1)` … */
export function freeLabel(
  taken: readonly { readonly id: string; readonly label?: string }[],
  nameAt: (index: number) => string,
): string {
  const names = new Set(taken.map(labelOf));
  for (let index = 0; ; index += 1) if (!names.has(nameAt(index))) return nameAt(index);
}

/** R1, R2 … */
export const runNameAt = (index: number): string => `R${index + 1}`;

/** A … Z, then A1, B1 … */
export function accessNameAt(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  const round = Math.floor(index / 26);
  return round === 0 ? letter : `${letter}${round}`;
}
