import type { Measured } from './measure';

const percent = (ratio: number) => `${Math.round(ratio * 100)}%`;
/** A ± that is not told finer than it is known. */
const percentWithin = (sigma: number) => `±${Math.max(1, Math.round(sigma * 200))}%`;
const inches = (value: number) => value.toFixed(value < 1 ? 2 : 1);
const hour = (value: number) =>
  Number.isInteger(value) ? String(value) : `${Math.floor(value) || 12}:30`;

/** What was measured with its ± (two σ), as people read it. */
export function sayMeasured(measured: Measured): string {
  switch (measured.what) {
    case 'fill':
      return `water to ${percent(measured.ratio)} of the diameter, ${percentWithin(measured.sigma)}`;
    case 'share':
      return `${percent(measured.ratio)} of the pipe's area, ${percentWithin(measured.sigma)}`;
    case 'across':
      return `${percent(measured.ratio)} of the diameter, ${percentWithin(measured.sigma)}`;
    case 'clock':
      return measured.clockFrom === measured.clockTo
        ? `at ${hour(measured.clockFrom)} o'clock`
        : `${hour(measured.clockFrom)} to ${hour(measured.clockTo)} o'clock`;
    default:
      return measured.sizeIn === null
        ? `${percent(measured.ratio)} of the diameter, ${percentWithin(measured.sigma)}; say the diameter for inches`
        : `${inches(measured.sizeIn)} in, ±${inches(2 * measured.sigma)} in`;
  }
}

/**
 * How many times surer a measure is than a look, or `null` for what nobody says by eye in a number.
 *
 * @param eyeShareRatio and `eyeSizeIn`: how far a share and an inch by eye may be out (settings).
 */
export function surerThanEye(
  measured: Measured,
  { eyeShareRatio, eyeSizeIn }: { readonly eyeShareRatio: number; readonly eyeSizeIn: number },
): number | null {
  if (measured.what === 'clock' || measured.sigma === 0) return null;
  const isSize = 'sizeIn' in measured;
  if (isSize && measured.sizeIn === null) return null;
  return (isSize ? eyeSizeIn : eyeShareRatio) / (2 * measured.sigma);
}
