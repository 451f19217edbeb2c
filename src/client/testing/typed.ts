import type { TypedFields } from '../actions/typed';

/** A form filled in: what is not named stands empty. */
export const typed = (fields: Readonly<Record<string, string>>): TypedFields => {
  const text = (name: string) => fields[name] ?? '';
  return { text, number: (name) => (text(name) === '' ? NaN : Number(text(name))) };
};
