import { expect, type Page } from '@playwright/test';
import type { Role } from '../src/core/office/roles';

export const PASSWORD = 'marl loam gravel';

/** Asks a server as a browser's form would, from its own pages. */
async function post(url: string, fields: Record<string, string>, cookie = ''): Promise<Response> {
  return fetch(url, {
    method: 'POST',
    redirect: 'manual',
    headers: { origin: new URL(url).origin, cookie },
    body: new URLSearchParams(fields),
  });
}

const cookieOf = (response: Response) => {
  const cookie = /chert-session=[^;]+/.exec(response.headers.get('set-cookie') ?? '')?.[0];
  expect(cookie, `a session of ${response.url}, which answered ${response.status}`).toBeDefined();
  return cookie!;
};

/** Makes the first owner; returns the cookie of the session. */
export const makeOwner = async (base: string, code = ''): Promise<string> =>
  cookieOf(
    await post(`${base}/owner`, {
      name: 'Olive Owner',
      mail: 'owner@marlpit.example',
      password: PASSWORD,
      code,
    }),
  );

/** Lets somebody in as the owner does, and as they do; returns the cookie of their session. */
export async function letIn(base: string, owner: string, name: string, role: Role) {
  const mail = `${name.toLowerCase().replace(/\W+/g, '.')}@marlpit.example`;
  const page = await post(`${base}/people`, { do: 'invite', name, mail, role }, owner);
  const link = /\/join\/[\w-]+/.exec(await page.text())?.[0];
  expect(link).toBeDefined();
  const joined = await post(`${base}${link!}`, { password: PASSWORD });
  expect(joined.status).toBe(303);
  return { cookie: cookieOf(joined), mail, link: link! };
}

/** Gives a page the session of somebody. */
export async function signAs(page: Page, base: string, cookie: string): Promise<void> {
  const [name, value] = cookie.split('=') as [string, string];
  await page.context().addCookies([{ name, value, url: base }]);
}
