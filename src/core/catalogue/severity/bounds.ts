import type { BaseGrade, Facts, Severity } from './grade';
import { spreadOfWord } from './size-words';

/** Upper bounds of slight, moderate and major; `null` where a grade does not exist. */
export type Bounds = {
  readonly moderateFrom: number;
  readonly majorFrom: number;
  /** Failed begins above this; `null` when no size alone fails. */
  readonly failedAbove: number | null;
};

/**
 * Grades a size by its bounds. A size on a bound takes the worse grade, except that failed begins
 * above its bound. A hair of arithmetic noise (1e-9) does not push a size over a bound.
 */
export function gradeByBounds(size: number, bounds: Bounds): Severity {
  const noise = 1e-9;
  if (bounds.failedAbove !== null && size > bounds.failedAbove + noise) return 'failed';
  if (size >= bounds.majorFrom - noise) return 'major';
  if (size >= bounds.moderateFrom - noise) return 'moderate';
  return 'slight';
}

/** A size as a row of the table reads it. */
export type Sized = {
  /** In the unit of the bounds. */
  readonly size: number;
  /** How far the size may be out, in the unit of the bounds. */
  readonly eyeError: number;
  /** The size in words ("2.4 in deep, 40% of the pipe"). */
  readonly text: string;
  /** The thing in words, where its size was said by a word ("roots"). */
  readonly thing: string;
  /** Whether it is a depth of water, whose words stand for more or less than those of an area. */
  readonly isWater?: true;
};

/** The base grade of a size, with the range of grades that its ± allows. */
export function gradeSize(
  rule: string,
  sized: Sized,
  bounds: Bounds,
  facts: Pick<Facts, 'byEye' | 'byWord'>,
): BaseGrade {
  const { byEye, byWord } = facts;
  const severity = gradeByBounds(sized.size, bounds);
  const spread = byWord === null ? null : spreadOfWord(byWord, sized.isWater ?? false);
  const low = gradeByBounds(
    spread ? sized.size * spread.low : Math.max(0, sized.size - sized.eyeError),
    bounds,
  );
  const high = gradeByBounds(
    spread ? sized.size * spread.high : sized.size + sized.eyeError,
    bounds,
  );
  const text = byWord === null ? sized.text : `${sized.thing}: the size was said as “${byWord}”`;
  const because = [{ rule, text: `${text}: ${severity}` }];
  if ((byWord === null && !byEye) || low === high) return { severity, because, missing: null };
  const [id, how] =
    byWord === null ? ['size-by-eye', 'sized by eye'] : ['size-by-word', 'sized by a word'];
  return {
    severity,
    because: [...because, { rule: id, text: `${how}, so ${low} to ${high}; graded by its value` }],
    missing: null,
    range: [low, high],
  };
}

/** The grade of the table's last column: the size was not logged. */
export function gradeUnsized(rule: string, severity: Severity, missing: string): BaseGrade {
  return {
    severity,
    because: [{ rule, text: `${missing} was not logged: ${severity} until it is` }],
    missing,
  };
}

/** Failed because soil or a void shows, whatever the size. */
export function failBySoil(rule: string): BaseGrade {
  return {
    severity: 'failed',
    because: [{ rule, text: 'soil or a void is visible: the pipe no longer holds the ground out' }],
    missing: null,
  };
}

/** Whether soil or a void can be seen. */
export function showsSoil({ soilVisible }: Pick<Facts, 'soilVisible'>): boolean {
  return soilVisible;
}
