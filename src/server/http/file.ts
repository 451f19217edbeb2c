/** A file as it is handed out. */
export type FileOut = {
  readonly name: string;
  readonly type: string;
  readonly bytes: Buffer | string;
};

/** A name that every file system takes. */
export const safeName = (text: string, otherwise = 'job') =>
  text
    .replace(/[^\w -]+/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase() || otherwise;

const SHOWN = ['application/pdf'];

/** Answers with a file: PDFs are shown, all else is offered for keeping; nothing in it is run. */
export function sendFile({ name, type, bytes }: FileOut): Response {
  const how = SHOWN.includes(type) ? 'inline' : 'attachment';
  const charset = /^text\/|json$/.test(type) ? '; charset=utf-8' : '';
  const body = typeof bytes === 'string' ? bytes : new Uint8Array(bytes);
  return new Response(body, {
    headers: {
      'content-type': `${type}${charset}`,
      'content-disposition': `${how}; filename="${name.replace(/[^\w.-]/g, '_')}"`,
      'cache-control': 'no-store',
      'x-robots-tag': 'noindex, nofollow',
    },
  });
}
