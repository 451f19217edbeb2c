import { roundTo } from '#core/base/numbers';

/** A footage to the tenth, as a counter shows it ("41.9"); a minus sign for upstream. */
export const foot = (valueFt: number) => roundTo(valueFt, 1).toFixed(1).replace('-', '−');

/** A footage with its ± ("41.9 ± 0.6"). */
export const footOf = (valueFt: number, sigmaFt: number) => `${foot(valueFt)} ± ${foot(sigmaFt)}`;

/** A difference with its sign ("+2.1", "−0.4", "0.0"). */
export const signed = (valueFt: number) => {
  const text = foot(valueFt);
  return roundTo(valueFt, 1) > 0 ? `+${text}` : text === '−0.0' ? '0.0' : text;
};

/** Inches to the tenth, with feet when there are many ("2 ft 3.5 in"). */
export const inches = (valueIn: number) => {
  const whole = roundTo(Math.abs(valueIn), 1);
  const sign = valueIn < 0 ? '−' : '';
  return whole < 24
    ? `${sign}${whole} in`
    : `${sign}${Math.floor(whole / 12)} ft ${roundTo(whole % 12, 0)} in`;
};
