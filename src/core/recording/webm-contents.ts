import { type Cluster, IDS, type ReadBytes, type Span, type Webm } from './webm';

/** Numbers in a table of contents are on so many bytes: what comes before a place then says nothing of its length. */
const PLACE_BYTES = 8;

const MS_NS = 1e6;

/** How long a recording is, ms. */
export const durationMsOf = ({ lastTick, tickNs }: Webm): number => (lastTick * tickNs) / MS_NS;

function uint(value: number, length: number): Uint8Array {
  const bytes = new Uint8Array(length);
  for (let index = length - 1, rest = value; index >= 0; index -= 1) {
    bytes[index] = rest % 256;
    rest = Math.floor(rest / 256);
  }
  return bytes;
}

const idBytes = (id: number) => uint(id, Math.ceil((32 - Math.clz32(id)) / 8));

function concat(parts: readonly Uint8Array[]): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    bytes.set(part, at);
    at += part.length;
  }
  return bytes;
}

/** A size on eight bytes (RFC 8794, 6): the marker, and 56 bits of number. */
function sizeBytes(size: number): Uint8Array {
  const bytes = uint(size, PLACE_BYTES);
  bytes[0] = 1;
  return bytes;
}

const header = (id: number, size: number) => concat([idBytes(id), sizeBytes(size)]);
const element = (id: number, ...inside: readonly Uint8Array[]) => {
  const bytes = concat(inside);
  return concat([header(id, bytes.length), bytes]);
};

function float64(value: number): Uint8Array {
  const bytes = new Uint8Array(8);
  new DataView(bytes.buffer).setFloat64(0, value);
  return bytes;
}

const partOf = (read: ReadBytes, { from, to }: Span) => read(from, to - from);

/** One place of the table (RFC 9559, 5.1.5): a picture that can be begun with, its time, and where its cluster is. */
const cue = ({ videoTrack }: Webm, tick: number, place: number) =>
  element(
    IDS.cuePoint,
    element(IDS.cueTime, uint(tick, PLACE_BYTES)),
    element(
      IDS.cuePlaces,
      element(IDS.cueTrack, uint(videoTrack, 1)),
      element(IDS.cueAt, uint(place, PLACE_BYTES)),
    ),
  );

/**
 * What a file of these clusters begins with: what the recording began with, how long it is, and a table of
 * contents. Ticks are counted from `firstTick`.
 */
async function beginning(
  read: ReadBytes,
  webm: Webm,
  clusters: readonly Cluster[],
  { firstTick, lastTick, endsAt }: { firstTick: number; lastTick: number; endsAt: number },
): Promise<Uint8Array<ArrayBuffer>> {
  const firstAt = clusters[0]!.at;
  const info = element(
    IDS.info,
    await partOf(read, webm.info),
    element(IDS.duration, float64(lastTick - firstTick)),
  );
  const tracks = await partOf(read, webm.tracks);
  const keys = clusters.filter(({ isKey }) => isKey);
  const table = (beforeClusters: number) =>
    element(
      IDS.cues,
      ...keys.map(({ at, tick }) => cue(webm, tick - firstTick, beforeClusters + at - firstAt)),
    );
  const beforeClusters = info.length + tracks.length + table(0).length;
  return concat([
    await partOf(read, webm.head),
    header(IDS.segment, beforeClusters + endsAt - firstAt),
    info,
    tracks,
    table(beforeClusters),
  ]);
}

/** A file made of bytes of its own and then a span of another's. */
export type Fronted = { readonly front: Uint8Array<ArrayBuffer>; readonly rest: Span };

/** The whole recording with its length and a table of contents in front: any moment is found without reading on. */
export async function withContents(read: ReadBytes, webm: Webm): Promise<Fronted> {
  const { clusters, lastTick, endsAt } = webm;
  return {
    front: await beginning(read, webm, clusters, { firstTick: 0, lastTick, endsAt }),
    rest: { from: clusters[0]!.at, to: endsAt },
  };
}

/**
 * A part of a recording as a file of its own, without touching its pictures: from the last picture at or before
 * `fromMs` that needs none before it, to the end of the cluster that `toMs` is in.
 */
export async function clipOf(
  read: ReadBytes,
  webm: Webm,
  fromMs: number,
  toMs: number,
): Promise<Uint8Array<ArrayBuffer>> {
  const { clusters, tickNs } = webm;
  const tickOf = (ms: number) => (ms * MS_NS) / tickNs;
  const first = Math.max(
    0,
    clusters.findLastIndex(({ isKey, tick }) => isKey && tick <= tickOf(fromMs)),
  );
  const next = clusters.findIndex(({ tick }, index) => index > first && tick > tickOf(toMs));
  const end = next < 0 ? clusters.length : next;
  const chosen = clusters.slice(first, end);
  const firstTick = chosen[0]!.tick;
  const endsAt = clusters[end]?.at ?? webm.endsAt;
  const lastTick = clusters[end]?.tick ?? webm.lastTick;
  const front = await beginning(read, webm, chosen, { firstTick, lastTick, endsAt });
  const pictures = Uint8Array.from(await partOf(read, { from: chosen[0]!.at, to: endsAt }));
  for (const { tick, tickAt, tickBytes } of chosen)
    pictures.set(uint(tick - firstTick, tickBytes), tickAt - chosen[0]!.at);
  return concat([front, pictures]);
}
