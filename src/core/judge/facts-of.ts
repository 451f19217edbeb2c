import type { Settings } from '../job/settings';
import type { DefectFacts, Facts } from './grade';
import type { DefectSighting } from './sightings';

/** What a finding's place says of the pipe. */
export type PipeHere = Pick<Facts, 'boreIn' | 'material'>;

const NO_SIZES = {
  depthIn: null,
  fillRatio: null,
  extentRatio: null,
  offsetIn: null,
  gapIn: null,
  lipIn: null,
  form: null,
  locus: null,
  holdsDebris: false,
  soilVisible: false,
  inStandingWater: false,
  byEye: false,
} as const;

/** The facts of what a rule made of the whole: the pipe there and its length, and no sizes. */
export function factsWithoutSizes(
  pipe: PipeHere,
  lengthFt: number,
  { eyeSizeIn, eyeShareRatio }: Settings,
): Facts {
  return { ...NO_SIZES, ...pipe, lengthFt, eyeSizeIn, eyeShareRatio };
}

/** Sizes and marks of a group: from the sighting the grade rests on, else from the others. */
export function factsOf(
  ranked: readonly DefectSighting[],
  pipe: PipeHere,
  inStandingWater: boolean,
  { eyeSizeIn, eyeShareRatio }: Settings,
): DefectFacts {
  const entries = ranked.map(({ stretch }) => stretch.entry);
  const first = <K extends keyof (typeof entries)[number]>(key: K) => {
    for (const entry of entries) if (entry[key] !== undefined) return entry[key];
    return undefined;
  };
  const form = first('form')
    ?.trim()
    .toLowerCase()
    .replace(/[\s_]+/g, '-');
  return {
    kind: entries[0]!.defect,
    depthIn: first('depthIn') ?? null,
    fillRatio: first('fillRatio') ?? null,
    extentRatio: first('extentRatio') ?? null,
    offsetIn: first('offsetIn') ?? null,
    gapIn: first('gapIn') ?? null,
    lipIn: first('lipIn') ?? null,
    form: form || null,
    locus: first('locus') ?? null,
    holdsDebris: first('holdsDebris') ?? false,
    soilVisible: first('soilVisible') ?? false,
    lengthFt:
      ranked.map(({ stretch }) => stretch.lengthFt).find((length) => length !== null) ?? null,
    ...pipe,
    inStandingWater,
    eyeSizeIn,
    eyeShareRatio,
    byEye: first('sizeBasis') !== 'measured',
  };
}
