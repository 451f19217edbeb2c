import Sqlite, { type Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import { commitTogether } from './commit-together';

let db: Database;
beforeEach(() => {
  db = new Sqlite(':memory:');
  db.exec('CREATE TABLE said (word TEXT NOT NULL)');
});
const say = (word: string | null) => db.prepare('INSERT INTO said VALUES (?)').run(word);
const said = () =>
  db
    .prepare<[], { word: string }>('SELECT word FROM said')
    .all()
    .map(({ word }) => word);

describe('work that waits for one commit', () => {
  it('is all there when it is told so, each with what it returned, in order', async () => {
    const all = Promise.all(
      ['a', 'b', 'c'].map((word) => commitTogether(db, () => Number(say(word).lastInsertRowid))),
    );
    expect(said()).toEqual([]);
    expect(await all).toEqual([1, 2, 3]);
    expect(said()).toEqual(['a', 'b', 'c']);
    expect(db.inTransaction).toBe(false);
  });

  it('takes nothing else along where one part of it fails', async () => {
    const ends = await Promise.allSettled([
      commitTogether(db, () => say('a')),
      commitTogether(db, () => {
        say('lost');
        throw new Error('no');
      }),
      commitTogether(db, () => say(null)),
      commitTogether(db, () => say('d')),
    ]);
    expect(ends.map(({ status }) => status)).toEqual([
      'fulfilled',
      'rejected',
      'rejected',
      'fulfilled',
    ]);
    expect(said()).toEqual(['a', 'd']);
  });

  it('tells everybody when the commit itself fails', async () => {
    db.close();
    const ends = await Promise.allSettled([
      commitTogether(db, () => say('a')),
      commitTogether(db, () => say('b')),
    ]);
    expect(ends.map(({ status }) => status)).toEqual(['rejected', 'rejected']);
  });
});
