import type { Fault } from '#core/base/fault';

/** The one shape in which every endpoint reports what went wrong. */
export type ErrorBody = {
  readonly error: {
    readonly code: string;
    readonly message: string;
    readonly faults: readonly Fault[];
  };
};

const HEADERS = { 'content-type': 'application/json; charset=utf-8', 'cache-control': 'no-store' };

export function answer(body: unknown, status = 200): Response {
  return new Response(JSON.stringify(body), { status, headers: HEADERS });
}

/** Something that ends a request with a clear error; thrown by readers, answered by `endpoint`. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly faults: readonly Fault[] = [],
  ) {
    super(message);
  }
}

export function answerError(refusal: Refusal): Response {
  const { code, message, faults, status } = refusal;
  return answer({ error: { code, message, faults } } satisfies ErrorBody, status);
}

export function refuseFaults(faults: readonly Fault[]): Refusal {
  const count = faults.length === 1 ? 'One thing is' : `${faults.length} things are`;
  return new Refusal(400, 'bad-input', `${count} not as expected. Nothing was stored.`, faults);
}

export function refuseUnknown(what: string): Refusal {
  return new Refusal(404, 'not-found', `There is no such ${what}. Go back to the Desk.`);
}

export function refuseConflict(what: string): Refusal {
  return new Refusal(
    409,
    'conflict',
    `The id of this ${what} is taken by a different one. Nothing was stored; send it with a new id.`,
  );
}
