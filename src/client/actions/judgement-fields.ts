import { type Material, MATERIALS } from '#core/catalogue/materials/index';
import { THRESHOLD_KEYS, type ThresholdKey } from '#core/catalogue/severity/thresholds';
import { DEFAULT_JUDGEMENT, type Judgement } from '#core/model/job/judgement';
import type { Settings } from '#core/model/job/settings';

/** Settings that are one number each. */
export const NUMBERS = [
  'mergeFt',
  'minDrainMin',
  'eyeSizeIn',
  'eyeShareRatio',
  'transmitterHeightIn',
  'transmitterBehindIn',
] as const satisfies readonly (keyof Settings)[];
export type NumberKey = (typeof NUMBERS)[number];

/** How jobs are judged, as fields of text: empty means Chert’s own. */
export type JudgementFields = {
  readonly profile: Judgement['profile'];
  readonly responsibility: Judgement['responsibility'];
  readonly slipOn: Settings['slipOn'];
  readonly trustPass: Settings['trustPass'];
  readonly numbers: Readonly<Record<NumberKey, string>>;
  readonly thresholds: Readonly<Record<ThresholdKey, string>>;
  readonly lives: Readonly<Record<Material, { readonly from: string; readonly to: string }>>;
};

const said = (value: number | undefined) => (value === undefined ? '' : String(value));
const record = <K extends string, V>(keys: readonly K[], valueOf: (key: K) => V) =>
  Object.fromEntries(keys.map((key) => [key, valueOf(key)])) as Record<K, V>;

/** Fields from what is kept. */
export function toFields(judgement: Judgement = DEFAULT_JUDGEMENT): JudgementFields {
  const { profile, responsibility, settings } = judgement;
  return {
    profile,
    responsibility,
    slipOn: settings.slipOn ?? 'even',
    trustPass: settings.trustPass ?? 'back',
    numbers: record(NUMBERS, (key) => said(settings[key])),
    thresholds: record(THRESHOLD_KEYS, (key) => said(settings.thresholds?.[key])),
    lives: record(MATERIALS, (material) => {
      const life = settings.usualLives?.[material];
      return { from: said(life?.from), to: said(life?.to) };
    }),
  };
}

/** The number in a field; `undefined` when it is empty, NaN when it is none (which is refused). */
const numberIn = (text: string) =>
  text.trim() === '' ? undefined : Number(text.trim().replace(',', '.'));

function filled<K extends string>(
  texts: Readonly<Record<K, string>>,
  keys: readonly K[],
): Partial<Record<K, number>> {
  return Object.fromEntries(
    keys.flatMap((key) => {
      const value = numberIn(texts[key]);
      return value === undefined ? [] : [[key, value]];
    }),
  ) as Partial<Record<K, number>>;
}

/** What to keep from the fields: only what differs from Chert’s own. */
export function fromFields(fields: JudgementFields): Judgement {
  const { profile, responsibility, slipOn, trustPass, numbers, lives } = fields;
  const thresholds = filled(fields.thresholds, THRESHOLD_KEYS);
  const usualLives = Object.fromEntries(
    MATERIALS.flatMap((material) => {
      const from = numberIn(lives[material].from);
      const to = numberIn(lives[material].to);
      // Half a life is refused when it is checked, and not dropped.
      return from === undefined && to === undefined ? [] : [[material, { from, to }]];
    }),
  ) as Settings['usualLives'];
  return {
    profile,
    responsibility,
    settings: {
      ...(slipOn === 'even' ? {} : { slipOn }),
      ...(trustPass === 'back' ? {} : { trustPass }),
      ...filled(numbers, NUMBERS),
      ...(Object.keys(thresholds).length > 0 ? { thresholds } : {}),
      ...(Object.keys(usualLives).length > 0 ? { usualLives } : {}),
    },
  };
}
