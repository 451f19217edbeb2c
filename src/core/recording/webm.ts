/**
 * What lies where in a WebM file as browsers record it: no length, no table of contents, and groups of pictures
 * ("clusters") without an end of their own. Found by walking from element to element; the pictures themselves
 * are not read. Layout: RFC 8794 (EBML) and RFC 9559 (Matroska).
 */

/** Reads a part of the file, wherever it lies; less than asked for at its end. It takes a breath where one is due. */
export type ReadBytes = (from: number, length: number) => Promise<Uint8Array>;

/** A group of pictures that is decoded from its first one. */
export type Cluster = {
  /** Where its element begins, bytes. */
  readonly at: number;
  /** Its time from the beginning of the recording, in the file's own ticks. */
  readonly tick: number;
  /** Where the number of that time lies, and on how many bytes. */
  readonly tickAt: number;
  readonly tickBytes: number;
  /** Whether its first picture needs none before it. */
  readonly isKey: boolean;
};

export type Webm = {
  /** Spans of what stands before the pictures, whole elements, bytes. */
  readonly head: Span;
  readonly info: Span;
  readonly tracks: Span;
  readonly videoTrack: number;
  /** Nanoseconds of a tick. */
  readonly tickNs: number;
  readonly clusters: readonly Cluster[];
  /** The last tick of any picture or sound. */
  readonly lastTick: number;
  /** Where the last whole element ends, bytes. */
  readonly endsAt: number;
};

export type Span = { readonly from: number; readonly to: number };

export const IDS = {
  head: 0x1a45dfa3,
  segment: 0x18538067,
  info: 0x1549a966,
  tracks: 0x1654ae6b,
  cluster: 0x1f43b675,
  cues: 0x1c53bb6b,
  cuePoint: 0xbb,
  cueTime: 0xb3,
  cuePlaces: 0xb7,
  cueTrack: 0xf7,
  cueAt: 0xf1,
  tickScale: 0x2ad7b1,
  duration: 0x4489,
  tick: 0xe7,
  block: 0xa3,
  group: 0xa0,
  groupBlock: 0xa1,
  trackEntry: 0xae,
  trackNumber: 0xd7,
  trackType: 0x83,
} as const;

/** Elements whose insides are walked too. */
const OPENED = new Set<number>([IDS.segment, IDS.cluster, IDS.group]);
const VIDEO = 1;
/** The longest id and size together, and what of a block tells its track, time and kind, bytes. */
const HEADER_BYTES = 32;

type Element = {
  readonly id: number;
  readonly at: number;
  readonly dataAt: number;
  /** Bytes of its inside; `null` where the file does not say. */
  readonly size: number | null;
  readonly bytes: Uint8Array;
};

/** A number of 1 to 8 bytes whose first bits tell how many (RFC 8794, 4); `null` past the end or for none. */
function readVint(bytes: Uint8Array, at: number, keepsMarker: boolean) {
  const first = bytes[at];
  if (first === undefined || first === 0) return null;
  const length = Math.clz32(first) - 23;
  if (at + length > bytes.length) return null;
  let value = keepsMarker ? first : first & ((1 << (8 - length)) - 1);
  let isAllOnes = value === (1 << (8 - length)) - 1;
  for (let index = 1; index < length; index += 1) {
    value = value * 256 + bytes[at + index]!;
    isAllOnes &&= bytes[at + index] === 255;
  }
  return { value, length, isAllOnes };
}

/** The whole number on so many bytes. */
const readUint = (bytes: Uint8Array): number =>
  bytes.reduce((value, byte) => value * 256 + byte, 0);

async function readElement(read: ReadBytes, at: number): Promise<Element | null> {
  const bytes = await read(at, HEADER_BYTES);
  const id = readVint(bytes, 0, true);
  const size = id && readVint(bytes, id.length, false);
  if (!size || id.length > 4) return null;
  const header = id.length + size.length;
  return {
    id: id.value,
    at,
    dataAt: at + header,
    size: size.isAllOnes ? null : size.value,
    bytes: bytes.subarray(header),
  };
}

/** The elements right inside of a span. */
async function* childrenOf(
  read: ReadBytes,
  { from, to }: Span,
): AsyncGenerator<Element & { size: number }> {
  let at = from;
  while (at < to) {
    const element = await readElement(read, at);
    if (!element || element.size === null) return;
    const { size } = element;
    yield { ...element, size };
    at = element.dataAt + size;
  }
}

const uintOf = async (read: ReadBytes, { dataAt, size }: Element & { size: number }) =>
  readUint(await read(dataAt, Math.min(8, size)));

