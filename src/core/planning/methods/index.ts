import type { MethodId } from '../../catalogue/method-ids';
import { abatement } from './abatement';
import { backwaterValve } from './backwater-valve';
import { burst } from './burst';
import { cleanout } from './cleanout';
import { cut } from './cut';
import { descale } from './descale';
import { dig } from './dig';
import { ejector } from './ejector';
import { flush } from './flush';
import { jet } from './jet';
import { liner } from './liner';
import { lookAgain } from './look-again';
import type { Method } from './method';
import { notifyAuthority } from './notify-authority';
import { notifyUtilityOwner } from './notify-utility-owner';
import { patchLiner } from './patch-liner';
import { raiseRiser } from './raise-riser';
import { rampLip } from './ramp-lip';
import { replaceExposed } from './replace-exposed';
import { reroute } from './reroute';
import { secondOpinion } from './second-opinion';
import { slabBreak } from './slab-break';
import { treatRoots } from './treat-roots';
import { trimTap } from './trim-tap';

/** Every method, in the order of works. */
export const METHODS: readonly Method[] = [
  notifyUtilityOwner,
  notifyAuthority,
  cleanout,
  raiseRiser,
  backwaterValve,
  lookAgain,
  secondOpinion,
  abatement,
  dig,
  replaceExposed,
  slabBreak,
  reroute,
  burst,
  ejector,
  jet,
  cut,
  treatRoots,
  descale,
  rampLip,
  trimTap,
  flush,
  liner,
  patchLiner,
];

const BY_ID = new Map(METHODS.map((method) => [method.id, method]));

/** The method of a name. */
export function methodById(id: MethodId): Method {
  const method = BY_ID.get(id);
  if (!method) throw new Error(`no method is called ${id}`);
  return method;
}
