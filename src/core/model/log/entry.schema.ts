import Joi from 'joi';
import { type Fault, faultsFromJoi, type Outcome, sayGot, sayPath } from '../../base/fault';
import { VALIDATION } from '../../base/joi';
import { type Entry, type EntryKind } from './entry';
import { baseKeys } from './entry-base.schema';
import { materialKeys, zoneKeys } from './kinds/boundary.schema';
import { closeKeys, defectKeys } from './kinds/defect.schema';
import { featureKeys } from './kinds/feature.schema';
import { flagKeys, noteKeys, photoKeys, retractKeys } from './kinds/jotting.schema';
import { endKeys, homeKeys, setupKeys } from './kinds/running.schema';
import { adviceKeys, clearKeys, flowTestKeys, unseenKeys, waterKeys } from './kinds/seeing.schema';
import { locateKeys, surfaceKeys } from './kinds/surface.schema';

const KEYS: Record<EntryKind, Joi.SchemaMap> = {
  flag: flagKeys,
  material: materialKeys,
  feature: featureKeys,
  defect: defectKeys,
  close: closeKeys,
  water: waterKeys,
  clear: clearKeys,
  advice: adviceKeys,
  unseen: unseenKeys,
  zone: zoneKeys,
  locate: locateKeys,
  'flow-test': flowTestKeys,
  setup: setupKeys,
  end: endKeys,
  home: homeKeys,
  surface: surfaceKeys,
  retract: retractKeys,
  photo: photoKeys,
  note: noteKeys,
};

/** Every entry kind, in the order of `docs/inspection-file.md`. */
export const ENTRY_KINDS = Object.keys(KEYS) as readonly EntryKind[];

/** The Joi schema of each entry kind, common keys included. */
export const ENTRY_SCHEMAS: Record<EntryKind, Joi.ObjectSchema> = Object.fromEntries(
  ENTRY_KINDS.map((kind) => [
    kind,
    Joi.object({ ...baseKeys, ...KEYS[kind], kind: Joi.string().valid(kind).required() }),
  ]),
) as Record<EntryKind, Joi.ObjectSchema>;

/**
 * Checks one entry of unknown shape.
 *
 * @param under path that is put before each fault (`['runs', 0, 'entries', 3]`).
 * @returns the entry as given, unknown keys kept, or every fault in it.
 */
export function checkEntry(
  value: unknown,
  under: readonly (string | number)[] = [],
): Outcome<Entry> {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) {
    return fail({ path: sayPath(under), expected: 'an entry (an object)', got: sayGot(value) });
  }
  const kind = (value as { kind?: unknown }).kind;
  const schema =
    typeof kind === 'string' && Object.hasOwn(ENTRY_SCHEMAS, kind)
      ? ENTRY_SCHEMAS[kind as EntryKind]
      : undefined;
  if (!schema) {
    return fail({
      path: sayPath([...under, 'kind']),
      expected: `one of ${ENTRY_KINDS.join(', ')}`,
      got: sayGot(kind),
    });
  }
  const { error } = schema.validate(value, VALIDATION);
  return error
    ? { ok: false, faults: faultsFromJoi(error, under) }
    : { ok: true, value: value as Entry };
}

function fail(fault: Fault): Outcome<Entry> {
  return { ok: false, faults: [fault] };
}
