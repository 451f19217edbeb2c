/** The most that a length in feet or a size in inches may be: far beyond any sewer, and no slip of a key. */
export const MOST_LENGTH = 100_000;
/** The most letters of a paragraph that a person typed. */
export const MOST_PROSE = 20_000;
