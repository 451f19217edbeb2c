import { capStuck } from './access/cap-stuck';
import { endNotMain } from './access/end-not-main';
import { headTooBig } from './access/head-too-big';
import { inferredOnly } from './access/inferred-only';
import { noUsableCleanout } from './access/no-usable-cleanout';
import { zeroAtRim } from './access/zero-at-rim';
import { burstSpacing } from './house/burst-spacing';
import { cleanoutSpacing } from './house/cleanout-spacing';
import { clearBeforePrice } from './house/clear-before-price';
import { complaintAnswered } from './house/complaint-answered';
import { fiberServes } from './house/fiber-serves';
import { fitsYears } from './house/fits-years';
import { floorBelowRim } from './house/floor-below-rim';
import { oldTank } from './house/old-tank';
import { permitHistory } from './house/permit-history';
import { proofAtSale } from './house/proof-at-sale';
import { rainTiedIn } from './house/rain-tied-in';
import { sellerAndCover } from './house/seller-and-cover';
import { sharedLine } from './house/shared-line';
import { shieldedCoupling } from './house/shielded-coupling';
import { surcharge } from './house/surcharge';
import { trapInLine } from './house/trap-in-line';
import { vacantFlow } from './house/vacant-flow';
import { lookThenDecide } from './order/look-then-decide';
import { publicSide } from './order/public-side';
import { quantitiesFromLog } from './order/quantities-from-log';
import { sharedPit } from './order/shared-pit';
import { upkeepOrRepair } from './order/upkeep-or-repair';
import { breakExplainsRoots } from './roots/break-explains-roots';
import { cleanedBefore } from './roots/cleaned-before';
import { movesWithWater } from './roots/moves-with-water';
import { plantingOverJoints } from './roots/planting-over-joints';
import { rootsAtJoints } from './roots/roots-at-joints';
import { rootsHoldDebris } from './roots/roots-hold-debris';
import { rootsInBarrel } from './roots/roots-in-barrel';
import { rootsInIron } from './roots/roots-in-iron';
import { rootsLeakOut } from './roots/roots-leak-out';
import { rootsSmallBore } from './roots/roots-small-bore';
import type { Rule } from './rule';
import { asbestosCement } from './structure/asbestos-cement';
import { closeTogether } from './structure/close-together';
import { concreteWear } from './structure/concrete-wear';
import { depositBelowTee } from './structure/deposit-below-tee';
import { fiberDeforms } from './structure/fiber-deforms';
import { gapClear } from './structure/gap-clear';
import { ironCondition } from './structure/iron-condition';
import { leaksOut } from './structure/leaks-out';
import { linedPipe } from './structure/lined-pipe';
import { lipCatches } from './structure/lip-catches';
import { materialSuspected } from './structure/material-suspected';
import { pastServiceLife } from './structure/past-service-life';
import { reducesDownstream } from './structure/reduces-downstream';
import { upkeepNeedsCleanout } from './structure/upkeep-needs-cleanout';
import { wallMissing } from './structure/wall-missing';
import { wetCrawlspace } from './structure/wet-crawlspace';
import { wrongLayout } from './structure/wrong-layout';
import { bellyCure } from './water/belly-cure';
import { clearsBriskly } from './water/clears-briskly';
import { fullBore } from './water/full-bore';
import { lipDisplaced } from './water/lip-displaced';
import { openCauses } from './water/open-causes';
import { poolHeld } from './water/pool-held';
import { residualWater } from './water/residual-water';
import { residueLine } from './water/residue-line';
import { risesWithWater } from './water/rises-with-water';
import { runGradeFailed } from './water/run-grade-failed';
import { scaleWater } from './water/scale-water';
import { shallowWater } from './water/shallow-water';
import { wasteWithoutWater } from './water/waste-without-water';
import { waterWhileRunning } from './water/water-while-running';

/** Every rule of judgement, in the order in which the trade numbers them. */
export const RULES: readonly Rule[] = [
  capStuck,
  noUsableCleanout,
  zeroAtRim,
  endNotMain,
  inferredOnly,
  headTooBig,
  waterWhileRunning,
  residualWater,
  fullBore,
  shallowWater,
  poolHeld,
  lipDisplaced,
  residueLine,
  runGradeFailed,
  openCauses,
  wasteWithoutWater,
  scaleWater,
  risesWithWater,
  clearsBriskly,
  bellyCure,
  rootsAtJoints,
  rootsInBarrel,
  rootsInIron,
  rootsHoldDebris,
  rootsSmallBore,
  cleanedBefore,
  movesWithWater,
  breakExplainsRoots,
  plantingOverJoints,
  rootsLeakOut,
  wallMissing,
  lipCatches,
  gapClear,
  ironCondition,
  fiberDeforms,
  concreteWear,
  asbestosCement,
  linedPipe,
  reducesDownstream,
  wrongLayout,
  pastServiceLife,
  closeTogether,
  depositBelowTee,
  upkeepNeedsCleanout,
  wetCrawlspace,
  materialSuspected,
  upkeepOrRepair,
  lookThenDecide,
  quantitiesFromLog,
  publicSide,
  sharedPit,
  fitsYears,
  fiberServes,
  floorBelowRim,
  surcharge,
  clearBeforePrice,
  burstSpacing,
  sharedLine,
  rainTiedIn,
  oldTank,
  shieldedCoupling,
  permitHistory,
  proofAtSale,
  cleanoutSpacing,
  sellerAndCover,
  trapInLine,
  complaintAnswered,
  vacantFlow,
  leaksOut,
];
