import { threadId } from 'node:worker_threads';
import type { S3Client } from '@aws-sdk/client-s3';
import { hashOf, type MediaStore, nameOfContent, StoreTrouble } from './store';

/** A bucket, and what the names of Chert's contents in it begin with; empty or ending in a slash. */
export type Bucket = { readonly name: string; readonly prefix: string };

/** How long a bucket may take to be reached and may say nothing, ms; how often it is asked. */
export type Patience = {
  readonly connectMs: number;
  readonly silenceMs: number;
  readonly attempts: number;
};
const PATIENCE: Patience = { connectMs: 3_000, silenceMs: 10_000, attempts: 2 };
/** Short reads come from blocks of so many bytes that are fetched whole; the last few are held. */
const BLOCK_BYTES = 1024 * 1024;
const MOST_BLOCKS = 16;

type Client = { readonly s3: S3Client; readonly sdk: typeof import('@aws-sdk/client-s3') };

/**
 * The usual client of buckets, opened at first use. Region, keys and endpoint come from where every such client has
 * them: `AWS_REGION`, `AWS_ACCESS_KEY_ID`, `AWS_SECRET_ACCESS_KEY`, `AWS_ENDPOINT_URL_S3`, or its own files.
 */
async function openClient({ connectMs, silenceMs, attempts }: Patience): Promise<Client> {
  // Which Node its later versions will want is for whoever updates Chert, not for whoever starts it.
  process.env['AWS_SDK_JS_NODE_VERSION_SUPPORT_WARNING_DISABLED'] ??= 'true';
  const sdk = await import('@aws-sdk/client-s3');
  const endpoint = process.env['AWS_ENDPOINT_URL_S3'] ?? process.env['AWS_ENDPOINT_URL'];
  const s3 = new sdk.S3Client({
    region: process.env['AWS_REGION'] ?? process.env['AWS_DEFAULT_REGION'] ?? 'us-east-1',
    maxAttempts: attempts,
    // Stores other than the first of their kind rarely know buckets by host names, or newer checksums.
    forcePathStyle: endpoint !== undefined,
    requestChecksumCalculation: 'WHEN_REQUIRED',
    responseChecksumValidation: 'WHEN_REQUIRED',
    requestHandler: { connectionTimeout: connectMs, socketTimeout: silenceMs },
  });
  return { s3, sdk };
}

/** What is said of an object that is not there; of a bucket that is not, or of no bucket at all, something else is. */
const GONE = new Set(['NoSuchKey', 'NotFound']);
/** What is asked for begins where an object ends. */
const PAST_END = 416;
const statusOf = (error: unknown) =>
  (error as { readonly $metadata?: { readonly httpStatusCode?: number } }).$metadata
    ?.httpStatusCode;
const sayWhy = ({ name, message, code }: Error & { readonly code?: string }) =>
  [...new Set([code ?? name, message])].filter(Boolean).join(': ');

/** Contents as objects of a bucket, under the same names that they have in a data folder. */
export function bucketStore(
  { name: bucket, prefix }: Bucket,
  patience: Patience = PATIENCE,
): MediaStore {
  let opened: Promise<Client> | null = null;
  /** Asks the bucket; what keeps it from answering is told with its name, and that nothing is lost. */
  const ask = async <Answer>(act: (client: Client) => Promise<Answer>): Promise<Answer> => {
    opened ??= openClient(patience);
    try {
      return await act(await opened);
    } catch (error) {
      throw new StoreTrouble(`s3://${bucket}/${prefix} did not answer: ${sayWhy(error as Error)}`, {
        cause: error,
      });
    }
  };
  /** Asks for something that may not be there. */
  const askIfThere = async <Answer>(
    act: (client: Client) => Promise<Answer>,
  ): Promise<Answer | null> => {
    try {
      return await ask(act);
    } catch (error) {
      if (error instanceof StoreTrouble && GONE.has((error.cause as Error).name)) return null;
      throw error;
    }
  };
  const at = (key: string) => ({ Bucket: bucket, Key: `${prefix}${key}` });
  const put = (key: string, bytes: Uint8Array) =>
    ask(({ s3, sdk }) =>
      s3.send(
        new sdk.PutObjectCommand({
          ...at(key),
          Body: bytes,
          ContentLength: bytes.byteLength,
          // The bucket refuses what was changed on the way.
          ChecksumSHA256: Buffer.from(hashOf(bytes), 'hex').toString('base64'),
        }),
      ),
    );
  const remove = (key: string) =>
    ask(({ s3, sdk }) => s3.send(new sdk.DeleteObjectCommand(at(key))));
  const get = (key: string, range?: string) =>
    askIfThere(async ({ s3, sdk }) => {
      const wanted = new sdk.GetObjectCommand({ ...at(key), ...(range && { Range: range }) });
      try {
        return Buffer.from(await (await s3.send(wanted)).Body!.transformToByteArray());
      } catch (error) {
        if (statusOf(error) === PAST_END) return Buffer.alloc(0);
        throw error;
      }
    });
  const sizeOf = (sha256: string) =>
    askIfThere(async ({ s3, sdk }) => {
      const wanted = new sdk.HeadObjectCommand(at(nameOfContent(sha256)));
      return (await s3.send(wanted)).ContentLength ?? 0;
    });
  const blocks = new Map<string, Promise<Buffer | null>>();
  /** One block of a content, of which the last few are held: who reads headers reads many of one block. */
  const blockOf = (sha256: string, number: number): Promise<Buffer | null> => {
    const key = `${sha256} ${number}`;
    const from = number * BLOCK_BYTES;
    const block =
      blocks.get(key) ?? get(nameOfContent(sha256), `bytes=${from}-${from + BLOCK_BYTES - 1}`);
    blocks.delete(key);
    // The latest last; one that is not there, or was not to be had, is asked for again.
    blocks.set(key, block);
    block.then(
      (found) => found ?? blocks.delete(key),
      () => blocks.delete(key),
    );
    const [oldest] = blocks.keys();
    if (blocks.size > MOST_BLOCKS && oldest !== undefined) blocks.delete(oldest);
    return block;
  };
  return {
    async keep(sha256, bytes) {
      await put(nameOfContent(sha256), bytes);
    },
    read: (sha256) => get(nameOfContent(sha256)),
    async readPart(sha256, from, length) {
      const parts: Buffer[] = [];
      const end = from + length;
      for (let begin = from; begin < end;) {
        const number = Math.floor(begin / BLOCK_BYTES);
        const block = await blockOf(sha256, number);
        if (!block) return null;
        const inBlock = begin - number * BLOCK_BYTES;
        const part = block.subarray(inBlock, inBlock + end - begin);
        parts.push(part);
        if (number * BLOCK_BYTES + block.byteLength >= end || block.byteLength < BLOCK_BYTES) break;
        begin = (number + 1) * BLOCK_BYTES;
      }
      return parts.length === 1 ? parts[0]! : Buffer.concat(parts);
    },
    sizeOf,
    async remove(sha256) {
      await remove(nameOfContent(sha256));
    },
    async probe() {
      const key = `.probe-${process.pid}-${threadId}`;
      await put(key, Buffer.from('probe'));
      await remove(key);
    },
  };
}
