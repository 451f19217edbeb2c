/** What stands in the fields of a form. */
export type TypedFields = {
  /** The text without the spaces around it; empty where there is no such field. */
  readonly text: (name: string) => string;
  /** The number typed, with a point or a comma; NaN when nothing or something else was. */
  readonly number: (name: string) => number;
};

/** The field's text; `{}` where it is empty, so that an optional fact stays unsaid. */
export const optionalText = (key: string, text: string) => (text === '' ? {} : { [key]: text });
