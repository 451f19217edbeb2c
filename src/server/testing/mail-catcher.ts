import type { AddressInfo } from 'node:net';
import { SMTPServer } from 'smtp-server';

/** A mail server that takes what comes and keeps it, for a test to read; it knows nobody whose name begins with “nobody”. */
export function mailCatcher(wantedPort = 0) {
  const caught: string[] = [];
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onRcptTo: ({ address }, _session, done) =>
      done(
        address.startsWith('nobody')
          ? Object.assign(new Error('no such mailbox'), { responseCode: 550 })
          : undefined,
      ),
    onData: (stream, _session, done) => {
      let text = '';
      stream.on('data', (part: Buffer) => {
        text += part.toString('latin1');
      });
      stream.on('end', () => {
        caught.push(text);
        done();
      });
    },
  });
  return {
    caught,
    port: () => (server.server.address() as AddressInfo).port,
    start: () => new Promise<void>((resolve) => server.listen(wantedPort, '127.0.0.1', resolve)),
    end: () => new Promise<void>((resolve) => server.close(() => resolve())),
  };
}
