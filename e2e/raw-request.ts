import { Agent, request } from 'node:http';

/** An answer as it came. */
export type RawAnswer = {
  readonly status: number;
  readonly location: string;
  readonly body: string;
};

export type RawRequest = {
  readonly port: number;
  readonly method: string;
  /** As it stands in the request line: nothing is resolved or escaped. */
  readonly path: string;
  readonly headers?: Readonly<Record<string, string>>;
  readonly body?: string;
};

const agent = new Agent({ keepAlive: true, maxSockets: 8 });

/** Asks a server for a path exactly as it is written, which no browser and no `fetch` does. */
export function rawRequest({
  port,
  method,
  path,
  headers = {},
  body,
}: RawRequest): Promise<RawAnswer> {
  return new Promise((resolve, reject) => {
    const asked = request(
      {
        host: '127.0.0.1',
        port,
        method,
        path,
        agent,
        headers: { host: `127.0.0.1:${port}`, ...headers },
      },
      (response) => {
        let text = '';
        response.setEncoding('utf8');
        response.on('data', (chunk: string) => (text += chunk));
        response.on('end', () =>
          resolve({
            status: response.statusCode ?? 0,
            location: response.headers.location ?? '',
            body: text,
          }),
        );
        response.on('error', reject);
      },
    );
    asked.on('error', reject);
    asked.end(body);
  });
}
