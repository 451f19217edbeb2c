import type { Database } from 'better-sqlite3';
import { hasRight, type Person, type Right } from '#core/office/roles';
import { jobOfMessage } from '../delivery/outbox';
import { isAssigned } from '../security/caller';

type Route = {
  readonly methods: readonly string[];
  readonly path: RegExp;
  readonly right: Right;
};

const ONE = '[^/]+';
const JOB = `/jobs/(?<job>${ONE})`;
const API_JOB = `/api${JOB}`;
const MESSAGE = `/api/outbox/(?<message>${ONE})`;

const route = (methods: string, path: string, right: Right): Route => ({
  methods: methods.split(' '),
  path: new RegExp(`^${path}/?$`),
  right,
});

/**
 * What each address takes, by method. One that is not here is answered to nobody but where Chert has no accounts:
 * a new route is closed until it is written down. `HEAD` goes with `GET`.
 */
const ROUTES: readonly Route[] = [
  route('GET POST', '/sign-in', 'open'),
  route('GET POST', '/forgot', 'open'),
  route('GET POST', `/join/${ONE}`, 'open'),
  route('POST', '/api/passkeys/sign-in', 'open'),
  route('POST', '/api/passkeys/challenge', 'open'),
  route('GET', `/r/${ONE}`, 'open'),
  route('GET', `/r/${ONE}/${ONE}`, 'open'),
  route('GET', `/calendar/${ONE}`, 'open'),
  route('GET', '/api/health', 'open'),
  route('POST', '/light', 'open'),

  route('GET', '/', 'read'),
  route('GET', '/board', 'read'),
  // Whether a job's is theirs to settle is asked where it is read.
  route('GET POST', '/due', 'read'),
  route('GET', JOB, 'read'),
  ...[
    'findings',
    'lateral',
    'look',
    'observations',
    'repairs',
    'report',
    'request',
    'scope',
    'site',
    'history',
  ].map((page) => route('GET', `${JOB}/${page}`, 'read')),
  route('GET', `${JOB}/issued/${ONE}`, 'read'),
  route('GET', '/api/jobs', 'read'),
  route('GET', API_JOB, 'read'),
  route('GET', `${API_JOB}/file`, 'read'),
  route('GET', `${API_JOB}/files/.+`, 'read'),
  route('GET', `${API_JOB}/history`, 'read'),
  route('GET', `${API_JOB}/issued`, 'read'),
  route('GET', `${API_JOB}/issued/${ONE}/.+`, 'read'),
  route('GET', `${API_JOB}/media/${ONE}`, 'read'),
  route('GET', `${API_JOB}/recordings/${ONE}`, 'read'),
  route('GET', `${API_JOB}/recordings/${ONE}/clip`, 'read'),
  route('GET', `${API_JOB}/report\\.pdf`, 'read'),
  route('GET', '/api/preferences', 'read'),

  route('GET POST', '/contacts', 'book'),
  route('GET', '/api/slots', 'book'),
  route('POST', '/api/jobs', 'book'),
  route('POST', '/api/jobs/import', 'book'),
  route('GET POST', `${JOB}/remove`, 'agree'),
  route('DELETE', API_JOB, 'agree'),
  // Which fields it may set is asked where they are read: see `edits`.
  route('PATCH', API_JOB, 'agree'),
  route('POST', `${API_JOB}/runs/${ONE}/entries`, 'log'),
  route('PUT', `${API_JOB}/media/${ONE}`, 'log'),
  route('POST', `${API_JOB}/issued`, 'log'),
  route('POST', `${API_JOB}/send`, 'send'),
  // A list of links tells who was sent what.
  route('GET POST', `${API_JOB}/shares`, 'send'),
  route('DELETE', `${API_JOB}/shares/${ONE}`, 'send'),

  route('GET', '/outbox', 'mail'),
  route('POST', `${MESSAGE}/again`, 'mail'),
  route('GET', `${MESSAGE}/${ONE}`, 'mail'),
  route('GET POST', '/me', 'own'),
  route('POST', '/sign-out', 'own'),
  route('POST', '/api/passkeys/new', 'own'),
  route('POST', '/api/passkeys', 'own'),
  route('POST', '/api/passkeys/confirm', 'own'),
  route('GET', '/settings', 'set'),
  // Which parts it may set is asked where they are read: see `preferences`.
  route('PATCH', '/api/preferences', 'set'),
  route('GET', '/api/invoices\\.csv', 'firm'),
  route('GET', '/firm', 'firm'),
  route('GET', '/prices', 'firm'),
  route('GET POST', '/people', 'people'),
  route('GET', '/people/log', 'people'),
  route('GET', '/devices', 'firm'),
  route('POST', '/devices', 'people'),
];

/** What an address asks about, as its path names it. */
type Named = { readonly job?: string; readonly message?: string };

const plain = (text: string) => {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
};

/** The right that a request takes, and what it names; `null` for an address that is not written down. */
export function rightOf(
  method: string,
  path: string,
): { readonly right: Right; readonly named: Named } | null {
  const asked = method === 'HEAD' ? 'GET' : method;
  for (const one of ROUTES) {
    const found = one.methods.includes(asked) ? one.path.exec(path) : null;
    if (!found) continue;
    const { job, message } = found.groups ?? {};
    return {
      right: one.right,
      named: {
        ...(job === undefined ? {} : { job: plain(job) }),
        ...(message === undefined ? {} : { message: plain(message) }),
      },
    };
  }
  return null;
}

/** Whether somebody may ask for something. Without accounts nobody is asked: pass no one then. */
export function mayAsk(db: Database, person: Person, method: string, path: string): boolean {
  const asked = rightOf(method, path);
  if (!asked) return false;
  const { right, named } = asked;
  if (named.message === undefined) {
    const isTheirs = named.job === undefined || isAssigned(db, named.job, person.id);
    return hasRight(person.role, right, isTheirs);
  }
  const jobId = jobOfMessage(db, named.message);
  // Mail to people of the firm is about what lets somebody in.
  if (jobId === null) return hasRight(person.role, 'people', false);
  const isTheirs = jobId !== undefined && isAssigned(db, jobId, person.id);
  return hasRight(person.role, right, isTheirs);
}

/** Whether an address is open to who is not signed in. */
export const isOpen = (method: string, path: string): boolean =>
  rightOf(method, path)?.right === 'open';
