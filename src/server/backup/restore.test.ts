import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { demoInspection } from '#core/testing/demo-inspections';
import { DatabaseMissing, databasePath } from '../data-folder';
import { openData } from '../database';
import { loadInspection, storeInspection } from '../inspections';
import { storeMedia } from '../media/media';
import { mediaIn } from '../media/places';
import {
  closeAccount,
  createAccount,
  findAccount,
  hasOwner,
  setPassword,
  setRole,
} from '../people/accounts';
import { ownerOf } from '../people/make-owner';
import { beginSession, findSignedIn } from '../people/sessions';
import { createShare, findShared, revokeShare } from '../shares';
import { freshDatabase } from '../testing/fresh-database';
import { DEVICE } from '../testing/people';
import { PNG } from '../testing/with-still';
import { backUp, readManifest } from './backup';
import { restore } from './restore';

const NOW = '2026-11-03T09:00:00.000Z';
const LATER = '2026-11-04T09:00:00.000Z';
const NOW_MS = Date.parse(NOW);
const alder = demoInspection('alder-bend');
const JOB = alder.job.id;
const its = freshDatabase();
const backups = () => join(its.folder, 'kept');
const backUpNow = async () => {
  mkdirSync(backups(), { recursive: true });
  return backUp(its.db, its.stores, { folder: backups(), at: NOW });
};

describe('a restore', () => {
  it('brings back no access: what was ended, closed, changed or taken back since stays so', async () => {
    const owner = ownerOf(its.db, { name: 'Olive', mail: 'olive@x.example', hash: 'h' });
    const make = (name: string) =>
      createAccount(its.db, { name, mail: `${name}@x.example`, role: 'inspector' }, NOW).id;
    const [ann, bo] = [make('ann'), make('bo')];
    storeInspection(its.db, alder, NOW);
    const { secret } = beginSession(its.db, ann, DEVICE, NOW);
    const owners = beginSession(its.db, owner, { ...DEVICE, id: 'D2' }, NOW);
    const link = {
      id: 'l',
      label: 'Lee',
      reader: 'buyer',
      createdAt: NOW,
      expiresAt: '2027-01-01T00:00:00Z',
    } as const;
    const shared = createShare(its.db, JOB, link);
    const name = await backUpNow();
    setRole(its.db, ann, 'reader', LATER);
    setPassword(its.db, owner, 'h2', LATER);
    closeAccount(its.db, bo, LATER);
    revokeShare(its.db, JOB, 'l', LATER);
    its.db.close();
    await restore(backups(), name, its.folder, LATER);
    its.db = openData(its.folder);
    expect(findAccount(its.db, ann)?.role).toBe('reader');
    expect(findAccount(its.db, bo)?.closedAt).toBe(LATER);
    expect(findSignedIn(its.db, secret, NOW_MS)).toBeNull();
    expect(findSignedIn(its.db, owners.secret, NOW_MS)).toBeNull();
    expect(findShared(its.db, shared, NOW_MS)).toBeNull();
    expect(loadInspection(its.db, JOB)).not.toBeNull();
  });

  it('on a new machine brings the people, signed out', async () => {
    const owner = ownerOf(its.db, { name: 'Olive', mail: 'olive@x.example', hash: 'h' });
    const { secret } = beginSession(its.db, owner, DEVICE, NOW);
    const name = await backUpNow();
    const fresh = join(its.folder, 'fresh');
    await restore(backups(), name, fresh, LATER);
    const db = openData(fresh);
    expect(hasOwner(db)).toBe(true);
    expect(findSignedIn(db, secret, NOW_MS)).toBeNull();
    db.close();
  });

  it('of a newer Chert is refused before anything is touched', async () => {
    const name = await backUpNow();
    const path = join(backups(), name, 'manifest.json');
    const manifest = { ...readManifest(backups(), name), databaseVersion: 99 };
    writeFileSync(path, JSON.stringify(manifest));
    const fresh = join(its.folder, 'fresh');
    await expect(restore(backups(), name, fresh, LATER)).rejects.toThrow(
      /version 99.*update Chert/,
    );
    expect(existsSync(fresh)).toBe(false);
  });

  it('killed at any moment leaves the folder wholly as before or wholly as after', async () => {
    const kills = Number(process.env['RESTORE_KILLS'] ?? 8);
    storeInspection(its.db, alder, NOW);
    ownerOf(its.db, { name: 'Olive', mail: 'olive@x.example', hash: 'h' });
    for (let index = 0; index < 12; index += 1) {
      const bytes = Buffer.concat([PNG, Buffer.from(String(index))]);
      await storeMedia(
        its.db,
        its.stores,
        { jobId: JOB, id: `s${index}` },
        { type: 'image/png', bytes },
        NOW,
      );
    }
    const name = await backUpNow();
    // After the backup one more job is there: by it the two states are told apart.
    storeInspection(its.db, demoInspection('mill-street'), NOW);
    const seen = new Set<string>();
    for (let round = 0; round < kills; round += 1) {
      const at = new Date(NOW_MS + (round + 1) * 60_000).toISOString();
      its.db.close();
      const args = [
        '--import',
        'tsx',
        'src/server/testing/restorer.ts',
        backups(),
        name,
        its.folder,
        at,
      ];
      const restorer = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'ignore'] });
      const exit = once(restorer, 'exit');
      await once(restorer.stdout, 'data');
      // The last one is let come to its end.
      if (round < kills - 1) {
        await new Promise((rest) => setTimeout(rest, (round * 97) % 260));
        restorer.kill('SIGKILL');
      }
      await exit;
      its.db = openData(its.folder);
      expect(hasOwner(its.db)).toBe(true);
      expect(loadInspection(its.db, JOB)).not.toBeNull();
      const isBefore = loadInspection(its.db, 'demo-mill-street') !== null;
      seen.add(isBefore ? 'before' : 'after');
      // Its stills are all there, in either state.
      for (let index = 0; index < 12; index += 1)
        expect(await mediaIn(its.folder).at('').sizeOf(hashOfStill(index))).toBeGreaterThan(0);
      if (!isBefore) storeInspection(its.db, demoInspection('mill-street'), NOW);
    }
    expect([...seen].toSorted()).toEqual(['after', 'before']);
  }, 240_000);
});

const hashOfStill = (index: number): string =>
  its.db
    .prepare<[string, string], { sha256: string }>(
      'SELECT sha256 FROM media WHERE job_id = ? AND id = ?',
    )
    .get(JOB, `s${index}`)!.sha256;

describe('a data folder whose database is missing', () => {
  it('is not opened as an empty one', async () => {
    storeInspection(its.db, alder, NOW);
    const place = { jobId: JOB, id: 's' };
    await storeMedia(its.db, its.stores, place, { type: 'image/png', bytes: PNG }, NOW);
    its.db.close();
    const path = databasePath(its.folder);
    const bytes = readFileSync(path);
    for (const end of ['', '-wal', '-shm']) rmSync(`${path}${end}`, { force: true });
    expect(() => openData(its.folder)).toThrow(DatabaseMissing);
    expect(existsSync(path)).toBe(false);
    writeFileSync(path, bytes);
    its.db = openData(its.folder);
    expect(loadInspection(its.db, JOB)).not.toBeNull();
  });
});
