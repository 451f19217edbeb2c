/** Bytes of an element as a browser writes it: id, size on eight bytes (all ones where it is not told), inside. */
export function webmElement(
  id: readonly number[],
  inside: readonly number[],
  isOpen = false,
): number[] {
  const size = [1, 0, 0, 0, (inside.length >> 24) & 255, (inside.length >> 16) & 255].concat(
    (inside.length >> 8) & 255,
    inside.length & 255,
  );
  return [...id, ...(isOpen ? [1, ...Array<number>(7).fill(255)] : size), ...inside];
}

const be = (value: number, length: number) =>
  Array.from({ length }, (_, index) => (value >> (8 * (length - 1 - index))) & 255);

/** One picture or bit of sound: its track, ms after its cluster, whether it is a key, and its content. */
export type MadeBlock = readonly [
  track: number,
  afterMs: number,
  isKey: boolean,
  content: readonly number[],
];

const blockBytes = ([track, after, isKey, content]: MadeBlock) =>
  webmElement([0xa3], [0x80 | track, ...be(after, 2), isKey ? 0x80 : 0, ...content]);

/** A recording as a browser makes it: sound in track 1, pictures in track 2, clusters that do not end. */
export function madeWebm(
  clusters: readonly { readonly atMs: number; readonly blocks: readonly MadeBlock[] }[],
): Uint8Array {
  const track = (number: number, type: number) =>
    webmElement([0xae], [...webmElement([0xd7], [number]), ...webmElement([0x83], [type])]);
  return Uint8Array.from([
    ...webmElement([0x1a, 0x45, 0xdf, 0xa3], webmElement([0x42, 0x82], [...Buffer.from('webm')])),
    ...webmElement(
      [0x18, 0x53, 0x80, 0x67],
      [
        ...webmElement([0x15, 0x49, 0xa9, 0x66], webmElement([0x2a, 0xd7, 0xb1], be(1_000_000, 4))),
        ...webmElement([0x16, 0x54, 0xae, 0x6b], [...track(1, 2), ...track(2, 1)]),
        ...clusters.flatMap(({ atMs, blocks }) =>
          webmElement(
            [0x1f, 0x43, 0xb6, 0x75],
            [...webmElement([0xe7], be(atMs, 4)), ...blocks.flatMap(blockBytes)],
            true,
          ),
        ),
      ],
      true,
    ),
  ]);
}
