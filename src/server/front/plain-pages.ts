import { ACCESS_PATH } from './access';

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

/** Asks a browser that is somewhere else for the token, once. */
export function askToken(back: string, wasWrong: boolean): string {
  const wrong = wasWrong
    ? '<p role="alert"><strong>That is not the token. Look at what the server printed when it started.</strong></p>'
    : '';
  return page(
    'Is this your Chert?',
    `${wrong}<p>This browser is new here. When Chert starts, it prints a token where it was started. Type it once; this browser is known from then on.</p>
<form method="post" action="${ACCESS_PATH}"><input type="hidden" name="back" value="${escape(back)}"><label for="token">Token</label><input id="token" name="token" autocomplete="off" autocapitalize="none" spellcheck="false" autofocus required><button>Let me in</button></form>`,
  );
}
