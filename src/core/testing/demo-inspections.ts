import { readdirSync, readFileSync } from 'node:fs';
import { readInspectionFile } from '../interchange/inspection-file';
import type { Inspection } from '../model/job/inspection';

/** The names of the demo jobs that ship with Chert. */
export const DEMO_NAMES: readonly string[] = readdirSync('demo')
  .filter((name) => name.endsWith('.chert.json'))
  .map((name) => name.replace('.chert.json', ''));

/** A demo job. Throws when its file is faulty, and names it. */
export function demoInspection(name: string): Inspection {
  const outcome = readInspectionFile(readFileSync(`demo/${name}.chert.json`, 'utf8'));
  if (!outcome.ok) throw new Error(`demo/${name}.chert.json: ${JSON.stringify(outcome.faults)}`);
  return outcome.value;
}
