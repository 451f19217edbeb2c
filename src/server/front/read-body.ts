import type { IncomingMessage } from 'node:http';
import { Refusal } from '../http/answer';
import { MEGABYTE } from '../http/limits';

/**
 * What is too large is read on this far and let fall: who closes while the other end still sends takes the answer
 * away from it.
 */
const LET_FALL_BYTES = 32 * MEGABYTE;

/**
 * Reads a body up to its limit; what is over it is refused before anything looks at it.
 *
 * @throws a refusal (413) of what is larger.
 */
export async function readBody(request: IncomingMessage, limitBytes: number): Promise<Buffer> {
  const tooLarge = () => {
    const most = limitBytes >= MEGABYTE ? `${limitBytes / MEGABYTE} MB` : `${limitBytes} bytes`;
    return new Refusal(
      413,
      'too-large',
      `Expected at most ${most}, got more. Nothing was stored; send less at once.`,
    );
  };
  const mostBytes = limitBytes + LET_FALL_BYTES;
  const toldBytes = Number(request.headers['content-length'] ?? 0);
  if (toldBytes > mostBytes) throw tooLarge();
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of request as AsyncIterable<Buffer>) {
    size += chunk.byteLength;
    if (size > mostBytes) throw tooLarge();
    if (size <= limitBytes && toldBytes <= limitBytes) chunks.push(chunk);
  }
  if (size > limitBytes) throw tooLarge();
  return Buffer.concat(chunks);
}
