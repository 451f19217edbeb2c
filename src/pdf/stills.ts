/** What stands where a still was. */
export const GONE = 'This still is gone.';

/** Stills by id, as a PDF takes them. */
export type Stills = ReadonlyMap<string, { readonly data: Buffer; readonly format: 'jpg' | 'png' }>;
