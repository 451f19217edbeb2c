import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import sirv from 'sirv';
import { answerError, Refusal, refuseUnknown } from '../http/answer';
import { MEGABYTE } from '../http/limits';
import { WHO_HEADER, writeWho } from '../http/who';
import type { SignedIn } from '../people/sessions';
import { type Asked, judgeAccess, OWNER_PATH, type Verdict, type World } from './access';
import { type Lane, laneOf } from './lanes';
import { answerLog } from './log-route';
import { PLAIN_HEADERS, sayPage } from './plain-pages';
import { type Done, NotDone, type Pool, type Task } from './pool';

type Handler = (request: IncomingMessage, response: ServerResponse) => void | Promise<void>;

export type FrontWishes = {
  readonly world: World;
  /** The app on this thread, for what may not wait. */
  readonly app: Handler;
  readonly pools: Readonly<Record<Exclude<Lane, 'log' | 'here'>, Pool>>;
  /** The folder of files that are handed out as they are. */
  readonly clientFolder: string;
};

/** A link may be read this often by one address in a minute, and the first owner's code tried this often. */
const LINK_TRIES = 120;
const CODE_TRIES = 10;
const MINUTE_S = 60;
/** What only who has its secret opens: a link, or a passkey. */
const BY_SECRET = /^\/((r|join|calendar)\/|api\/passkeys\/(challenge|sign-in)\/?$)/;
/** The page of what is not there. */
const NOT_HERE = '/404';

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

/**
 * What is too large is read on this far and let fall: who closes while the other end still sends takes the answer
 * away from it.
 */
const LET_FALL_BYTES = 32 * MEGABYTE;

/** Reads a body up to its limit; what is over it is refused before anything looks at it. */
async function readBody(request: IncomingMessage, limitBytes: number): Promise<Buffer> {
  const tooLarge = () => {
    const most = limitBytes >= MEGABYTE ? `${limitBytes / MEGABYTE} MB` : `${limitBytes} bytes`;
    return new Refusal(
      413,
      'too-large',
      `Expected at most ${most}, got more. Nothing was stored; send less at once.`,
    );
  };
  const mostBytes = limitBytes + LET_FALL_BYTES;
  const toldBytes = Number(request.headers['content-length'] ?? 0);
  if (toldBytes > mostBytes) throw tooLarge();
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of request as AsyncIterable<Buffer>) {
    size += chunk.byteLength;
    if (size > mostBytes) throw tooLarge();
    if (size <= limitBytes && toldBytes <= limitBytes) chunks.push(chunk);
  }
  if (size > limitBytes) throw tooLarge();
  return Buffer.concat(chunks);
}

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
const SENT_TO = { 'signed-out': '/sign-in', 'no-owner': OWNER_PATH } as const;

function sendTo(response: ServerResponse, page: string, back: string): void {
  response.writeHead(303, {
    location: `${page}?${new URLSearchParams({ back }).toString()}`,
    'cache-control': 'no-store',
  });
  response.end();
}

function askedOf(request: IncomingMessage): Asked {
  const path = (request.url ?? '/').replace(/[?#].*$/s, '');
  const { method = 'GET', headers } = request;
  return { method, path, headers, remoteAddress: request.socket.remoteAddress };
}

/** Says to the app who asks, and drops whatever else said so. */
function tell(request: IncomingMessage, who: SignedIn | null): void {
  if (who) request.headers[WHO_HEADER] = writeWho(who);
  // eslint-disable-next-line @typescript-eslint/no-dynamic-delete -- the name is a constant
  else delete request.headers[WHO_HEADER];
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
export function createFront({ world, app, pools, clientFolder }: FrontWishes): Server {
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
  const links = new RateLimiterMemory({ points: LINK_TRIES, duration: MINUTE_S });
  const codes = new RateLimiterMemory({ points: CODE_TRIES, duration: MINUTE_S });
  /** Whose tries are counted: behind a proxy, the address that it names. */
  const addressOf = ({ headers, remoteAddress = '' }: Asked) =>
    String(headers['x-forwarded-for'] ?? remoteAddress)
      .split(',')
      .at(-1)!
      .trim();
  const mayTry = (limiter: RateLimiterMemory, asked: Asked) =>
    limiter.consume(addressOf(asked)).then(
      () => true,
      () => false,
    );
  const tooOften = [
    429,
    'too-often',
    'That was too often in one minute. Wait a minute, then try again.',
  ] as const;

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

  async function answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
    const asked = askedOf(request);
    const { method, path } = asked;
    const { verdict, who } = judgeAccess(asked, world);
    tell(request, who);
    if (verdict === 'not-theirs') return hide(asked, request, response);
    if (verdict !== 'welcome') {
      if (!isApi(path) && method === 'GET' && verdict in SENT_TO) {
        sendTo(response, SENT_TO[verdict as keyof typeof SENT_TO], request.url ?? '/');
        return;
      }
      const [status, message] = REFUSED[verdict];
      return refuse(asked, response, [status, verdict, message]);
    }
    if (BY_SECRET.test(path) && !(await mayTry(links, asked)))
      return refuse(asked, response, tooOften);
    if (path === OWNER_PATH && method === 'POST' && !(await mayTry(codes, asked)))
      return refuse(asked, response, tooOften);
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
    const isFile = request.method === 'GET' || request.method === 'HEAD';
    const go = () =>
      void answer(request, response).catch((error: unknown) =>
        settle(askedOf(request), response, error).catch(() => response.destroy()),
      );
    if (!isFile) {
      go();
      return;
    }
    files(request, response, go);
  });
}
