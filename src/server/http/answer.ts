import type { Fault } from '#core/base/fault';
import { type Stamp, stampNow } from './stamp';

/** The one shape in which every endpoint reports what went wrong. */
export type ErrorBody = {
  readonly error: {
    readonly code: string;
    readonly message: string;
    readonly faults: readonly Fault[];
  };
};

/** An answer before it is put in words. */
export type Answer = { readonly status: number; readonly body: object };

export const JSON_HEADERS = {
  'content-type': 'application/json; charset=utf-8',
  'cache-control': 'no-store',
};

/** An object as it is sent: it carries who answers, so that no other page on the way is taken for Chert. */
export function stamped(body: object): string {
  const whole: { readonly chert: Stamp | null } = { chert: stampNow(), ...body };
  return JSON.stringify(whole);
}

/** Answers with an object. */
export const answer = (body: object, status = 200): Response =>
  new Response(stamped(body), { status, headers: JSON_HEADERS });

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

/** What a refusal says. */
export const errorOf = ({ code, message, faults, status }: Refusal): Answer => ({
  status,
  body: { error: { code, message, faults } } satisfies ErrorBody,
});

export function answerError(refusal: Refusal): Response {
  const { status, body } = errorOf(refusal);
  return answer(body, status);
}

export function refuseFaults(faults: readonly Fault[]): Refusal {
  const count = faults.length === 1 ? 'One thing is' : `${faults.length} things are`;
  return new Refusal(400, 'bad-input', `${count} not as expected. Nothing was stored.`, faults);
}

export function refuseUnknown(what: string): Refusal {
  return new Refusal(404, 'not-found', `There is no such ${what}. Go back to Jobs.`);
}

export function refuseConflict(what: string): Refusal {
  return new Refusal(
    409,
    'conflict',
    `The id of this ${what} is taken by a different one. Nothing was stored; send it with a new id.`,
  );
}
