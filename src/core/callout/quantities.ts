import type { Scan } from './scan';

const NUMBER = String.raw`(\d+(?:\.\d+)?|\.\d+)`;

/** Takes a share of the whole, 0 to 1: "60%", "half", "a third", "2/3"; `null` when none was said. */
export function takeRatio(scan: Scan): number | null {
  const percent = scan.take(
    new RegExp(`${NUMBER}%(?:\\s+(?:of\\s+(?:the\\s+)?(?:bore|pipe|area)|full|deep))?`),
  );
  if (percent) return Math.min(1, Number(percent[1]) / 100);
  const fraction = scan.take(/\b([1-9])\/([2-9])\b(?:\s+(?:full|deep|of (?:the )?(?:bore|pipe)))?/);
  if (fraction) return Math.min(1, Number(fraction[1]) / Number(fraction[2]));
  const words: [RegExp, number][] = [
    [/\b(?:three|3) quarters?\b(?:\s+(?:full|of (?:the )?(?:bore|pipe)))?/, 0.75],
    [/\b(?:two|2) thirds?\b(?:\s+(?:full|of (?:the )?(?:bore|pipe)))?/, 2 / 3],
    [/\bhalf(?:\s+(?:full|of (?:the )?(?:bore|pipe)|the (?:bore|pipe)|way))?\b/, 0.5],
    [/\b(?:a |1 )?third(?:\s+(?:full|of (?:the )?(?:bore|pipe)|the (?:bore|pipe)))?\b/, 1 / 3],
    [/\b(?:a |1 )?quarter(?:\s+(?:full|of (?:the )?(?:bore|pipe)|the (?:bore|pipe)))?\b/, 0.25],
    [/\b(?:full bore|full pipe|completely full|full)\b/, 1],
  ];
  for (const [pattern, ratio] of words) if (scan.take(pattern)) return ratio;
  return null;
}

/** Takes a size in inches: `3.3 in`, `3.3"`, "half an inch"; `null` when none was said. */
export function takeInches(scan: Scan): number | null {
  if (scan.take(/\bhalf (?:an )?inch\b/)) return 0.5;
  if (scan.take(/\b(?:a )?quarter (?:of an )?inch\b/)) return 0.25;
  const size = scan.take(
    new RegExp(`${NUMBER}\\s*(?:"|in\\b|inch(?:es)?\\b)(?:\\s+(?:deep|high|wide|open))?`),
  );
  return size ? Number(size[1]) : null;
}

/** Takes a length in feet and inches as inches: `4'1"`, `4 ft 1 in`, `4.5 ft`; `null` when none. */
export function takeFeetInches(scan: Scan): number | null {
  const both = scan.take(
    new RegExp(
      `${NUMBER}\\s*(?:'|ft\\b|feet\\b|foot\\b)\\s*${NUMBER}\\s*(?:"|in\\b|inch(?:es)?\\b)?`,
    ),
  );
  if (both) return Number(both[1]) * 12 + Number(both[2]);
  const feet = scan.take(new RegExp(`${NUMBER}\\s*(?:'|ft\\b|feet\\b|foot\\b)`));
  if (feet) return Number(feet[1]) * 12;
  return takeInches(scan);
}

/** Takes a said length: "8 ft long", "for 8 feet"; `null` when none was said. */
export function takeLengthFt(scan: Scan): number | null {
  const long = scan.take(new RegExp(`${NUMBER}\\s*(?:ft|feet|foot|')?\\s+long\\b`));
  if (long) return Number(long[1]);
  const forFeet = scan.take(new RegExp(`\\bfor\\s+${NUMBER}\\s*(?:ft\\b|feet\\b|foot\\b|')`));
  return forFeet ? Number(forFeet[1]) : null;
}

export type Clock = { readonly from: number; readonly to: number | null };

const HALF_HOUR = String.raw`(1[0-2](?:\.5|:30|:00)?|[1-9](?:\.5|:30|:00)?)`;

function readHour(text: string): number | null {
  const hour = Number(text.replace(':30', '.5').replace(':00', ''));
  // Half past twelve is half an hour clockwise of twelve.
  if (hour === 12.5) return 0.5;
  return hour >= 1 && hour <= 12 ? hour : null;
}

