import type { TypedFields } from '#client/actions/typed';
import { type Fault, faultsFromJoi } from '#core/base/fault';

/** What stands in the fields of a form. */
export type Typed = TypedFields & {
  /** The ticked boxes of one name. */
  readonly ticked: (name: string) => readonly string[];
  readonly element: HTMLFormElement;
};

export function readForm(element: HTMLFormElement): Typed {
  const data = new FormData(element);
  const textOf = (value: FormDataEntryValue | null) => (typeof value === 'string' ? value : '');
  const text = (name: string) => textOf(data.get(name)).trim();
  return {
    text,
    number: (name) => (text(name) === '' ? NaN : Number(text(name).replace(',', '.'))),
    ticked: (name) => data.getAll(name).map(textOf),
    element,
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
