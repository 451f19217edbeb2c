import Joi from 'joi';
import { type Fault, faultsFromJoi, type Outcome, sayGot, sayPath } from '../../base/fault';
import { VALIDATION } from '../../base/joi';
import { baseKeys } from './entry-base';
import { type MaterialEntry, materialKeys, type ZoneEntry, zoneKeys } from './kinds/boundary';
import { type CloseEntry, closeKeys, type DefectEntry, defectKeys } from './kinds/defect';
import { type FeatureEntry, featureKeys } from './kinds/feature';
import {
  type FlagEntry,
  flagKeys,
  type NoteEntry,
  noteKeys,
  type PhotoEntry,
  photoKeys,
  type RetractEntry,
  retractKeys,
} from './kinds/jotting';
import {
  type EndEntry,
  endKeys,
  type HomeEntry,
  homeKeys,
  type SetupEntry,
  setupKeys,
} from './kinds/running';
import {
  type AdviceEntry,
  adviceKeys,
  type ClearEntry,
  clearKeys,
  type FlowTestEntry,
  flowTestKeys,
  type UnseenEntry,
  unseenKeys,
  type WaterEntry,
  waterKeys,
} from './kinds/seeing';
import { type LocateEntry, locateKeys, type SurfaceEntry, surfaceKeys } from './kinds/surface';

/** One line of the field log. Entries are appended, never edited. */
export type Entry =
  | FlagEntry
  | MaterialEntry
  | FeatureEntry
  | DefectEntry
  | CloseEntry
  | WaterEntry
  | ClearEntry
  | AdviceEntry
  | UnseenEntry
  | ZoneEntry
  | LocateEntry
  | FlowTestEntry
  | SetupEntry
  | EndEntry
  | HomeEntry
  | SurfaceEntry
  | RetractEntry
  | PhotoEntry
  | NoteEntry;

export type EntryKind = Entry['kind'];
/** The entry type of one kind. */
export type EntryOf<K extends EntryKind> = Extract<Entry, { kind: K }>;

type Drafted<E> = E extends Entry ? Omit<E, 'id' | 'at'> : never;

/** An entry before it is logged: it has no id and no time yet. */
export type EntryDraft = Drafted<Entry>;

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