/**
 * Takes a clock position or arc: "10 to 2 o'clock", "at 6 o'clock", "crown", "invert". With
 * `bareArc`, "2 to 11" without "o'clock" is an arc as well, if both fit a clock face.
 */
export function takeClock(scan: Scan, bareArc: boolean): Clock | null {
  const arc =
    scan.take(
      new RegExp(
        `(?:\\bfrom\\s+)?(?<![\\d.])${HALF_HOUR}\\s*(?:o'clock\\s*)?(?:to|-|through)\\s*${HALF_HOUR}\\s*o'clock`,
      ),
    ) ??
    (bareArc
      ? scan.take(
          new RegExp(
            `(?<!from\\s)(?<![\\d.])\\b${HALF_HOUR}\\s*(?:to|-)\\s*${HALF_HOUR}(?![\\d.%"'])(?!\\s*(?:ft|feet|foot|in\\b|inch))`,
          ),
        )
      : null);
  if (arc) {
    const from = readHour(arc[1]!);
    const to = readHour(arc[2]!);
    if (from !== null && to !== null) return { from, to };
  }
  const point = scan.take(new RegExp(`(?:\\bat\\s+)?(?<![\\d.])${HALF_HOUR}\\s*o'clock`));
  const hour = point ? readHour(point[1]!) : null;
  if (hour !== null) return { from: hour, to: null };
  if (scan.take(/\b(?:at |on |in )?(?:the )?(?:crown|top)\b/)) return { from: 12, to: null };
  if (scan.take(/\b(?:at |on |in )?(?:the )?(?:invert|bottom)\b/)) return { from: 6, to: null };
  return null;
}

/** The footage of a call-out: a point, a stretch, or one end of a stretch still open. */
export type Footage = {
  readonly fromFt: number | null;
  readonly toFt: number | null;
  /** "from 43" without an end opens a stretch. */
  readonly opens: boolean;
  /** "to 52" without a start closes one. */
  readonly closes: boolean;
};

/** Takes the footage last, when every other number has been taken. */
export function takeFootage(scan: Scan): Footage {
  const unit = String.raw`\s*(?:ft\b|feet\b|foot\b|')?`;
  const both = scan.take(
    new RegExp(
      `(?:\\b(?:from|between|at)\\s+)?${NUMBER}${unit}\\s*(?:to|-|through|thru|and|until)\\s*${NUMBER}${unit}`,
    ),
  );
  if (both) return { fromFt: Number(both[1]), toFt: Number(both[2]), opens: false, closes: false };
  const from = scan.take(
    new RegExp(
      `\\b(?:from|starts?(?:\\s+at)?|begins?(?:\\s+at)?|opens?\\s+at)\\s+${NUMBER}${unit}`,
    ),
  );
  if (from) {
    const to = scan.take(new RegExp(`\\b(?:to|until|ends?(?:\\s+at)?)\\s+${NUMBER}${unit}`));
    if (to) return { fromFt: Number(from[1]), toFt: Number(to[1]), opens: false, closes: false };
    return { fromFt: Number(from[1]), toFt: null, opens: true, closes: false };
  }
  const to = scan.take(new RegExp(`\\b(?:to|until|ends?(?:\\s+at)?)\\s+${NUMBER}${unit}`));
  if (to) return { fromFt: Number(to[1]), toFt: null, opens: false, closes: true };
  if (scan.take(/\b(?:from here|starts?|begins?|starting)\b/)) {
    return { ...bare(scan, NUMBER, unit), opens: true };
  }
  if (scan.take(/\b(?:to here|ends?|ending)\b/))
    return { ...bare(scan, NUMBER, unit), closes: true };
  const first = bare(scan, NUMBER, unit);
  const second = first.fromFt === null ? null : bare(scan, NUMBER, unit).fromFt;
  if (second !== null) return { ...first, toFt: second };
  if (first.fromFt === null && scan.take(/\bfrom\b/)) return { ...first, opens: true };
  return first;
}

function bare(scan: Scan, number: string, unit: string): Footage {
  const at = scan.take(new RegExp(`(?:\\bat\\s+)?(?<![\\w.])${number}${unit}(?![\\w%"])`));
  return { fromFt: at ? Number(at[1]) : null, toFt: null, opens: false, closes: false };
}
