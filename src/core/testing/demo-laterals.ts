import { readdirSync, readFileSync } from 'node:fs';
import { sayFault } from '../base/fault';
import type { LateralTruth } from '../simulator/truth';
import { checkLateral } from '../simulator/truth-schema';

const FOLDER = new URL('../../../demo/laterals/', import.meta.url);

/** The laterals that ship with Chert, in order of their files' names. */
export function readDemoLaterals(folder: URL = FOLDER): LateralTruth[] {
  return readdirSync(folder)
    .sort()
    .map((name) => {
      const outcome = checkLateral(JSON.parse(readFileSync(new URL(name, folder), 'utf8')));
      if (!outcome.ok) throw new Error(`${name}: ${outcome.faults.map(sayFault).join('; ')}`);
      return outcome.value;
    });
}
