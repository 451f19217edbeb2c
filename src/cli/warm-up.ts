import inject from 'light-my-request';

type Dispatch = Parameters<typeof inject>[0];

/** Runs what an inspector waits for once, so that the first entry does not wait for it to be loaded. */
export async function warmUp(app: unknown): Promise<void> {
  const dispatch = app as Dispatch;
  const json = { 'content-type': 'application/json' };
  await inject(dispatch, { method: 'GET', url: '/api/health' });
  const none = { method: 'POST', headers: json, payload: '{}' } as const;
  await inject(dispatch, { ...none, url: '/api/jobs/-/runs/-/entries' });
  await inject(dispatch, { ...none, method: 'PATCH', url: '/api/jobs/-' });
}
