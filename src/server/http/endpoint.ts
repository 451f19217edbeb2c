import type { APIContext, APIRoute } from 'astro';
import type { Person } from '#core/office/roles';
import { StoreTrouble } from '../media/store';
import { answerError, Refusal } from './answer';
import { MEANT_BY, MEANT_FOR } from './meant';
import { stampNow } from './stamp';

/** Changes meant for another Chert (another data folder at this address) are never taken. */
export function refuseOther(meant: string | undefined | null): void {
  if (meant === null || meant === undefined || meant === stampNow()?.installation) return;
  throw new Refusal(
    421,
    'other-installation',
    'This is another Chert than the one this was logged for. Nothing was stored; it is kept on the device.',
  );
}

/** What somebody logged is never taken under another's name. */
export function refuseOtherPerson(by: string | undefined | null, who: Person | null): void {
  if (!by || by === who?.id) return;
  throw new Refusal(
    401,
    'other-person',
    'Somebody else is signed in here than the one who logged this. It is kept on this device, and sent once they sign in here again.',
  );
}

/** Wraps an endpoint: refusals become the one error shape, and nothing inside ever leaks out. */
export function endpoint(handle: (context: APIContext) => Promise<Response> | Response): APIRoute {
  return async (context) => {
    try {
      refuseOther(context.request.headers.get(MEANT_FOR));
      refuseOtherPerson(context.request.headers.get(MEANT_BY), context.locals.who);
      return await handle(context);
    } catch (error) {
      return answerError(refusalOf(error));
    }
  };
}

/** What is said of an error: a refusal as it is; anything else is noted on the server and tells nothing of its inside. */
export function refusalOf(error: unknown): Refusal {
  if (error instanceof Refusal) return error;
  if (isDiskFull(error)) return DISK_FULL;
  if (error instanceof StoreTrouble) {
    console.error(error.message);
    return UNREACHABLE;
  }
  console.error(error);
  return new Refusal(
    500,
    'unexpected',
    'Something went wrong in Chert. Nothing was stored; what you typed is kept here. Try again.',
  );
}

const UNREACHABLE = new Refusal(
  503,
  'media-unreachable',
  'Media storage cannot be reached right now. Nothing was lost or stored; what you logged is kept on this device and sent again. Try again in a minute.',
);

const DISK_FULL = new Refusal(
  507,
  'disk-full',
  'The disk under Chert’s data is full. Nothing was stored there; what you logged is kept on this device and sent again. Free some space.',
);

/** Whether a write failed for want of space, in the database or in a file. */
function isDiskFull(error: unknown): boolean {
  const code = (error as { code?: unknown } | null)?.code;
  return code === 'SQLITE_FULL' || code === 'ENOSPC' || code === 'EDQUOT';
}
