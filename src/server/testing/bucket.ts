import { createHash } from 'node:crypto';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';

const sayError = (response: ServerResponse, status: number, code: string) =>
  response
    .writeHead(status, { 'content-type': 'application/xml' })
    .end(`<?xml version="1.0"?><Error><Code>${code}</Code><Message>${code}</Message></Error>`);

async function bodyOf(request: IncomingMessage): Promise<Buffer> {
  const chunks: Buffer[] = [];
  for await (const chunk of request as AsyncIterable<Buffer>) chunks.push(chunk);
  return Buffer.concat(chunks);
}

const hash = (bytes: Buffer, as: 'hex' | 'base64') => createHash('sha256').update(bytes).digest(as);

/** Whether what came is what was signed and summed, where either is said. */
function isWhole({ headers }: IncomingMessage, bytes: Buffer): boolean {
  const signed = headers['x-amz-content-sha256'];
  const summed = headers['x-amz-checksum-sha256'];
  return (
    (typeof signed !== 'string' ||
      signed.startsWith('UNSIGNED') ||
      signed === hash(bytes, 'hex')) &&
    (summed === undefined || summed === hash(bytes, 'base64'))
  );
}

/** Answers with an object or the part of it that was asked for. */
function sendObject(request: IncomingMessage, response: ServerResponse, whole: Buffer): void {
  const [, from, to] = /^bytes=(\d+)-(\d+)$/.exec(request.headers.range ?? '') ?? [];
  if (from === undefined) {
    response.writeHead(200, { 'content-length': whole.byteLength });
    response.end(request.method === 'HEAD' ? undefined : whole);
    return;
  }
  const part = whole.subarray(Number(from), Number(to) + 1);
  if (part.byteLength === 0) sayError(response, 416, 'InvalidRange');
  else response.writeHead(206, { 'content-length': part.byteLength }).end(part);
}

/**
 * A bucket service of this machine, as far as Chert uses one: objects put, read whole or in part, measured and
 * deleted by path; who says nothing of themselves, or sends what was changed on the way, is refused.
 */
export function bucketServer(name: string, key = 'key-of-a-test') {
  const objects = new Map<string, Buffer>();
  const asked: string[] = [];
  let isDown = false;
  let isSilent = false;
  const server = createServer((request, response) => {
    void (async () => {
      const path = decodeURIComponent(new URL(request.url ?? '/', 'http://x').pathname);
      const bytes = await bodyOf(request);
      asked.push(`${request.method} ${path}`);
      const object = objects.get(path);
      if (isSilent) return;
      if (isDown) sayError(response, 500, 'InternalError');
      else if (!request.headers.authorization?.includes(`Credential=${key}/`))
        sayError(response, 403, 'AccessDenied');
      else if (!path.startsWith(`/${name}/`)) sayError(response, 404, 'NoSuchBucket');
      else if (request.method === 'PUT' && !isWhole(request, bytes))
        sayError(response, 400, 'BadDigest');
      else if (request.method === 'PUT') {
        objects.set(path, bytes);
        response.writeHead(200).end();
      } else if (request.method === 'DELETE') {
        objects.delete(path);
        response.writeHead(204).end();
      } else if (object) sendObject(request, response, object);
      else sayError(response, 404, 'NoSuchKey');
    })();
  });
  return {
    objects,
    /** What was asked for, in order. */
    asked,
    /** It answers with errors from now on, or no longer. */
    setDown(now: boolean) {
      isDown = now;
      isSilent = false;
    },
    /** It takes what is asked and never answers. */
    fallSilent() {
      isSilent = true;
    },
    /** Starts, and says by which environment the usual client of buckets finds it. */
    async start(): Promise<Readonly<Record<string, string>>> {
      await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
      const { port } = server.address() as AddressInfo;
      return {
        AWS_ENDPOINT_URL_S3: `http://127.0.0.1:${port}`,
        AWS_ACCESS_KEY_ID: key,
        AWS_SECRET_ACCESS_KEY: 'secret-of-a-test',
      };
    },
    async end(): Promise<void> {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}
