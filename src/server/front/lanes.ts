import { BODY_LIMITS } from '../http/limits';

/**
 * Where a request is worked on: on the thread that takes connections, where nothing may take long, entries of a log
 * before all; by the threads that draw pages; or by those that print, pack, issue and read files in.
 */
export type Lane = 'log' | 'here' | 'pages' | 'heavy';

type Route = {
  readonly method: RegExp;
  readonly path: RegExp;
  readonly lane: Lane;
  /** The most that its body may have, bytes. */
  readonly limitBytes: number;
};

const { record, media, file, zip } = BODY_LIMITS;
const JOB = '/api/jobs/[^/]+';
const route = (method: RegExp, path: string, lane: Lane, limitBytes: number): Route => ({
  method,
  path: new RegExp(`^${path}/?$`),
  lane,
  limitBytes,
});

/** The first that fits counts. */
const ROUTES: readonly Route[] = [
  // What an inspector in the field waits for.
  route(/^POST$/, `${JOB}/runs/[^/]+/entries`, 'log', record),
  route(/^PATCH$/, JOB, 'here', record),
  route(/^(GET|HEAD)$/, '/api/health', 'here', 0),
  // Tries are counted on one thread.
  route(/^POST$/, '/(sign-in|forgot|owner|me|people)', 'here', record),
  route(/^PUT$/, `${JOB}/media/[^/]+`, 'pages', media),
  route(/^POST$/, '/api/jobs/import', 'heavy', zip),
  route(/^POST$/, `${JOB}/issued`, 'heavy', record),
  route(/^GET$/, `${JOB}/report\\.pdf`, 'heavy', 0),
  route(/^GET$/, `${JOB}/files/.+`, 'heavy', 0),
  route(/^GET$/, `${JOB}/file`, 'heavy', 0),
  // A firm brings its logo and its signature.
  route(/^PATCH$/, '/api/preferences', 'pages', file),
];

/** Anything else: pages, lists and small records. */
const ELSE: Pick<Route, 'lane' | 'limitBytes'> = { lane: 'pages', limitBytes: record };

/** The lane of a request, and how much body it may bring. */
export function laneOf(method: string, path: string): Pick<Route, 'lane' | 'limitBytes'> {
  return ROUTES.find((one) => one.method.test(method) && one.path.test(path)) ?? ELSE;
}
