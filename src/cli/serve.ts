import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { database, dataFolder } from '#server/database';
import { smtpSettings } from '#server/delivery/smtp';
import type { People } from '#server/front/access';
import { createFront, type FrontWishes } from '#server/front/front';
import { mayAsk } from '#server/front/gate';
import { isLoopback } from '#server/front/loopback';
import { openPool } from '#server/front/pool';
import { installationOf, makeToken } from '#server/installation';
import { mediaStores } from '#server/media/places';
import { hasOwner } from '#server/people/accounts';
import { noteHeld } from '#server/people/devices';
import { findSignedIn, isOfEndedDevice } from '#server/people/sessions';
import { noteRunning } from '#server/running';
import { findCustody } from '#server/security/custody';
import { installationSecret } from '#server/security/installation-secrets';
import { keepBackups } from './keep-backups';
import { keepDelivering } from './keep-delivering';
import { keepReminding } from './keep-reminding';
import { keepRetaining } from './keep-retaining';
import { sayStartTrouble } from './start-trouble';
import { warmUp } from './warm-up';

/** Exit codes: what must be built or set first, and what is wrong with the data. */
const NOT_READY = 2;
const DATA_TROUBLE = 3;
/** How long open requests may take to end when the server is told to stop, ms. */
const STOP_MS = 10_000;

// Whatever is written is for the one who runs it.
process.umask(0o077);
const root = fileURLToPath(new URL('../..', import.meta.url));
const entry = join(root, 'dist/server/entry.mjs');
if (!existsSync(entry)) {
  console.error(`${entry}: expected a built app, got nothing. Run: npm run build`);
  process.exit(NOT_READY);
}
process.env['CHERT_ROOT'] ??= root;
process.env['CHERT_ENTRY'] = entry;
// Without it the page renderer runs its development build, several times slower.
process.env['NODE_ENV'] ??= 'production';
const host = process.env['HOST'] ?? '127.0.0.1';
const port = Number(process.env['PORT'] ?? 4870);

/** The token of the installation: opened, and brought up to date, before the first request can arrive. */
function openData(): string {
  try {
    installationOf(database());
    return process.env['CHERT_TOKEN'] ?? installationSecret(database(), 'access-token');
  } catch (error) {
    console.error(sayStartTrouble(dataFolder(), error));
    process.exit(DATA_TROUBLE);
  }
}

const token = openData();
/** Reads a part of the environment; what is wrong with it is said before anything starts. */
function readyOrExit<Read>(read: () => Read): Read {
  try {
    return read();
  } catch (error) {
    console.error(error instanceof Error ? error.message : String(error));
    process.exit(NOT_READY);
  }
}

const smtp = readyOrExit(() => smtpSettings(process.env));
const { current: mediaPlace } = readyOrExit(mediaStores);
const text = process.env['CHERT_ORIGIN'];
const origin = text ? new URL(text) : null;
const isReachable = origin !== null || !isLoopback(host);
const people: People = {
  hasOwner: () => hasOwner(database()),
  find: (secret) => findSignedIn(database(), secret, Date.now()),
  may: (who, method, path) => mayAsk(database(), who, method, path),
  findCustody: (proof, jobId) => findCustody(database(), proof, jobId, Date.now()),
  noteHeld: (sessionId, report) =>
    noteHeld(database(), sessionId, report, new Date().toISOString()),
  isDeviceEnded: (secret) => isOfEndedDevice(database(), secret),
};
const needsOwner = isReachable && !people.hasOwner();
// The code is told to the app's threads, and to whoever reads the terminal.
if (needsOwner) process.env['CHERT_OWNER_CODE'] = makeToken();
const { handler } = (await import(pathToFileURL(entry).href)) as {
  readonly handler: FrontWishes['app'];
};
const thread = join(root, 'dist/server/app-thread.mjs');
const pools = { pages: openPool('pages', thread), heavy: openPool('heavy', thread) };
const clientFolder = join(root, 'dist/client');
noteRunning(dataFolder());
const server = createFront({
  world: { origin, isReachable, token, people },
  app: handler,
  pools,
  clientFolder,
  proxies: new Set((process.env['CHERT_PROXIES'] ?? '').split(/[ ,]+/).filter(Boolean)),
});

/** What keeps Chert from answering anybody, and the two ways out. */
function sayOwnerWanted(at: URL | null, onPort: number): string {
  const page = `${at?.origin ?? `http://127.0.0.1:${onPort}`}/owner`;
  return `Others can reach this Chert, and it has no owner yet: nothing but ${page} is answered.
Make the owner there with this code, good for this start: ${process.env['CHERT_OWNER_CODE'] ?? ''}
Or stop it and run: npm run owner`;
}

server.on('error', (error) => {
  console.error(
    `${host}:${port}: ${error.message}. Set PORT to another one, or stop what uses it.`,
  );
  process.exit(NOT_READY);
});
server.listen(port, host, () => {
  console.log(`Data: ${dataFolder()}`);
  if (mediaPlace) console.log(`New stills and recordings: ${mediaPlace}`);
  console.log(`Chert: http://${host}:${port}${origin ? `, and ${origin.origin}` : ''}`);
  if (needsOwner) console.log(sayOwnerWanted(origin, port));
  void warmUp(handler);
  keepBackups(dataFolder(), root);
  keepDelivering(smtp);
  keepRetaining();
  keepReminding(origin?.origin ?? `http://127.0.0.1:${port}`, smtp !== null);
});

/** Stops taking, lets what is under way end, and leaves the database in one file. */
function stop(): void {
  const end = () => {
    database().pragma('wal_checkpoint(TRUNCATE)');
    database().close();
    process.exit(0);
  };
  setTimeout(end, STOP_MS).unref();
  server.close(() => void Promise.allSettled([pools.pages.close(), pools.heavy.close()]).then(end));
  server.closeIdleConnections();
}
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
