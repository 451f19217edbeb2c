import { expect, test } from '@playwright/test';
import { demoInspection } from '../src/core/testing/demo-inspections';
import { ACCESS_MATRIX } from '../src/server/testing/access-matrix';
import { CLOSED_ADDRESSES, craftedPaths, otherSpellings } from './crafted-paths';
import { ownServer } from './own-server';
import { letIn, makeOwner } from './people';
import { rawRequest } from './raw-request';
import { OWN_PORT } from './server-env';

const PORT = OWN_PORT.access;
const MINE = 'demo-alder-bend';
const OTHERS = 'demo-mill-street';
const ORIGIN = `http://127.0.0.1:${PORT}`;
const STRANGER = '';
/** Headers by which proxies, and whoever plays one, name another path, host or caller. */
const FORWARDED: Readonly<Record<string, string>> = {
  'x-forwarded-for': '127.0.0.1',
  'x-forwarded-proto': 'http',
  'x-forwarded-host': 'evil.example',
  'x-original-url': '/outbox',
  'x-rewrite-url': '/outbox',
  'x-astro-path': '/outbox',
  'x-chert-caller': encodeURIComponent(JSON.stringify({ kind: 'system', reason: 'none' })),
  forwarded: 'for=127.0.0.1;host=localhost',
};

/** Runs tasks some at a time, in order. */
async function inLanes<T>(items: readonly T[], run: (item: T) => Promise<void>): Promise<void> {
  let next = 0;
  const lane = async () => {
    while (next < items.length) await run(items[next++]!);
  };
  await Promise.all(Array.from({ length: 8 }, lane));
}

type Callers = Readonly<Record<string, string>>;

/** Lets four people in, and gives the inspector one of two jobs. */
async function fill(base: string, code = ''): Promise<Callers> {
  const owner = await makeOwner(base, code);
  const office = await letIn(base, owner, 'Otto', 'office');
  const inspector = await letIn(base, owner, 'Ivy', 'inspector');
  const reader = await letIn(base, owner, 'Rae', 'reader');
  const book = async (name: 'alder-bend' | 'mill-street', cookie: string) => {
    const response = await fetch(`${base}/api/jobs/import`, {
      method: 'POST',
      headers: { origin: base, cookie, 'content-type': 'application/json' },
      body: JSON.stringify(demoInspection(name)),
    });
    expect(response.status).toBe(201);
  };
  await book('alder-bend', inspector.cookie);
  await book('mill-street', owner);
  return { owner, office: office.cookie, inspector: inspector.cookie, reader: reader.cookie };
}

// Each crafted path is asked for on this machine, every eighth behind an origin too.
for (const [name, env, step] of [
  ['on this machine', {}, 1],
  ['behind an origin', { CHERT_ORIGIN: ORIGIN }, 8],
] as const)
  test.describe(name, () => {
    test.describe.configure({ mode: 'serial' });
    const own = ownServer(PORT, env);
    let callers: Callers = {};
    test.beforeAll(async () => {
      own.reset();
      await own.start();
      callers = await fill(own.base, await own.ownerCode());
    });
    test.afterAll(() => own.end());

    const ask = (method: string, path: string, cookie: string, more = {}) =>
      rawRequest({
        port: PORT,
        method,
        path,
        headers: {
          ...(cookie ? { cookie } : {}),
          ...(method === 'GET' ? {} : { origin: ORIGIN }),
          ...more,
        },
      });

    test('no crafted path leads anywhere, for a stranger or for anybody', async () => {
      test.setTimeout(240_000);
      const paths = [
        ...craftedPaths(),
        ...CLOSED_ADDRESSES.flatMap((address) => otherSpellings(address)),
      ].filter((_, index) => index % step === 0);
      const wrong: string[] = [];
      const asked = (
        some: readonly string[],
        cookie: string,
        more: Readonly<Record<string, string>>,
      ) =>
        inLanes(some, async (path) => {
          for (const method of ['GET', 'POST'] as const) {
            const { status, body } = await ask(method, path, cookie, more);
            if (status !== 400 || /chert-inspection|Okafor/.test(body))
              wrong.push(`${method} ${path}: ${status}`);
          }
        });
      await asked(paths, STRANGER, {});
      const some = paths.filter((_, index) => index % 5 === 0);
      await asked(some, STRANGER, FORWARDED);
      expect(wrong).toEqual([]);
      // Others are known to the same wall: a part of the paths for each.
      const part = paths.filter((_, index) => index % 7 === 0);
      for (const [role, cookie] of Object.entries(callers))
        await inLanes(part, async (path) => {
          const { status } = await ask('GET', path, cookie);
          if (status !== 400) wrong.push(`${role}: ${path}: ${status}`);
        });
      expect(wrong).toEqual([]);
    });

    test('what is asked for plainly is answered as the matrix says, by role and by whose job', async () => {
      test.setTimeout(240_000);
      const wrong: string[] = [];
      const addressOf = (path: string, jobId: string) =>
        path
          .replace('[jobId]', jobId)
          .replace('[runId]', 'R1')
          .replace(/\[(\w+)\]/g, 'none');
      const isShut = ({ status, location }: { status: number; location: string }) =>
        status === 401 || (status === 303 && location.startsWith('/sign-in?'));
      // What ends a session or removes a job is asked last.
      const last = (path: string) => (/sign-out|remove$/.test(path) ? 1 : 0);
      const rows = ACCESS_MATRIX.filter(({ method }) => method !== 'DELETE').toSorted(
        (a, b) => last(a.path) - last(b.path),
      );
      for (const { method, path, stranger } of rows) {
        const answer = await ask(method, addressOf(path, MINE), STRANGER);
        const isOpen = !isShut(answer);
        if (isOpen !== stranger) wrong.push(`stranger: ${method} ${path}: ${answer.status}`);
      }
      for (const { method, path, on } of rows.filter((row) => !row.stranger))
        for (const role of ['reader', 'inspector', 'office', 'owner'] as const)
          for (const [whose, jobId] of [
            ['mine', MINE],
            ['others', OTHERS],
          ] as const) {
            if (last(path) > 0 && on[whose][role]) continue;
            const { status } = await ask(method, addressOf(path, jobId), callers[role]!);
            // What is not there is answered as what is not theirs: let in shows where something is.
            const isThere = !/\[(name|number|mediaId|recordingId|messageId|shareId)\]/.test(path);
            const isLetIn = status !== 404 && status !== 401;
            if (on[whose][role] ? isThere && !isLetIn : isLetIn)
              wrong.push(`${role}, ${whose}: ${method} ${path}: ${status}`);
            if (status >= 500) wrong.push(`${role}: ${method} ${path}: ${status}`);
          }
      expect(wrong).toEqual([]);
    });

    test('a still goes to the job that its address names, and to no other', async () => {
      const png = 'iVBORw0KGgo=';
      const put = (path: string) =>
        rawRequest({
          port: PORT,
          method: 'PUT',
          path,
          headers: { cookie: callers['inspector']!, origin: ORIGIN, 'content-type': 'image/png' },
          body: png,
        });
      const way = `/api/jobs/${MINE}/media`;
      for (const path of [
        `${way}/..\\..\\${OTHERS}\\media\\x`,
        `${way}/../../${OTHERS}/media/x`,
        `${way}/%2e%2e/%2e%2e/${OTHERS}/media/x`,
        `${way}/..%2f..%2f${OTHERS}%2fmedia%2fx`,
      ])
        expect([path, (await put(path)).status]).toEqual([path, 400]);
      expect((await put(`/api/jobs/${OTHERS}/media/x`)).status).toBe(404);
    });
  });
