import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { afterEach, beforeEach } from 'vitest';
import { openDatabase } from '../database';

/** A database of its own for each test of a file, in a folder that goes when the test ends. */
export function freshDatabase(): { readonly db: Database; readonly folder: string } {
  const its = {} as { db: Database; folder: string };
  beforeEach(() => {
    its.folder = mkdtempSync(join(tmpdir(), 'chert-'));
    its.db = openDatabase(join(its.folder, 'chert.db'));
  });
  afterEach(() => {
    its.db.close();
    rmSync(its.folder, { recursive: true });
  });
  return its;
}
