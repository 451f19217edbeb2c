import { lengthFt, overlaps, totalFt } from '../base/interval';
import { roundTo, sayList } from '../base/numbers';
import type { Derived } from '../derive';
import { isTooObscured, wasSeenDry } from '../judge/verdict';
import type { Lateral } from '../lateral/lateral';
import { seenDry } from '../lateral/seen-dry';
import { sayFeet } from './describe';
import { sayOnLine } from '../lateral/say-place';
import { FINDING_WORDS, MATERIAL_WORDS } from './words';

/** Stretches shorter than this are not told as sound, feet. */
const WORTH_TELLING_FT = 5;

/** What was looked for and not found, over how many feet. Empty claims are never made. */
export function composeSound(derived: Derived): string[] {
  const { lateral, branches } = derived;
  const { coverage, reached } = lateral;
  if (totalFt(reached) === 0) return ['Nothing has been looked at yet.'];
  const sound = [lateral, ...branches].flatMap((line) => soundStretches(derived, line));
  if (derived.absences.length === 0) {
    return isTooObscured(lateral)
      ? [
          `${sayFeet(coverage.clearFt)} could be seen. Too much was hidden to rule anything out over the whole line.`,
          ...sound,
        ]
      : ['Every kind of fault was found or suspected somewhere.', ...sound];
  }
  const named = derived.absences.map((kind) => FINDING_WORDS[kind].plural);
  return [
    `Over the ${sayFeet(coverage.clearFt)} seen: no ${sayList(named).replace(/ and ([^,]*)$/, ' or $1')}.`,
    ...sayWater(derived),
    ...sound,
  ];
}

/** Over how many feet anybody can say that no water stood, where that is not all of them. */
function sayWater({ lateral, findings }: Derived): string[] {
  const isFound = findings.some(({ kind }) => kind === 'standing-water');
  if (isFound || wasSeenDry(lateral)) return [];
  const dryFt = totalFt(seenDry(lateral));
  return [
    dryFt < 0.5
      ? 'Nobody saw the line drained, so whether water stands in it is not known.'
      : `Whether water stands was seen over ${sayFeet(dryFt)} only, with the line drained or no water running: none stood there.`,
  ];
}

/** Stretches of one pipe with nothing wrong in them, named in words. */
function soundStretches({ findings, names }: Derived, lateral: Lateral): string[] {
  const { segments, coverage, lineId } = lateral;
  const hidden = coverage.obscured;
  const clean = segments.filter(
    (segment) =>
      lengthFt(segment) >= WORTH_TELLING_FT &&
      segment.material !== 'unknown' &&
      !hidden.some((part) => overlaps(part, segment)) &&
      !findings.some(
        ({ span, placed, lineId: on, kind }) =>
          placed && on === lineId && kind !== 'material' && overlaps(span, segment),
      ),
  );
  return clean.map(
    ({ fromFt, toFt, material }) =>
      `Nothing was found in the ${MATERIAL_WORDS[material]} from ${names.isOne && fromFt >= 0 ? `${roundTo(fromFt, 0)} to ${roundTo(toFt, 0)} ft` : sayOnLine({ lineId, fromFt, toFt }, names)}.`,
  );
}
