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
