import type { BaseGrade, Facts, Severity } from '../grade';

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
  /** The size in words ("2.4 in deep, 40% of the bore"). */
  readonly text: string;
};

/** The base grade of a size, with the range of grades that the eye's error allows. */
export function gradeSize(rule: string, sized: Sized, bounds: Bounds, byEye: boolean): BaseGrade {
  const severity = gradeByBounds(sized.size, bounds);
  const low = gradeByBounds(Math.max(0, sized.size - sized.eyeError), bounds);
  const high = gradeByBounds(sized.size + sized.eyeError, bounds);
  const because = [{ rule, text: `${sized.text}: ${severity}` }];
  if (!byEye || low === high) return { severity, because, missing: null };
  return {
    severity,
    because: [
      ...because,
      { rule: 'size-by-eye', text: `sized by eye, so ${low} to ${high}; graded by its value` },
    ],
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

/** Whether the form says that soil or a void can be seen. */
export function showsSoil(facts: Facts): boolean {
  return facts.soilVisible || (facts.form !== null && /soil|void/.test(facts.form));
}
