import type { IncomingMessage } from 'node:http';
import { parseCookie } from 'cookie';
import { MEANT_BY } from '../http/meant';
import { DEVICE_COOKIE } from '../people/device-cookie';
import type { HeldReport } from '../people/devices';
import { isSame } from '../people/same-secret';
import { SESSION_COOKIE, type SignedIn } from '../people/sessions';
import type { Caller } from '../security/caller';
import type { DeviceProof } from '../security/custody';
import { isOpen } from './gate';
import { isLoopback, LOOPBACK_NAMES } from './loopback';

/** What is known of a request before anything is done with it. */
export type Asked = {
  readonly method: string;
  /** The path, without its query. */
  readonly path: string;
  readonly headers: IncomingMessage['headers'];
  readonly remoteAddress: string | undefined;
};

/** The people of a firm, as the front asks for them. */
export type People = {
  readonly hasOwner: () => boolean;
  /** Who is signed in with a secret. */
  readonly find: (secret: string) => SignedIn | null;
  readonly may: (person: SignedIn, method: string, path: string) => boolean;
  /** The device as it hands over what was logged on it; `null` where it has nothing of that job to hand over. */
  readonly findCustody: (proof: DeviceProof, jobId: string) => Caller | null;
  /** Whether a secret is of a session that was ended from elsewhere. */
  readonly isDeviceEnded: (secret: string) => boolean;
  /** Notes what the device of a session says that it holds. */
  readonly noteHeld: (sessionId: string, report: HeldReport) => void;
};

/** What the server was told about the world. */
export type World = {
  /** The HTTPS origin that tablets and phones use, from `CHERT_ORIGIN`; `null` when not set. */
  readonly origin: URL | null;
  /** Whether others than this machine may reach it, by `CHERT_ORIGIN` or `HOST`. */
  readonly isReachable: boolean;
  /** What scripts on this machine bring, where Chert has no people. */
  readonly token: string;
  readonly people: People;
};

/** Whether a request may be answered; if not, why not. */
export type Verdict =
  | 'welcome'
  | 'wrong-host'
  | 'wrong-origin'
  | 'wrong-method'
  | 'no-owner'
  | 'signed-out'
  | 'device-ended'
  | 'not-theirs';

/** A verdict, and who asks: `null` for nobody who is known, to whom open addresses alone are answered. */
export type Judged = { readonly verdict: Verdict; readonly caller: Caller | null };

/** Where the first owner is made. */
export const OWNER_PATH = '/owner';

const READING = new Set(['GET', 'HEAD']);
const WRITING = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);
/** How the server is: whether it works to anybody, what is wrong to who is signed in. */
const HEALTH = '/api/health';

/** Whether a request came over this machine's own loopback, and not through a proxy on it. */
function isFromHere({ remoteAddress = '', headers }: Asked): boolean {
  const isForwarded = headers['x-forwarded-for'] !== undefined || headers.forwarded !== undefined;
  return isLoopback(remoteAddress) && !isForwarded;
}

const bearerOf = ({ headers }: Asked) => /^Bearer (\S+)$/.exec(headers.authorization ?? '')?.[1];

/** Where a device sends what was logged on it: entries, facts and stills of a job. */
const HANDING_OVER = [
  ['POST', /^\/api\/jobs\/([^/]+)\/runs\/[^/]+\/entries\/?$/, 'mayLog'],
  ['PATCH', /^\/api\/jobs\/([^/]+)\/?$/, 'mayAgree'],
  ['PUT', /^\/api\/jobs\/([^/]+)\/media\/[^/]+\/?$/, 'mayLog'],
] as const;

/** The device that a request hands something over from, where it may; `null` for any other request. */
function deviceHandingOver(
  { method, path }: Asked,
  proof: DeviceProof,
  { findCustody }: People,
): Caller | null {
  const [, pattern, right] = HANDING_OVER.find(([one]) => one === method) ?? [];
  const jobId = pattern?.exec(path)?.[1];
  if (jobId === undefined || right === undefined) return null;
  const device = findCustody(proof, decodeURIComponent(jobId));
  return device?.kind === 'device' && device[right] ? device : null;
}

/** What a device shows of itself. */
function proofOf({ headers }: Asked): DeviceProof {
  const cookies = parseCookie(headers.cookie ?? '');
  const said = headers[MEANT_BY];
  return {
    secret: cookies[SESSION_COOKIE],
    deviceCookie: cookies[DEVICE_COOKIE],
    accountId: typeof said === 'string' && said !== '' ? said : undefined,
  };
}

/**
 * Decides whether a request is answered. Loopback names are honoured only from loopback, and the host of
 * `CHERT_ORIGIN`. Nothing is changed for a request that does not say, by its `Origin`, that it comes from Chert's own
 * pages, unless it is a script's on this machine that brings the token. Without people, this machine alone is answered;
 * where others may reach it, the page that makes the first owner is all there is. With people, whoever asks is signed in
 * and may ask for it, or it is open to all.
 */
export function judgeAccess(asked: Asked, world: World): Judged {
  const { method, path, headers } = asked;
  const { people, token } = world;
  const verdict = (one: Verdict, caller: Caller | null = null): Judged => ({
    verdict: one,
    caller,
  });
  if (!READING.has(method) && !WRITING.has(method)) return verdict('wrong-method');
  const host = headers.host ?? '';
  const isLocal = isFromHere(asked) && LOOPBACK_NAMES.has(host.replace(/:\d+$/, ''));
  const isPublic = world.origin !== null && host === world.origin.host;
  if (!isLocal && !isPublic) return verdict('wrong-host');
  const isFirm = people.hasOwner();
  const isScript = !isFirm && isLocal && isSame(bearerOf(asked) ?? '', token);
  if (WRITING.has(method)) {
    const own = isLocal ? `http://${host}` : world.origin!.origin;
    const mayWrite = headers.origin === undefined ? isScript : headers.origin === own;
    if (!mayWrite) return verdict('wrong-origin');
  }
  if (!isFirm) {
    const isAlone = isLocal && !world.isReachable;
    if (isAlone) return verdict('welcome', { kind: isScript ? 'script' : 'alone' });
    return verdict(path === OWNER_PATH || path === HEALTH ? 'welcome' : 'no-owner');
  }
  const proof = proofOf(asked);
  const person = proof.secret === undefined ? null : people.find(proof.secret);
  const caller = person && ({ kind: 'person', person } as const);
  if (path === HEALTH || isOpen(method, path)) return verdict('welcome', caller);
  const isTheirOwn = proof.accountId === undefined || proof.accountId === person?.id;
  if (person && isTheirOwn && people.may(person, method, path)) return verdict('welcome', caller);
  // What was logged in the field is always taken, under its maker's name.
  const device = deviceHandingOver(asked, proof, people);
  if (device) return verdict('welcome', device);
  if (!person) {
    const isEnded = proof.secret !== undefined && people.isDeviceEnded(proof.secret);
    return verdict(isEnded ? 'device-ended' : 'signed-out');
  }
  // Somebody else's work, which waits for them: the answer of the address says so.
  return verdict(people.may(person, method, path) ? 'welcome' : 'not-theirs', caller);
}
