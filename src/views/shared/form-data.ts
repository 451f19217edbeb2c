import { type Fault, faultsFromJoi } from '#core/base/fault';

/** Reads the fields of a plain form. */
export function readForm(element: HTMLFormElement) {
  const data = new FormData(element);
  const text = (name: string) => String(data.get(name) ?? '').trim();
  return {
    text,
    /** The number typed; NaN when nothing or something else was. */
    number: (name: string) => (text(name) === '' ? NaN : Number(text(name))),
  };
}

/** Faults as sentences, in the words of the form's labels. */
export function sayFaults(
  faults: readonly Fault[],
  labels: Readonly<Record<string, string>>,
): string[] {
  return faults.map(
    ({ path, expected, got }) =>
      `${labels[path] ?? path}: expected ${expected}, got ${got === 'NaN' || got === '""' ? 'nothing' : got}.`,
  );
}

export const faultsOf = (
  error: Parameters<typeof faultsFromJoi>[0] | undefined,
  labels: Readonly<Record<string, string>>,
): string[] => (error ? sayFaults(faultsFromJoi(error), labels) : []);

/** The first free name of the kind A, B, C … or R1, R2 … */
export function freeName(taken: readonly string[], nameAt: (index: number) => string): string {
  for (let index = 0; ; index += 1) if (!taken.includes(nameAt(index))) return nameAt(index);
}

/** A, B … Z, AA … */
export const letterAt = (index: number): string =>
  (index >= 26 ? letterAt(Math.floor(index / 26) - 1) : '') +
  String.fromCharCode(65 + (index % 26));
