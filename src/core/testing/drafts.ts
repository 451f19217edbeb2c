/** What a call-out must come to, in few letters for long tables: a defect, a feature, a pipe. */
type More = Readonly<Record<string, unknown>>;

export const d = (defect: string, readingFt: number, more: More = {}) => ({
  kind: 'defect',
  defect,
  readingFt,
  ...more,
});
export const f = (feature: string, readingFt: number, more: More = {}) => ({
  kind: 'feature',
  feature,
  readingFt,
  ...more,
});
export const m = (material: string, readingFt: number, more: More = {}) => ({
  kind: 'material',
  material,
  readingFt,
  ...more,
});
