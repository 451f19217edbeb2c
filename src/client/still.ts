import { MEDIA_HEAD_BYTES, MEDIA_MOST_BYTES, mediaTypeOf } from '#core/interchange/media-type';

/** Looks into a file: a still that can be kept, or a sentence on why it cannot. */
export async function checkStill(
  file: Blob,
): Promise<{ readonly still: Blob } | { readonly trouble: string }> {
  if (file.size > MEDIA_MOST_BYTES) {
    const size = (file.size / 1024 / 1024).toFixed(1);
    return {
      trouble: `Expected a still of at most 10 MB, got ${size} MB. Take it with a lower resolution.`,
    };
  }
  const head = new Uint8Array(await file.slice(0, MEDIA_HEAD_BYTES).arrayBuffer());
  const type = mediaTypeOf(head);
  return type?.startsWith('image/')
    ? { still: new Blob([file], { type }) }
    : { trouble: 'Expected a JPEG or PNG picture, got something else. Choose another file.' };
}
