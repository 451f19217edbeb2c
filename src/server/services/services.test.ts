import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { beforeEach, describe, expect, it } from 'vitest';
import { demoInspection } from '#core/testing/demo-inspections';
import { Refusal } from '../http/answer';
import { storeInspection } from '../inspections';
import { ownerOf } from '../people/make-owner';
import type { Caller } from '../security/caller';
import { freshDatabase } from '../testing/fresh-database';
import { callBy } from '../testing/people';
import * as health from './health';
import * as importing from './import-job';
import * as importingUnsent from './import-unsent';
import * as jobs from './jobs';
import * as lateWork from './late-work';
import * as mail from './mail';
import * as media from './media';
import * as office from './office';
import * as people from './people';
import * as reports from './reports';
import type { Service, ServiceCall } from './service';
import * as settings from './settings';
import * as signIn from './sign-in';

const ROOMS: Readonly<Record<string, object>> = {
  health,
  'import-job': importing,
  'import-unsent': importingUnsent,
  jobs,
  'late-work': lateWork,
  mail,
  media,
  office,
  people,
  reports,
  settings,
  'sign-in': signIn,
};
type AnyService = Service<unknown[], unknown>;
const SERVICES = Object.entries(ROOMS).flatMap(([room, exported]) =>
  Object.entries(exported).map(([name, one]) => [`${room}/${name}`, one as AnyService] as const),
);

/** What nobody, or whoever has a secret, may call; each is looked at by whoever adds to it. */
const OPEN = [
  'health/readHealth',
  'office/readFeed',
  'reports/findSharedFile',
  'reports/readShared',
  'sign-in/acceptInvitation',
  'sign-in/askForSignIn',
  'sign-in/checkPasskey',
  'sign-in/checkPassword',
  'sign-in/findInvited',
  'sign-in/hasOwner',
  'sign-in/isDeviceEnded',
  'sign-in/makeOwner',
  'sign-in/openSession',
  'sign-in/requestReset',
];
const CLOSED = SERVICES.filter(([name]) => !OPEN.includes(name));

const its = freshDatabase();
const NOW = '2026-11-03T09:00:00.000Z';
const JOB = 'demo-alder-bend';
beforeEach(() => void storeInspection(its.db, demoInspection('alder-bend'), NOW));

/** What a service throws, called by somebody with the id of a job and nothing else that makes sense. */
async function refusalOf(one: AnyService, call: ServiceCall): Promise<unknown> {
  try {
    await one(call, JOB, {}, () => undefined);
    return null;
  } catch (error) {
    return error;
  }
}

/** All that is stored, but for when somebody was seen. */
const stored = () =>
  its.db
    .prepare<[], { name: string }>(`SELECT name FROM sqlite_master WHERE type = 'table'`)
    .all()
    .map(({ name }) => [name, its.db.prepare(`SELECT * FROM "${name}"`).all()]);

describe('services', () => {
  it('are all that the room holds, and each says what it asks for', () => {
    const files = readdirSync('src/server/services').filter(
      (name) => name.endsWith('.ts') && !/\.test\.ts$|^service\.ts$/.test(name),
    );
    expect(files.map((name) => name.replace('.ts', ''))).toEqual(Object.keys(ROOMS).toSorted());
    expect(SERVICES.filter(([, one]) => typeof one.right !== 'string')).toEqual([]);
    const open = SERVICES.filter(([, one]) => one.right === 'open').map(([name]) => name);
    expect(open.toSorted()).toEqual(OPEN);
  });

  it.each(CLOSED)('%s answers nobody: null is no caller', async (_, one) => {
    ownerOf(its.db, { name: 'Olive', mail: 'olive@x.example', hash: 'h' });
    const before = stored();
    const error = await refusalOf(one, callBy(its, null, NOW));
    expect(error).toBeInstanceOf(Refusal);
    expect((error as Refusal).status).toBe(401);
    expect(stored()).toEqual(before);
  });

  it.each<[string, Caller]>([
    ['who is alone', { kind: 'alone' }],
    ['a script with the token', { kind: 'script' }],
    [
      'somebody whose account is not there',
      { kind: 'person', person: { id: 'x', name: 'X', role: 'owner', sessionId: 's' } },
    ],
  ])('answer %s nothing where there are accounts', async (_, caller) => {
    ownerOf(its.db, { name: 'Olive', mail: 'olive@x.example', hash: 'h' });
    for (const [name, one] of CLOSED) {
      const error = await refusalOf(one, callBy(its, caller, NOW));
      expect([name, (error as Refusal | null)?.status]).toEqual([name, 404]);
    }
  });

  it('answer nobody either where there are none', async () => {
    for (const [name, one] of CLOSED) {
      const error = await refusalOf(one, callBy(its, null, NOW));
      expect([name, (error as Refusal | null)?.status]).toEqual([name, 401]);
    }
  });
});

/** What pages may import of the server: services, how they are asked over HTTP, and plain settings. */
const FOR_PAGES =
  /^#server\/(services\/(?!service$)|http\/|front\/plain-pages$|security\/caller$|delivery\/smtp$|local-day$|zip$|contacts$|people\/(passkeys|passwords|sessions)$|issue-report$|media\/recordings$)/;
/** Of the last few, only what reads no table: types, constants and what is handed a service’s answer. */
const PLAIN: Readonly<Record<string, readonly string[]>> = {
  'security/caller': ['personOf'],
  zip: ['unpackJob'],
  contacts: ['contactOf'],
  'people/passkeys': ['siteOf'],
  'people/passwords': ['LEAST_PASSWORD'],
  'people/sessions': ['SESSION_COOKIE'],
  'issue-report': ['IssueWish'],
  'media/recordings': ['whereGone'],
};

describe('pages', () => {
  const files = ['src/pages', 'src/screens', 'src/layouts', 'src/ui'].flatMap((folder) =>
    readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter((name) => /\.(astro|tsx?)$/.test(name))
      .map((name) => join(folder, name)),
  );
  it('reach the data by services alone', () => {
    const wrong = [...files, 'src/middleware.ts'].flatMap((file) =>
      [
        ...readFileSync(file, 'utf8').matchAll(
          /import (?:type )?\{([^}]*)\} from '(#server\/[^']+)'/g,
        ),
      ]
        .filter(([, names, from]) => {
          if (!FOR_PAGES.test(from!)) return true;
          const plain = PLAIN[from!.replace('#server/', '')];
          const imported = names!.split(',').map((name) => name.replace('type ', '').trim());
          return (
            plain !== undefined && !imported.filter(Boolean).every((one) => plain.includes(one))
          );
        })
        .map(([line]) => `${file}: ${line}`),
    );
    expect(wrong).toEqual([]);
    const inPages = files.filter((file) =>
      /locals\.call\.db|\bcall\.db\b/.test(readFileSync(file, 'utf8')),
    );
    expect(inPages).toEqual([]);
  });
});
