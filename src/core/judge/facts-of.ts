import { specOf } from '../catalogue/defects/kinds';
import { readForm } from '../catalogue/read-form';
import type { Facts } from '../catalogue/severity/grade';
import { sizesByWord } from '../catalogue/severity/size-words';
import type { DefectFacts } from '../catalogue/severity/table';
import type { Settings } from '../model/job/settings';
import { impossibleSizes, possibleSizes } from '../model/log/possible';
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
  unreadForm: null,
  byWord: null,
  impossible: [],
  locus: null,
  holdsDebris: false,
  soilVisible: false,
  movesWithWater: false,
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
  const said = ranked.map(({ stretch }) => stretch.entry);
  const kind = said[0]!.defect;
  const entries = said.map((entry) => possibleSizes(entry, pipe.boreIn));
  const first = <K extends keyof (typeof entries)[number]>(key: K) => {
    for (const entry of entries) if (entry[key] !== undefined) return entry[key];
    return undefined;
  };
  const forms = said.map(({ form }) => readForm(kind, form));
  const form = forms.find((one) => one.form !== null)?.form ?? null;
  const numbers = {
    depthIn: first('depthIn') ?? null,
    fillRatio: first('fillRatio') ?? null,
    extentRatio: first('extentRatio') ?? null,
    offsetIn: first('offsetIn') ?? null,
    gapIn: first('gapIn') ?? null,
    lipIn: first('lipIn') ?? null,
  };
  const hasNumber = Object.values(numbers).some((value) => value !== null);
  const word = hasNumber ? undefined : first('sizeWord');
  const worded =
    word === undefined ? null : sizesByWord(specOf(kind).size ?? {}, word, pipe.boreIn);
  return {
    kind,
    ...numbers,
    ...worded,
    byWord: worded === null ? null : word!,
    form,
    unreadForm: form === null ? (forms.find((one) => one.unread !== null)?.unread ?? null) : null,
    impossible: [...new Set(said.flatMap((entry) => impossibleSizes(entry, pipe.boreIn)))],
    locus: first('locus') ?? null,
    holdsDebris: first('holdsDebris') ?? false,
    soilVisible: (first('soilVisible') ?? false) || forms.some((one) => one.soilVisible),
    movesWithWater: first('movesWithWater') ?? false,
    lengthFt:
      ranked.map(({ stretch }) => stretch.lengthFt).find((length) => length !== null) ?? null,
    ...pipe,
    inStandingWater,
    eyeSizeIn,
    eyeShareRatio,
    byEye: first('sizeBasis') !== 'measured',
  };
}
