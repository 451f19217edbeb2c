import { database } from '../database';
import { installationOf } from '../installation';

/** What every answer of the API carries: who answers, and the time there. */
export type Stamp = { readonly installation: string; readonly era: string; readonly at: string };

/** The stamp of this server; `null` while its database cannot be read. */
export function stampNow(): Stamp | null {
  try {
    const { id, era } = installationOf(database());
    return { installation: id, era, at: new Date().toISOString() };
  } catch {
    return null;
  }
}
