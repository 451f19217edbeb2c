import { type Fault, faultsFromJoi, type Outcome, sayGot } from '../base/fault';
import { VALIDATION } from '../base/joi';
import { type Preferences } from '../site/equipment';
import { preferencesSchema } from '../site/equipment.schema';

const FORMAT = 'chert-settings';
const VERSION = 1;

/** Settings as a file to keep or to hand on: rig, own words, and how jobs are judged. */
export function writeSettingsFile(preferences: Preferences): string {
  return `${JSON.stringify({ format: FORMAT, version: VERSION, preferences }, null, 2)}\n`;
}

/** Reads a settings file, or says every fault in it. */
export function readSettingsFile(text: string): Outcome<Preferences> {
  const fail = (...faults: Fault[]): Outcome<Preferences> => ({ ok: false, faults });
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return fail({
      path: '',
      expected: 'a settings file in JSON',
      got: text.trim() === '' ? 'an empty file' : 'text that is not JSON',
      next: 'export the settings again and import that file',
    });
  }
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    return fail({ path: '', expected: 'a settings file (an object)', got: sayGot(value) });
  const { format, version, preferences } = value as Record<string, unknown>;
  if (format !== FORMAT)
    return fail({ path: 'format', expected: `"${FORMAT}"`, got: sayGot(format) });
  if (version !== VERSION)
    return fail({ path: 'version', expected: String(VERSION), got: sayGot(version) });
  const { error } = preferencesSchema.required().validate(preferences, VALIDATION);
  if (error) return fail(...faultsFromJoi(error, ['preferences']));
  return { ok: true, value: preferences as Preferences };
}
