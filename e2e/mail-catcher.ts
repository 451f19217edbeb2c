import { SMTPServer } from 'smtp-server';

/** A mail server that takes what comes and keeps it, for a test to read. */
export function mailCatcher(port: number) {
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
    start: () => new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve)),
    end: () => new Promise<void>((resolve) => server.close(() => resolve())),
  };
}
