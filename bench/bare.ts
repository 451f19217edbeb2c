import { createServer } from 'node:http';
import Sqlite from 'better-sqlite3';

/**
 * The least that takes an entry durably: bare HTTP, one insert, one commit for all that wait. It checks nothing, knows
 * nobody and answers nothing; Chert's server is measured against it.
 *
 *     tsx bench/bare.ts PORT FILE
 */
const [port, file = ':memory:'] = process.argv.slice(2);
const db = new Sqlite(file);
db.pragma('journal_mode = WAL');
db.pragma('synchronous = FULL');
db.exec('CREATE TABLE entries (seq INTEGER PRIMARY KEY, id TEXT UNIQUE, body TEXT NOT NULL)');
const insert = db.prepare('INSERT OR IGNORE INTO entries (id, body) VALUES (?, ?)');
let queue: { readonly id: string; readonly body: string; readonly done: () => void }[] = [];
const commit = () => {
  const all = queue;
  queue = [];
  db.transaction(() => {
    for (const { id, body } of all) insert.run(id, body);
  })();
  for (const { done } of all) done();
};
createServer((request, response) => {
  const chunks: Buffer[] = [];
  request.on('data', (chunk: Buffer) => chunks.push(chunk));
  request.on('end', () => {
    if (request.method !== 'POST') return void response.end();
    const body = Buffer.concat(chunks).toString('utf8');
    const { entries } = JSON.parse(body) as {
      readonly entries: readonly [{ readonly id: string }];
    };
    if (queue.length === 0) setImmediate(commit);
    queue.push({ id: entries[0].id, body, done: () => response.end('{}') });
  });
}).listen(Number(port), '127.0.0.1');
