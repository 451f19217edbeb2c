import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { afterEach, beforeEach } from 'vitest';
import { openDatabase } from '../database';
import { mediaIn } from '../media/places';
import type { MediaStores } from '../media/store';

type Fresh = {
  /** A test that closes it, and opens what stands in its place, says so here. */
  db: Database;
  readonly folder: string;
  readonly stores: MediaStores;
};

/** A database and a place for stills of their own for each test of a file, in a folder that goes when the test ends. */
export function freshDatabase(): Fresh {
  const its = {} as { -readonly [Part in keyof Fresh]: Fresh[Part] };
  beforeEach(() => {
    its.folder = mkdtempSync(join(tmpdir(), 'chert-'));
    its.db = openDatabase(join(its.folder, 'chert.db'));
    its.stores = mediaIn(its.folder);
  });
  afterEach(() => {
    its.db.close();
    rmSync(its.folder, { recursive: true });
  });
  return its;
}
