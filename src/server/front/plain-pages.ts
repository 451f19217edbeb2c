/** Pages that are shown when the app itself cannot be asked. They load nothing. */
export const PLAIN_HEADERS = {
  'content-type': 'text/html; charset=utf-8',
  'cache-control': 'no-store',
  'content-security-policy':
    "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; frame-ancestors 'none'",
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
} as const;

const escape = (text: string) =>
  text.replace(/[&<>"']/g, (sign) => `&#${sign.codePointAt(0) ?? 0};`);

const STYLE = `body{margin:0;padding:24px;background:#F1EDE4;color:#23282C;font:16px/1.5 sans-serif}
main{max-width:32rem;margin:10vh auto 0;overflow-wrap:anywhere}h1{font-size:22px}a{color:#1E5B61}
input,button{font:inherit;min-height:44px;padding:0 12px;border:1px solid #1E5B61;border-radius:4px}
input{display:block;width:100%;box-sizing:border-box;margin:4px 0 12px}
button{background:#1E5B61;color:#FBF9F4;font-weight:600}`;

function page(title: string, body: string): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta name="robots" content="noindex"><title>${escape(title)} · Chert</title><style>${STYLE}</style></head><body><main><h1>${escape(title)}</h1>${body}</main></body></html>`;
}

/** Says in a page what stands in the way. */
export const sayPage = (title: string, text: string): string =>
  page(title, `<p>${escape(text)}</p><p><a href="/">Go to Jobs</a></p>`);
