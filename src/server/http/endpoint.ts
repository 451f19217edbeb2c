import type { APIContext, APIRoute } from 'astro';
import { answerError, Refusal } from './answer';
import { stampNow } from './stamp';

/** The header by which a device says for which installation its changes are. */
const MEANT_FOR = 'x-chert-installation';

/** Changes meant for another Chert (another data folder at this address) are never taken. */
function refuseOther({ request }: APIContext): void {
  const meant = request.headers.get(MEANT_FOR);
  if (meant === null || meant === stampNow()?.installation) return;
  throw new Refusal(
    421,
    'other-installation',
    'This is another Chert than the one this was logged for. Nothing was stored; it is kept on the device.',
  );
}

/** Wraps an endpoint: refusals become the one error shape, and nothing inside ever leaks out. */
export function endpoint(handle: (context: APIContext) => Promise<Response> | Response): APIRoute {
  return async (context) => {
    try {
      refuseOther(context);
      return await handle(context);
    } catch (error) {
      if (error instanceof Refusal) return answerError(error);
      if (isDiskFull(error)) return answerError(DISK_FULL);
      console.error(error);
      return answerError(
        new Refusal(
          500,
          'unexpected',
          'Something went wrong in Chert. Nothing was stored; what you typed is kept here. Try again.',
        ),
      );
    }
  };
}

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
