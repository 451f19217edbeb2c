/** What kinds of defect have in common, as far as anything turns on it. */
export const TRAITS = {
  structure: 'a fault of the pipe itself',
  deposit: 'a cleaning takes it out of the pipe',
  'cleaned-when-slight': 'even slight, it is cleaned out in the ordinary course',
  clogs: 'it grows, comes back after cleaning, and blocks the bore in time',
  'grows-slowly': 'of what clogs: over years, as a wall does',
  catches: 'left alone, it catches waste until the line backs up',
  breaks: 'left alone, the pipe gives way there in time',
  'new-inside-ends': 'a liner ends it, and so does new pipe',
  'new-pipe-ends': 'only new pipe ends it',
  flushed: 'a jet carries it out whole',
  'washed-out': 'the cleaning before a look takes it away by itself',
  'rests-on-bore': 'its grade rests on the diameter',
  'rests-on-material': 'it means one thing in one material and another in another',
  'at-invert': 'it is at the bottom of the pipe, where standing water hides it',
  'hides-in-murk': 'it may lie unseen where the lens is under water or in murk',
  narrows: 'it can hold water back, and marks of high water point to it',
  'stops-camera': 'said where a run ended, it is what stopped it',
  'holds-waste': 'waste that lies there is explained by it',
  'said-by-clock': 'two numbers after it are an arc of the clock, not a stretch',
  'never-major': 'no size makes it major by itself',
  'is-stretch': 'a stretch by nature: one end said alone opens it',
  fills: 'it fills part of the pipe, and water passes what is left',
  'opens-wall': 'the wall or a joint is open there: what leaks may leak by it',
  'lies-on-invert': 'it lies at the bottom and dams the water by its own height',
} as const;

export type DefectTrait = keyof typeof TRAITS;