/** Number of the first track of pictures; `null` where there is none. */
async function videoTrackOf(read: ReadBytes, tracks: Span): Promise<number | null> {
  for await (const entry of childrenOf(read, tracks)) {
    if (entry.id !== IDS.trackEntry) continue;
    let number = 0;
    let type = 0;
    for await (const field of childrenOf(read, {
      from: entry.dataAt,
      to: entry.dataAt + entry.size,
    })) {
      if (field.id === IDS.trackNumber) number = await uintOf(read, field);
      if (field.id === IDS.trackType) type = await uintOf(read, field);
    }
    if (type === VIDEO) return number;
  }
  return null;
}

/** Track, ticks after its cluster's, and whether it needs no picture before it, of a block's first bytes. */
function readBlock(bytes: Uint8Array) {
  const track = readVint(bytes, 0, false);
  if (!track || bytes.length < track.length + 3) return null;
  const [high = 0, low = 0, flags = 0] = bytes.subarray(track.length);
  return {
    track: track.value,
    after: ((high << 24) >> 16) | low,
    isKey: (flags & 0x80) !== 0,
  };
}

type Mutable<Record> = { -readonly [Field in keyof Record]: Record[Field] };

/** What was found so far. */
type Found = Partial<Mutable<Pick<Webm, 'head' | 'info' | 'tracks' | 'videoTrack'>>> & {
  tickNs: number;
  lastTick: number;
  readonly clusters: Mutable<Cluster>[];
  /** Whether a picture of the last cluster was met. */
  hasPicture: boolean;
  /** Whether the file says itself how long it is or where its pictures are. */
  tellsItself: boolean;
};

function takeBlock(found: Found, element: Element, isSimple: boolean): void {
  const block = readBlock(element.bytes);
  const cluster = found.clusters.at(-1);
  if (!block || !cluster) return;
  found.lastTick = Math.max(found.lastTick, cluster.tick + block.after);
  if (block.track !== found.videoTrack || found.hasPicture) return;
  found.hasPicture = true;
  cluster.isKey = isSimple && block.isKey;
}

/** Takes what one element tells. */
async function take(found: Found, read: ReadBytes, element: Element, inside: Span): Promise<void> {
  const cluster = found.clusters.at(-1);
  switch (element.id) {
    case IDS.head:
      found.head = { from: element.at, to: inside.to };
      break;
    case IDS.info:
      found.info = inside;
      for await (const field of childrenOf(read, inside)) {
        if (field.id === IDS.duration) found.tellsItself = true;
        if (field.id === IDS.tickScale) found.tickNs = await uintOf(read, field);
      }
      break;
    case IDS.tracks: {
      const videoTrack = await videoTrackOf(read, inside);
      found.tracks = { from: element.at, to: inside.to };
      if (videoTrack !== null) found.videoTrack = videoTrack;
      break;
    }
    case IDS.cues:
      found.tellsItself = true;
      break;
    case IDS.cluster:
      found.clusters.push({ at: element.at, tick: 0, tickAt: 0, tickBytes: 0, isKey: false });
      found.hasPicture = false;
      break;
    case IDS.tick:
      if (!cluster) break;
      cluster.tickAt = inside.from;
      cluster.tickBytes = inside.to - inside.from;
      cluster.tick = readUint(await read(cluster.tickAt, cluster.tickBytes));
      break;
    case IDS.block:
    case IDS.groupBlock:
      takeBlock(found, element, element.id === IDS.block);
      break;
  }
}

/**
 * Walks a recording from element to element.
 *
 * @param size bytes of the file.
 * @returns what lies where; `null` for anything else than a WebM file that tells neither its length nor where
 * its pictures are: what tells them needs no help.
 */
export async function walkWebm(read: ReadBytes, size: number): Promise<Webm | null> {
  const found: Found = {
    tickNs: 1_000_000,
    lastTick: 0,
    clusters: [],
    hasPicture: false,
    tellsItself: false,
  };
  let at = 0;
  for (let count = 1; at < size && !found.tellsItself; count += 1) {
    const element = await readElement(read, at);
    if (!element || (count === 1 && element.id !== IDS.head)) break;
    const end = element.dataAt + (element.size ?? 0);
    const isOpened = OPENED.has(element.id);
    // What is cut short at the file's end is no part of it.
    if (!isOpened && (element.size === null || end > size)) break;
    await take(found, read, element, { from: element.dataAt, to: end });
    at = isOpened ? element.dataAt : end;
  }
  const { head, info, tracks, videoTrack, tellsItself, clusters, tickNs, lastTick } = found;
  if (tellsItself || !head || !info || !tracks || videoTrack === undefined) return null;
  if (clusters.length === 0) return null;
  return { head, info, tracks, videoTrack, tickNs, clusters, lastTick, endsAt: at };
}
