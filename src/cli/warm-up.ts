import inject from 'light-my-request';
import { checkEntry } from '#core/model/log/entry.schema';
import { serviceCall } from '#server/http/service-call';
import { takeEntries } from '#server/http/take-entries';

type Dispatch = Parameters<typeof inject>[0];

/** Runs what an inspector waits for once, so that the first entry does not wait for it to be loaded. */
export async function warmUp(app: unknown): Promise<void> {
  const dispatch = app as Dispatch;
  const json = { 'content-type': 'application/json' };
  await inject(dispatch, { method: 'GET', url: '/api/health' });
  const none = { method: 'POST', headers: json, payload: '{}' } as const;
  const call = serviceCall(
    { kind: 'system', reason: 'to warm up' },
    { address: '', userAgent: null },
  );
  await takeEntries(call, '-', '-', null).catch(() => undefined);
  checkEntry({});
  await inject(dispatch, { ...none, method: 'PATCH', url: '/api/jobs/-' });
}
