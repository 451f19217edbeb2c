import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import sirv from 'sirv';
import { answerError, Refusal, refuseUnknown } from '../http/answer';
import { ADDRESS_HEADER, CALLER_HEADER, writeCaller } from '../http/caller-header';
import { HELD_HEADER } from '../http/meant';
import { readHeldReport } from '../people/devices';
import { type Caller, personOf } from '../security/caller';
import { type Asked, judgeAccess, OWNER_PATH, type Verdict, type World } from './access';
import { clientAddress, dropForwarded } from './client-address';
import { type Lane, laneOf } from './lanes';
import { answerLog } from './log-route';
import { PLAIN_HEADERS, sayPage } from './plain-pages';
import { type Done, NotDone, type Pool, type Task } from './pool';
import { readBody } from './read-body';
import { readTarget } from './request-path';
import { createThrottle } from './throttle';

type Handler = (request: IncomingMessage, response: ServerResponse) => void | Promise<void>;

export type FrontWishes = {
  readonly world: World;
  /** The app on this thread, for what may not wait. */
  readonly app: Handler;
  readonly pools: Readonly<Record<Exclude<Lane, 'log' | 'here'>, Pool>>;
  /** The folder of files that are handed out as they are. */
  readonly clientFolder: string;
  /** Addresses of proxies elsewhere that are believed when they say who asks. */
  readonly proxies?: ReadonlySet<string>;
};

/** The page of what is not there. */
const NOT_HERE = '/404';
/** What is refused without being looked at is answered in JSON: no person types such an address. */
const UNKNOWN_PATH = '/api/';
const NOT_CANONICAL = [
  400,
  'bad-path',
  'Expected a path in its plain form: no dot segments, doubled slashes, backslashes or needless escapes. Nothing was stored; ask for the address as it is written in a page.',
] as const;
const TOO_OFTEN = [
  429,
  'too-often',
  'That was too often in one minute. Wait a minute, then try again.',
] as const;
/** So many reports of devices are remembered at once. */
const MOST_REPORTS = 10_000;
/** After so many seconds a queue that is full has room again. */
const RETRY_S = 5;

const REFUSED: Readonly<Record<Exclude<Verdict, 'welcome' | 'not-theirs'>, [number, string]>> = {
  'wrong-method': [405, 'Expected a method that this address knows. Nothing was stored.'],
  'wrong-host': [
    421,
    'This server does not answer to that host name. Set CHERT_ORIGIN to allow it.',
  ],
  'wrong-origin': [
    403,
    'Only Chert’s own pages may write here, or a script that brings the token. Nothing was stored.',
  ],
  'no-owner': [
    403,
    'Chert can be reached by others here and has no owner yet. Open its page /owner, with the code that was printed when it started, or run: npm run owner',
  ],
  'device-ended': [
    401,
    'This device was signed out from elsewhere. What was logged on it and not sent is handed over; the rest is taken off it.',
  ],
  'signed-out': [
    401,
    'Nobody is signed in here. What was logged is kept on this device, and sent once you sign in again.',
  ],
};

const NOT_DONE: Readonly<Record<NotDone['why'], [number, string]>> = {
  busy: [503, 'Chert is busy with much else. Nothing was stored; try again in a moment.'],
  'too-long': [503, 'This took longer than it may, and was ended. Nothing was stored.'],
  'too-large': [
    413,
    'This is too large: it took more memory than it may, and was ended. Nothing was stored. A job that is too large to be shown can still be exported.',
  ],
};

const isApi = (path: string) => path.startsWith('/api/');

/** Answers with words: JSON where a script asked, a plain page where a person did. */
async function refuse(
  { path }: Asked,
  response: ServerResponse,
  [status, code, message]: readonly [number, string, string],
): Promise<void> {
  if (response.headersSent) return void response.end();
  // What was not read of a body is not waited for.
  if (status === 413) response.setHeader('connection', 'close');
  if (!isApi(path)) {
    response.writeHead(status, PLAIN_HEADERS);
    return void response.end(sayPage('Not now', message));
  }
  const answer = answerError(new Refusal(status, code, message));
  response.writeHead(status, Object.fromEntries(answer.headers));
  response.end(await answer.text());
}

/** Where a person is sent instead, and comes back from. */
const SENT_TO = {
  'signed-out': '/sign-in',
  'device-ended': '/sign-in',
  'no-owner': OWNER_PATH,
} as const;

function sendTo(response: ServerResponse, page: string, back: string): void {
  response.writeHead(303, {
    location: `${page}?${new URLSearchParams({ back }).toString()}`,
    'cache-control': 'no-store',
  });
  response.end();
}

function askedOf(request: IncomingMessage, path: string): Asked {
  const { method = 'GET', headers } = request;
  return { method, path, headers, remoteAddress: request.socket.remoteAddress };
}

/** Says to the app who asks and from where, and drops whatever else said so. */
function tell({ headers }: IncomingMessage, caller: Caller | null, address: string): void {
  dropForwarded(headers);
  headers[ADDRESS_HEADER] = address;
  if (caller) headers[CALLER_HEADER] = writeCaller(caller);
}

