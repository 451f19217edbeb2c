import type { Check, CheckContext, Issue } from '../check';
import { accessUntried } from './access-untried';
import { adviceDiffers } from './advice-differs';
import { backUnconfirmed } from './back-unconfirmed';
import { beyondEnd } from './beyond-end';
import { clearContradicted } from './clear-contradicted';
import { countersDisagree } from './counters-disagree';
import { endUnconfirmed } from './end-unconfirmed';
import { flagOpen } from './flag-open';
import { homeImplausible } from './home-implausible';
import { homecoming } from './homecoming';
import { implausible } from './implausible';
import { lengthMismatch } from './length-mismatch';
import { materialConflict } from './material-conflict';
import { materialGap } from './material-gap';
import { materialSuspected } from './material-suspected';
import { materialZeroLength } from './material-zero-length';
import { nearDuplicate } from './near-duplicate';
import { noAdvice } from './no-advice';
import { noLocate } from './no-locate';
import { noPhoto } from './no-photo';
import { outsideScope } from './outside-scope';
import { overrideStale } from './override-stale';
import { readingJump } from './reading-jump';
import { readingMissing } from './reading-missing';
import { reducesDownstream } from './reduces-downstream';
import { runNoEnd } from './run-no-end';
import { runNoZero } from './run-no-zero';
import { runUnplaced } from './run-unplaced';
import { shortDrain } from './short-drain';
import { sizeByWord } from './size-by-word';
import { sizeMissing } from './size-missing';
import { stretchOpen } from './stretch-open';
import { stretchReversed } from './stretch-reversed';
import { tieMisfit } from './tie-misfit';
import { tieUnchecked } from './tie-unchecked';
import { unseenCalledGood } from './unseen-called-good';
import { waterUnverified } from './water-unverified';
import { zoneOpen } from './zone-open';
import { zoneUnknown } from './zone-unknown';

/** Every check, blockers first. */
export const CHECKS: readonly Check[] = [
  homeImplausible,
  implausible,
  zoneOpen,
  clearContradicted,
  countersDisagree,
  runNoZero,
  runNoEnd,
  endUnconfirmed,
  beyondEnd,
  stretchOpen,
  materialConflict,
  waterUnverified,
  runUnplaced,
  tieMisfit,
  unseenCalledGood,
  flagOpen,
  readingMissing,
  stretchReversed,
  lengthMismatch,
  materialZeroLength,
  materialGap,
  materialSuspected,
  nearDuplicate,
  backUnconfirmed,
  homecoming,
  tieUnchecked,
  sizeMissing,
  noAdvice,
  noLocate,
  noPhoto,
  reducesDownstream,
  outsideScope,
  readingJump,
  shortDrain,
  sizeByWord,
  zoneUnknown,
  adviceDiffers,
  accessUntried,
  overrideStale,
];

/** Runs every check; issues come in the order of the table. */
export function runChecks(context: CheckContext): Issue[] {
  return CHECKS.flatMap(({ code, level, stand, find }) =>
    find(context).map((issue) => ({ code, level, stand, ...issue })),
  );
}
