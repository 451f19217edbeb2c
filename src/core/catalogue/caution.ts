/** A caution with the word that it is found by. */
export type Caution = { readonly about: string; readonly text: string };
