import { mkdtempSync } from 'node:fs';
import { type AddressInfo, connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { MEGABYTE } from '../http/limits';
import { createFront, type FrontWishes } from './front';
import type { Pool } from './pool';

const TOKEN = 'abcd-efgh-jkmn-pqrs-tuvw';
const pool = {
  run: () => Promise.reject(new Error('nothing is worked on here')),
} as unknown as Pool;
const front = createFront({
  world: {
    origin: null,
    isReachable: false,
    token: TOKEN,
    people: {
      hasOwner: () => false,
      find: () => null,
      may: () => false,
      findCustody: () => null,
      isDeviceEnded: () => false,
      noteHeld: () => undefined,
    },
  },
  app: (_, response) => void response.end(),
  pools: { pages: pool, heavy: pool, work: pool } as unknown as FrontWishes['pools'],
  clientFolder: mkdtempSync(join(tmpdir(), 'chert-files-')),
});
let port = 0;

beforeAll(async () => {
  await new Promise<void>((resolve) => front.listen(0, '127.0.0.1', resolve));
  ({ port } = front.address() as AddressInfo);
});
afterAll(() => void front.close());

/** Sends all of a body before it listens for an answer, as many senders do. */
function sendThenListen(bytes: number): Promise<string> {
  return new Promise((resolve, reject) => {
    const socket = connect(port, '127.0.0.1');
    let heard = '';
    socket.on('error', reject);
    socket.on('close', () => resolve(heard));
    socket.pause();
    socket.write(
      [
        'PUT /api/jobs/a/media/x HTTP/1.1',
        `host: 127.0.0.1:${port}`,
        `authorization: Bearer ${TOKEN}`,
        'content-type: image/png',
        'connection: close',
        `content-length: ${bytes}`,
        '\r\n',
      ].join('\r\n'),
    );
    socket.write(Buffer.alloc(bytes), () => {
      socket.on('data', (data) => (heard += data.toString('latin1')));
      socket.resume();
    });
  });
}

it('lets a body that is too large fall before it says so, and its sender hears it', async () => {
  const heard = await sendThenListen(20 * MEGABYTE);
  expect(heard).toContain('HTTP/1.1 413');
  expect(heard).toContain('"code":"too-large"');
});
