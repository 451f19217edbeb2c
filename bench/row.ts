/** One measurement: what was timed, what was hoped for, what it took. */
export type Row = { readonly what: string; readonly aim: string; readonly got: string };