function taskOf(request: IncomingMessage, body: Buffer): Task {
  const headers: Record<string, string> = {};
  for (const [name, value] of Object.entries(request.headers))
    if (value !== undefined) headers[name] = Array.isArray(value) ? value.join(', ') : value;
  const { method = 'GET', url = '/' } = request;
  // Handed over to the thread as it is, where it has its memory to itself.
  const isOwn = body.byteLength === body.buffer.byteLength;
  const bytes = isOwn ? new Uint8Array(body.buffer) : new Uint8Array(body);
  return { method, url, headers, body: body.byteLength > 0 ? bytes : null };
}

function give(response: ServerResponse, { status, headers, body }: Done): void {
  for (const [name, value] of Object.entries(headers))
    if (name !== 'connection' && name !== 'transfer-encoding')
      response.setHeader(name, typeof value === 'string' ? value : [...value]);
  response.writeHead(status);
  response.end(body);
}

/**
 * The thread that takes connections: it decides who is answered, hands out files, and gives every request
 * to the lane where it is worked on. Nothing that takes long runs here.
 */
export function createFront(wishes: FrontWishes): Server {
  const { world, app, pools, clientFolder, proxies = new Set() } = wishes;
  const files = sirv(clientFolder, {
    etag: true,
    brotli: true,
    gzip: true,
    setHeaders: (response, path) => {
      const kept = path.startsWith('/_astro/') ? 'public, max-age=31536000, immutable' : 'no-cache';
      response.setHeader('cache-control', kept);
      response.setHeader('x-content-type-options', 'nosniff');
    },
  });
  const throttle = createThrottle();

  /** What devices said last of what they hold, by session: most say each time that they hold nothing. */
  const reports = new Map<string, string>();
  function noteReport({ headers }: IncomingMessage, caller: Caller | null): void {
    const text = headers[HELD_HEADER];
    const person = personOf(caller);
    if (typeof text !== 'string' || !person || reports.get(person.sessionId) === text) return;
    const report = readHeldReport(text);
    if (!report) return;
    if (reports.size >= MOST_REPORTS) reports.clear();
    reports.set(person.sessionId, text);
    world.people.noteHeld(person.sessionId, report);
  }

  /** What somebody may not have is answered as what is not there. */
  async function hide(asked: Asked, request: IncomingMessage, response: ServerResponse) {
    if (isApi(asked.path)) {
      const { status, code, message } = refuseUnknown(
        asked.path.startsWith('/api/jobs/') ? 'job' : 'address',
      );
      return refuse(asked, response, [status, code, message]);
    }
    const task = { ...taskOf(request, Buffer.alloc(0)), method: 'GET', url: NOT_HERE };
    give(response, await pools.pages.run(task));
  }

  async function answer(asked: Asked, request: IncomingMessage, response: ServerResponse) {
    const { method, path } = asked;
    const address = clientAddress(asked.remoteAddress ?? '', asked.headers, proxies);
    const { verdict, caller } = judgeAccess(asked, world);
    noteReport(request, caller);
    tell(request, caller, address);
    if (verdict === 'not-theirs') return hide(asked, request, response);
    if (verdict !== 'welcome') {
      if (!isApi(path) && method === 'GET' && verdict in SENT_TO) {
        sendTo(response, SENT_TO[verdict as keyof typeof SENT_TO], request.url ?? '/');
        return;
      }
      const [status, message] = REFUSED[verdict];
      return refuse(asked, response, [status, verdict, message]);
    }
    const waitS = await throttle(method, path, address);
    if (waitS > 0) {
      response.setHeader('retry-after', waitS);
      return refuse(asked, response, TOO_OFTEN);
    }
    const { lane, limitBytes } = laneOf(method, path);
    if (lane === 'log')
      return answerLog(path, request.headers, () => readBody(request, limitBytes), response);
    if (lane === 'here') return app(request, response);
    const body = await readBody(request, limitBytes);
    give(response, await pools[lane].run(taskOf(request, body)));
  }

  async function settle(asked: Asked, response: ServerResponse, error: unknown): Promise<void> {
    if (error instanceof Refusal)
      return refuse(asked, response, [error.status, error.code, error.message]);
    if (error instanceof NotDone) {
      const [status, message] = NOT_DONE[error.why];
      if (status === 503) response.setHeader('retry-after', RETRY_S);
      return refuse(asked, response, [status, error.why, message]);
    }
    // The other end went away while it was asking: nobody is left to be answered.
    if ((error as { readonly code?: string }).code === 'ECONNRESET') return;
    console.error(error);
    const message =
      'Something went wrong in Chert. Nothing was stored; what you typed is kept here. Try again.';
    await refuse(asked, response, [500, 'unexpected', message]);
  }

  return createServer((request, response) => {
    const target = readTarget(request.url ?? '');
    if (!target) {
      void refuse(askedOf(request, UNKNOWN_PATH), response, NOT_CANONICAL);
      return;
    }
    // The one string that is judged is the one that is served.
    request.url = `${target.path}${target.search}`;
    const asked = askedOf(request, target.path);
    const go = () =>
      void answer(asked, request, response).catch((error: unknown) =>
        settle(asked, response, error).catch(() => response.destroy()),
      );
    if (asked.method === 'GET' || asked.method === 'HEAD') files(request, response, go);
    else go();
  });
}
