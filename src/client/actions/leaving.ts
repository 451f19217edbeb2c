import { ulid } from 'ulid';
import { localInstant } from '#client/time';
import type { ToClear } from '#core/judge/to-clear';
import type { Decision } from '#core/model/job/inspection';

/** The decision that the site was left, with what was open then and why. */
export function leavingOf(reason: string, open: readonly ToClear[], now: Date): Decision {
  return {
    id: ulid(),
    kind: 'left-site',
    reason,
    at: localInstant(now),
    open: open.map(({ code, message }) => ({ code, message })),
  };
}
