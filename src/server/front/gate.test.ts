import { describe, expect, it } from 'vitest';
import { type Role, ROLES } from '#core/office/roles';
import { demoInspection } from '#core/testing/demo-inspections';
import { fileMessage } from '../delivery/outbox';
import { storeInspection } from '../inspections';
import { ACCESS_MATRIX } from '../testing/access-matrix';
import { freshDatabase } from '../testing/fresh-database';
import { listRoutes } from '../testing/list-routes';
import { isOpen, mayAsk, rightOf } from './gate';

const routes = listRoutes();
const MINE = 'demo-alder-bend';
const OTHERS = 'demo-mill-street';
const NOT_THERE = 'no-such-job';
const VALUES: Readonly<Record<string, string>> = { messageId: 'mail-of-mine', position: '0' };
const addressOf = (path: string, jobId: string) =>
  path.replace(/\[(\w+)\]/g, (_, name: string) =>
    name === 'jobId' ? jobId : (VALUES[name] ?? 'x'),
  );

const its = freshDatabase();
const personOf = (role: Role) => ({ id: `the-${role}`, name: role, role });
/** A job of the one who asks, one of somebody else, and mail about each and to people. */
function fill(role: Role): void {
  const put = (name: 'alder-bend' | 'mill-street', assignedTo: string) => {
    const inspection = demoInspection(name);
    const job = { ...inspection.job, assignedTo };
    storeInspection(its.db, { ...inspection, job }, '2026-11-03T00:00:00Z');
  };
  put('alder-bend', personOf(role).id);
  put('mill-street', 'somebody-else');
  const message = { to: 'x@firm.example', subject: 's', text: 't', attachments: [] };
  const mail = (id: string, jobId: string | null) =>
    fileMessage(its.db, message, { id, jobId, at: '2026-11-03T00:00:00Z', isWaiting: false });
  mail('mail-of-mine', MINE);
  mail('mail-of-others', OTHERS);
  mail('mail-to-people', null);
}

describe('the gate', () => {
  it('finds every address that Chert has', () => {
    expect(routes.length).toBeGreaterThan(45);
    const unknown = routes.filter(([method, path]) => !rightOf(method, addressOf(path, MINE)));
    expect(unknown).toEqual([]);
  });

  it('agrees with the matrix that was written by hand, which forgets no address', () => {
    const said = ACCESS_MATRIX.map(({ method, path }) => `${method} ${path}`);
    expect(said.toSorted()).toEqual(routes.map((one) => one.join(' ')).toSorted());
    const open = ACCESS_MATRIX.filter(({ stranger }) => stranger);
    expect(
      ACCESS_MATRIX.filter(({ method, path }) => isOpen(method, addressOf(path, MINE))),
    ).toEqual(open);
  });

  it.each(ROLES)(
    'lets the %s do what the matrix says, on their job, another’s and none',
    (role) => {
      fill(role);
      const person = personOf(role);
      for (const { method, path, on } of ACCESS_MATRIX) {
        const may = (jobId: string) => mayAsk(its.db, person, method, addressOf(path, jobId));
        expect([method, path, may(MINE)]).toEqual([method, path, on.mine[role]]);
        if (!path.includes('[jobId]')) continue;
        expect([method, path, may(OTHERS)]).toEqual([method, path, on.others[role]]);
        // What is not theirs and what is not there are one.
        expect(may(NOT_THERE)).toBe(may(OTHERS));
      }
    },
  );

  it.each(ROLES)('shows the %s the mail that they may read', (role) => {
    fill(role);
    const may = (id: string) => mayAsk(its.db, personOf(role), 'GET', `/api/outbox/${id}/0`);
    expect([
      may('mail-of-mine'),
      may('mail-of-others'),
      may('mail-to-people'),
      may('none'),
    ]).toEqual(
      {
        owner: [true, true, true, true],
        office: [true, true, false, true],
        inspector: [true, false, false, false],
        reader: [false, false, false, false],
      }[role],
    );
  });

  it('is shut where nothing is written down, whoever asks', () => {
    const owner = personOf('owner');
    for (const [method, path] of [
      ['GET', '/new-page'],
      ['DELETE', '/api/jobs'],
      ['PUT', '/people'],
      ['GET', '/api/jobs/x/secret'],
      ['GET', '/owner'],
    ] as const)
      expect(mayAsk(its.db, owner, method, path)).toBe(false);
  });

  it('reads ids as they stand in an address', () => {
    expect(rightOf('GET', '/jobs/a%20b/scope')!.named).toEqual({ job: 'a b' });
    expect(rightOf('GET', '/jobs/a%zz/scope')!.named).toEqual({ job: 'a%zz' });
    expect(rightOf('HEAD', '/jobs/a/scope/')!.right).toBe('read');
  });
});
