import type { IncomingHttpHeaders, ServerResponse } from 'node:http';
import { type Answer, errorOf, JSON_HEADERS, stamped } from '../http/answer';
import { parseJson, refuseOtherType } from '../http/body';
import { ADDRESS_HEADER, CALLER_HEADER, readCaller } from '../http/caller-header';
import { refusalOf, refuseOther, refuseOtherPerson } from '../http/endpoint';
import { MEANT_BY, MEANT_FOR } from '../http/meant';
import { LOADS_NOTHING, SECURITY_HEADERS } from '../http/security-headers';
import { serviceCall } from '../http/service-call';
import { takeEntries } from '../http/take-entries';
import { personOf } from '../security/caller';

const HEADERS = {
  ...SECURITY_HEADERS,
  ...JSON_HEADERS,
  'content-security-policy': LOADS_NOTHING,
};

const PATH = /^\/api\/jobs\/([^/]+)\/runs\/([^/]+)\/entries\/?$/;

/** An id as it stands in an address; what is no such thing names nothing. */
function idIn(text: string | undefined): string {
  try {
    return decodeURIComponent(text ?? '');
  } catch {
    return '';
  }
}

/**
 * Takes entries of a log without the page framework between: what an inspector in the field waits for, and
 * more often than anything else. The same as the endpoint of that address.
 */
export async function answerLog(
  path: string,
  headers: IncomingHttpHeaders,
  readBody: () => Promise<Buffer>,
  response: ServerResponse,
): Promise<void> {
  const [, jobId, runId] = PATH.exec(path) ?? [];
  const { status, body } = await takeLog(headers, readBody, idIn(jobId), idIn(runId));
  const text = stamped(body);
  // What was not read of a body is not waited for.
  if (status === 413) response.setHeader('connection', 'close');
  response.writeHead(status, { ...HEADERS, 'content-length': Buffer.byteLength(text) });
  response.end(text);
}

const headerOf = (value: string | string[] | undefined) =>
  Array.isArray(value) ? value[0] : value;

async function takeLog(
  headers: IncomingHttpHeaders,
  readBody: () => Promise<Buffer>,
  jobId: string,
  runId: string,
): Promise<Answer> {
  try {
    const caller = readCaller(headerOf(headers[CALLER_HEADER]));
    refuseOther(headerOf(headers[MEANT_FOR]));
    refuseOtherPerson(headerOf(headers[MEANT_BY]), personOf(caller));
    refuseOtherType(headers['content-type'] ?? '');
    const call = serviceCall(caller, {
      address: headerOf(headers[ADDRESS_HEADER]) ?? '',
      userAgent: headers['user-agent'] ?? null,
    });
    return await takeEntries(call, jobId, runId, parseJson(await readBody()));
  } catch (error) {
    // The other end went away while it was sending: nobody is left to be answered.
    if ((error as { readonly code?: string }).code === 'ECONNRESET') throw error;
    return errorOf(refusalOf(error));
  }
}
