import { lengthFt, overlaps, subtract, totalFt } from '../base/interval';
import { roundTo, sayList } from '../base/numbers';
import { buyerWordsOf } from '../catalogue/defects/kinds';
import { materialOf } from '../catalogue/materials/kinds';
import { sayFeet } from '../catalogue/say-size';
import type { Assessment } from '../judge/assessment';
import { isTooObscured, wasSeenDry } from '../judge/verdict';
import type { Lateral } from '../lateral/lateral';
import { sayOnLine } from '../lateral/say-place';
import { seenDry } from '../lateral/seen-dry';
import type { ListBlock } from './block';

/** Feet that may be missing at the ends of a stretch that was seen drained. */
const DRY_SLACK_FT = 1;

/** Stretches shorter than this are not told as sound, feet. */
const WORTH_TELLING_FT = 5;

/** What was looked for and not found, over how many feet. Empty claims are never made. */
export function composeSound(assessment: Assessment): string[] {
  const { lateral } = assessment;
  const { coverage, reached } = lateral;
  if (totalFt(reached) === 0) return ['Nothing has been looked at yet.'];
  if (assessment.absences.length === 0) {
    return isTooObscured(lateral)
      ? [
          `${sayFeet(coverage.clearFt)} could be seen. Too much was hidden to rule anything out over the whole line.`,
        ]
      : ['Every kind of fault was found or suspected somewhere.'];
  }
  const named = assessment.absences.map((kind) => buyerWordsOf(kind).plural);
  return [
    `Over the ${sayFeet(coverage.clearFt)} seen: no ${sayList(named).replace(/ and ([^,]*)$/, ' or $1')}.`,
    ...sayWater(assessment),
  ];
}

/** Over how many feet anybody can say that no water stood, where that is not all of them. */
function sayWater({ lateral, findings }: Assessment): string[] {
  const isFound = findings.some(({ kind }) => kind === 'standing-water');
  if (isFound || wasSeenDry(lateral)) return [];
  const dryFt = totalFt(seenDry(lateral));
  return [
    dryFt < 0.5
      ? 'Nobody saw the line drained, so whether water stands in it is not known.'
      : `Whether water stands was seen over ${sayFeet(dryFt)} only, with the line drained or no water running: none stood there.`,
  ];
}

/** What was looked at and found good, by stretch: sound feet are worth money. */
export function composeWell(assessment: Assessment): ListBlock[] {
  const items = [assessment.lateral, ...assessment.branches].flatMap((line) =>
    soundStretches(assessment, line),
  );
  return items.length > 0 ? [{ kind: 'list', title: 'What is well', items }] : [];
}

/** Stretches of one pipe with nothing wrong in them, named in words. */
function soundStretches({ findings, names }: Assessment, lateral: Lateral): string[] {
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
  return clean.map(({ fromFt, toFt, material }) => {
    const where =
      names.isOne && fromFt >= 0
        ? `${roundTo(fromFt, 0)} to ${roundTo(toFt, 0)} ft`
        : sayOnLine({ lineId, fromFt, toFt }, names);
    const isDry = totalFt(subtract([{ fromFt, toFt }], seenDry(lateral))) < DRY_SLACK_FT;
    const water = isDry
      ? ''
      : ' It was not seen drained, so whether water stands there is not known.';
    return `${sayFeet(toFt - fromFt)} of ${materialOf(material).buyerName}, ${where}: looked at, and nothing was found.${water}`;
  });
}
